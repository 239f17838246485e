/** What a blind tasting came to. */
import { tastersNeeded, type TestResult } from '#core/sensory';

/** What came of it, said plainly. */
export function sayResult({ kind, n, count, needed, byChance, verdict }: TestResult): string {
  const did =
    kind === 'triangle' ? `${count} of ${n} picked the odd one` : `${count} of ${n} like the same one better`;
  const chance =
    byChance < 0.001
      ? 'less than once in a thousand'
      : `${(byChance * 100).toFixed(byChance < 0.01 ? 1 : 0)} times in a hundred`;
  const by = `by chance that happens ${chance}`;
  switch (verdict) {
    case 'different':
      return kind === 'triangle'
        ? `They taste different: ${did}, ${by}.`
        : `One is preferred: ${did}, ${by}.`;
    case 'not-shown':
      return `${kind === 'triangle' ? 'No difference shown' : 'No preference shown'}: ${did}; ${needed} would be needed.`;
    case 'too-few':
      return `Not enough tasters to tell: ${did}${needed === null ? '' : `; ${needed} would be needed`}. With ${tastersNeeded(kind)} tasters a difference worth finding is found 8 times in 10.`;
  }
}
