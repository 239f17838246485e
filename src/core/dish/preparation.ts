/** How a thing comes into the bowl, from the words that stand behind it. What is not said is as usual. */

export interface Preparation {
  /** Straight from washing: more water than a spun leaf has. */
  readonly wet: boolean;
  /** Spun, patted or drained dry. */
  readonly dry: boolean;
  /** Salted and left to drain: its water is gone, some of the salt stays. */
  readonly salted: boolean;
  readonly seeded: boolean;
  /** Left whole: less of it is cut open. */
  readonly whole: boolean;
  readonly warm: boolean;
  /** Rinsed or soaked: half of its brine is gone. */
  readonly rinsed: boolean;
  /** Cooked without salt, where the row reckons with salted water. */
  readonly unsalted: boolean;
}

const WORDS: Readonly<Record<keyof Preparation, RegExp>> = {
  wet: /\b(?:wet|dripping|just washed|rinsed and wet)\b/i,
  dry: /\b(?:spun|dried|dry|patted|drained well)\b/i,
  salted: /\bsalted(?: and (?:drained|squeezed|pressed))?\b(?! water| butter)|\bdegorged\b/i,
  seeded: /\b(?:seeded|deseeded|de-seeded|cored|without seeds|seeds? removed)\b/i,
  whole: /\bwhole\b/i,
  warm: /\b(?:warm|hot|lukewarm|freshly (?:cooked|boiled|roasted|grilled)|still warm)\b/i,
  rinsed: /\b(?:rinsed|soaked|desalted)\b/i,
  unsalted: /\b(?:unsalted|without salt|no salt)\b/i,
};

/** @param words the line as typed: "2 cucumbers, seeded and salted" */
export function preparationOf(words: string): Preparation {
  const found = Object.fromEntries(
    Object.entries(WORDS).map(([key, pattern]) => [key, pattern.test(words)]),
  ) as Record<keyof Preparation, boolean>;
  return { ...found, wet: found.wet && !found.dry, salted: found.salted && !found.unsalted };
}

/** Of the water it would give, so much is left after this; tag: estimate. */
export function drawnLeft({ salted, seeded, whole }: Preparation): number {
  return (salted ? 0.35 : 1) * (seeded ? 0.6 : 1) * (whole ? 0.3 : 1);
}
/** Of its own salt; tag: estimate. */
export const saltLeft = ({ rinsed }: Preparation): number => (rinsed ? 0.6 : 1);
/** What salting leaves in it, g per g; tag: estimate. */
export const SALTED_LEAVES = 0.004;
