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
