/** A list in stages: a line "== base" opens one. Each is a place to stop, and holds all that came before it. */
const OPENS = /^\s*==+\s*(.*?)\s*=*\s*$/;

export interface StageText {
  /** Empty where it was given none. */
  readonly name: string;
  /** All lines up to its end, each at its own number; what opens a stage is left blank. */
  readonly text: string;
}

/** The name of the stage that a line opens; null where it opens none. */
export const stageOpenedBy = (line: string): string | null => OPENS.exec(line)?.[1] ?? null;

/** Which stage each line of a text belongs to, by its number (1 for the first), and what they are called. */
export function stagesIn(text: string): {
  readonly names: readonly string[];
  readonly of: (at: number) => number;
} {
  const stages = stageTexts(text);
  const lines = text.split(/\r?\n/);
  const opened = lines.flatMap((line, i) => (stageOpenedBy(line) === null ? [] : [i + 1]));
  const led = stages.length - opened.length;
  return {
    names: stages.map(({ name }) => name),
    of: (at) => Math.max(0, opened.filter((one) => one <= at).length - 1 + led),
  };
}

/** One stage where no line opens any. What stands before the first such line is a stage without a name. */
export function stageTexts(text: string): readonly StageText[] {
  const lines = text.split(/\r?\n/);
  const opened = lines.flatMap((line, at) => {
    const name = stageOpenedBy(line);
    return name === null ? [] : [{ name, at }];
  });
  const isLed = lines.slice(0, opened[0]?.at).some((line) => line.trim() !== '');
  const starts = opened.length === 0 || isLed ? [{ name: '', at: -1 }, ...opened] : opened;
  const plain = lines.map((line) => (stageOpenedBy(line) === null ? line : ''));
  return starts.map(({ name }, i) => ({ name, text: plain.slice(0, starts[i + 1]?.at).join('\n') }));
}
