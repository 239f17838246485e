/** How a formula is made, as sentences: what goes in together in one, what is done in its own. */
import type { Formula } from '#core/formula';
import { usualSeconds, usualTool } from '#core/emulsion';
import { judgeFormula, type Reckoning } from '#core/reckoning';
import { planMaking } from '#core/trial';
import type { Vessel } from '#core/vessel';
import { inSentence, type NumberStyle } from '#words/numbers';
import { paperWords } from '#words/screens/paper';
import { stepName } from '#kitchen/repair';
import type { Kitchen } from '#kitchen/reading';

/** Empty where there is nothing to make. */
export function methodOf(
  formula: Formula,
  reckoning: Reckoning,
  vessel: Vessel,
  { catalogue, settings }: { readonly catalogue: Kitchen['catalogue']; readonly settings: NumberStyle },
): readonly string[] {
  if (!(reckoning.totals.mixedVolumeMl > 0)) return [];
  const tool = formula.tool ?? usualTool(vessel);
  const making = planMaking(reckoning, judgeFormula(reckoning), {
    scaleFactor: 1,
    tool,
    seconds: formula.mixSeconds ?? usualSeconds(tool),
    roomC: null,
    bottles: {},
    vessel,
  });
  const sentences: string[] = [];
  let together: string[] = [];
  const putIn = (): void => {
    if (together.length > 0) sentences.push(paperWords.putTogether(together));
    together = [];
  };
  for (const step of making.steps) {
    const name = stepName(step, catalogue, making, settings);
    if (step.kind !== 'do') together.push(inSentence(name));
    else {
      putIn();
      sentences.push(`${name}.`);
    }
  }
  putIn();
  return sentences;
}
