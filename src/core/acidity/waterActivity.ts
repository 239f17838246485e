/**
 * Water activity as a product over the solutes, each in all the water (Ross 1975). Salt: Pitzer
 * (A 0.391, b 1.2, β0 0.0765, β1 0.2664, α 2, Cφ 0.00127; m ≤ 6.15). Sugars: Norrish 1966,
 * x_w exp(−K x_s²), K sucrose 6.47, glucose and fructose 2.25, lactose 10.2 (Chirife's list, as
 * recalled). Acids and polyols ideal. Oil lowers nothing. Error about 0.01 below 30 % solutes.
 */
import type { Portion } from '#core/composition';
import type { Composition } from '#core/ingredient';
import { ACID_KEYS, ACIDS, NACL_G_PER_MOL } from './acids';

const WATER_G_PER_MOL = 18.015;
const SATURATED_MOL_PER_KG = 6.15;
const PITZER = { a: 0.391, b: 1.2, beta0: 0.0765, beta1: 0.2664, alpha: 2, c: 0.00127 };
const SUGARS: readonly (readonly [keyof Composition, molarMass: number, norrishK: number])[] = [
  ['sucrose', 342.297, 6.47],
  ['glucose', 180.156, 2.25],
  ['fructose', 180.156, 2.25],
  ['lactose', 342.297, 10.2],
];
/** Erythritol, the only one in the table; CRC Handbook, as recalled. */
const POLYOL_G_PER_MOL = 122.12;

export interface WaterActivity {
  readonly value: number;
  /** More salt than the water can hold: some stays undissolved. */
  readonly saltUndissolved: boolean;
}

/** Null where there is no water. In (0, 1]; falls with every solute. */
export function waterActivityOf(portions: readonly Portion[]): WaterActivity | null {
  const grams = (key: keyof Composition): number =>
    portions.reduce((sum, { ingredient, massG }) => sum + ingredient.composition[key] * massG.nominal, 0);
  const waterG = grams('water');
  if (!(waterG > 0)) return null;
  const waterMol = waterG / WATER_G_PER_MOL;
  const saltMolPerKg = grams('salt') / NACL_G_PER_MOL / (waterG / 1000);
  let value = saltActivity(Math.min(saltMolPerKg, SATURATED_MOL_PER_KG));
  for (const [key, molarMass, k] of SUGARS) {
    const mol = grams(key) / molarMass;
    const xs = mol / (mol + waterMol);
    value *= (1 - xs) * Math.exp(-k * xs * xs);
  }
  const idealMol =
    ACID_KEYS.reduce((sum, key) => sum + grams(key) / ACIDS[key].molarMassGPerMol, 0) +
    grams('polyol') / POLYOL_G_PER_MOL;
  value *= waterMol / (waterMol + idealMol);
  return { value, saltUndissolved: saltMolPerKg > SATURATED_MOL_PER_KG };
}

function saltActivity(m: number): number {
  if (m === 0) return 1;
  const { a, b, beta0, beta1, alpha, c } = PITZER;
  const root = Math.sqrt(m);
  const phi = 1 - (a * root) / (1 + b * root) + m * (beta0 + beta1 * Math.exp(-alpha * root)) + m * m * c;
  return Math.exp((-2 * WATER_G_PER_MOL * m * phi) / 1000);
}
