/** How thick, in kitchen words; and the body that a hand-entered thing gets by such a word. Values: estimate. */
import type { Category, StructureFamily, StructureValues } from './ingredient';

export const THICKNESS_CLASSES = [
  'runny',
  'pours-like-cream',
  'coats-a-spoon',
  'spoonable',
  'holds-its-shape',
  'stiff',
] as const;
export type ThicknessClass = (typeof THICKNESS_CLASSES)[number];

/** Yield, Pa, and viscosity at 50 1/s, Pa s: the middle of each class. */
const MIDDLE: Readonly<Record<ThicknessClass, readonly [number, number]>> = {
  runny: [0, 0.005],
  'pours-like-cream': [0, 0.14],
  'coats-a-spoon': [1, 0.8],
  spoonable: [8, 1.2],
  'holds-its-shape': [40, 2],
  stiff: [150, 6],
};
/** What it loses body like when it is thinned. */
const LIKE: Partial<Record<Category, readonly [StructureFamily, number]>> = {
  creamy: ['dairy', 6.5],
  emulsifier: ['mustard', 4],
  fruit: ['fruit', 3.7],
};
const LIKE_A_PASTE = ['paste', 4] as const;

export function bodyFromWord(word: ThicknessClass, category: Category): StructureValues {
  const [yieldStressPa, viscosityPaS] = MIDDLE[word];
  const [family, exponent] = LIKE[category] ?? LIKE_A_PASTE;
  return {
    family: yieldStressPa === 0 ? 'thin' : family,
    yieldStressPa,
    viscosityPaS,
    exponent,
    restPa: 0,
    cut: 'smooth',
  };
}

/** The word that a body was given by, or is nearest to. */
export function wordOfBody(body: Pick<StructureValues, 'yieldStressPa' | 'viscosityPaS'>): ThicknessClass {
  const near = (word: ThicknessClass): number => {
    const [yieldStressPa, viscosityPaS] = MIDDLE[word];
    return (
      Math.abs(Math.log((body.yieldStressPa + 0.1) / (yieldStressPa + 0.1))) +
      Math.abs(Math.log(body.viscosityPaS / viscosityPaS))
    );
  };
  return THICKNESS_CLASSES.reduce((a, b) => (near(b) < near(a) ? b : a));
}
