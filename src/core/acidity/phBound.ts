/**
 * U, the upper bound of a dressing's pH as safety reckons with it: the least of those bounds that
 * hold, unknown where none does. Unlike what is shown (ph.ts) nothing here is refused by a share,
 * because water undoes a share.
 *
 * - Calculated: the upper end of the interval of ph.ts, with and without the salt's effect on the
 *   acids, where the protein of parts that are not on the acid side is at most 6 g per g of organic
 *   acid (as acetic; estimate) and no piece has an own pH above 4.2. Protein of a sour part (mustard,
 *   cultured milk) holds the mixture at that part's own pH, and holds nothing up.
 * - Bracket: every part's charge balance falls with pH and is zero at its own pH, so the balance of
 *   the mixture is zero between the lowest and the highest of them. Plain water has no buffer: it
 *   lifts the bound at most as far as the parts' organic acids alone (× 0.9, no protein) let it,
 *   and at most by log10 of the dilution, and at most to 7.
 *
 * What a table's pH is worth: ± 0.2 (estimate). A reading of a bottle never counts below the table.
 */
import type { Portion } from '#core/composition';
import { OWN_PH_SPREAD, type Ingredient } from '#core/ingredient';
import { ACID_KEYS, G_ACETIC_PER_MEQ, type AcidKey } from './acids';
import { solvePh, strongIonDifferenceAt } from './chargeBalance';
import { calculatedPhInterval } from './ph';
import { acidMolPerG, organicAcidMeqPer100G } from './strongIons';

export interface PhBound {
  /** Null: not known, which counts as 7. */
  readonly upper: number | null;
  readonly boundBy: 'calculated' | 'bracket' | null;
  /** The calculated bound alone; null where it does not hold. */
  readonly calculated: number | null;
  /** The same as of a blended sample, pieces or not. */
  readonly blended: number | null;
}
export const UNKNOWN_BOUND: PhBound = { upper: null, boundBy: null, calculated: null, blended: null };

/** A part with what was done to it, as far as its pH asks. */
export interface BoundPart extends Portion {
  readonly pieces?: boolean;
  /** Made in a kitchen under a bought thing's name: its own pH is nobody's. */
  readonly homeMade?: boolean;
}

const NEUTRAL = 7;
/** g protein per g organic acid as acetic; estimate. */
const MOST_PROTEIN_PER_ACID = 6;
const MOST_PH_OF_A_PIECE = 4.2;
/** More water than this is a wet part. */
export const WET_MASS_FRACTION = 0.15;
/** A plant counts sourer than this only where it is sour by nature or the maker's acid keeps it. */
const SOUR_PLANT_PH = 4.6;
/** What "roasted pepper", zest or olives count instead: they may be the cook's own. Estimate. */
const DOUBTFUL_PLANT_PH = 5.5;
const CULTURED_MILK_PH = 4.6;
/** Own pH of a part that pulls a mixture below every line that matters: 4.6 less the spread. */
const ACID_SIDE_PH = 4.4;
const DRY_PART_PH = { soaked: 4.6, other: NEUTRAL };
/** g acid as acetic per g of dry part: a gram of dry plant binds about 1 meq (estimate). */
const ACID_PER_DRY_PART = 0.2;
const ACID_LOW = 0.9;
/** "To taste" counts at this share of the whole, where that raises the bound. Estimate. */
const TO_TASTE_SHARE = 0.02;

const PLANTS: ReadonlySet<string> = new Set(['aromatic', 'herb', 'veg', 'fruit', 'citrus', 'spice']);
const NO_BUFFER: ReadonlySet<string> = new Set(['oil', 'salt', 'sweet', 'thickener']);

export const isWet = ({ composition }: Ingredient): boolean => composition.water > WET_MASS_FRACTION;

/** The pH an ingredient counts with in a bound; null where it has none. */
export function countedOwnPh(ingredient: Ingredient): number | null {
  const { typicalPh, tablePh, traits, keepsOpened, category, hazards } = ingredient;
  if (typicalPh === null) return null;
  const ph = Math.max(typicalPh, tablePh ?? typicalPh);
  const plant = PLANTS.has(category) || (category === 'savoury' && hazards.includes('opened_preserve'));
  if (plant && ph < SOUR_PLANT_PH && !keepsOpened && !traits.includes('sour_by_nature'))
    return DOUBTFUL_PLANT_PH;
  return ph;
}

/** In a calculation the upper corner of cultured milk is what it may be at most. */
function centreOwnPh(ingredient: Ingredient): number | null {
  const ph = countedOwnPh(ingredient);
  if (ph === null || !ingredient.traits.includes('cultured_milk')) return ph;
  return Math.min(ph, CULTURED_MILK_PH - OWN_PH_SPREAD);
}
const isOnAcidSide = (ingredient: Ingredient): boolean =>
  isWet(ingredient) && (centreOwnPh(ingredient) ?? NEUTRAL) <= ACID_SIDE_PH;

/** A piece whose inside the acid has not reached, and which is not sour itself. */
export const isMildPiece = ({ ingredient, pieces }: BoundPart): boolean =>
  pieces === true && (countedOwnPh(ingredient) ?? NEUTRAL) > MOST_PH_OF_A_PIECE;

const counted = new WeakMap<Ingredient, Ingredient>();
/** The ingredient with the pH that counts, once each: what is solved for it is kept by identity. */
function asCounted(ingredient: Ingredient): Ingredient {
  const ph = centreOwnPh(ingredient);
  if (ph === ingredient.typicalPh) return ingredient;
  let known = counted.get(ingredient);
  if (!known) counted.set(ingredient, (known = { ...ingredient, typicalPh: ph, phMeasured: false }));
  return known;
}

const hasNoPh = ({ ingredient, homeMade }: BoundPart): boolean =>
  homeMade === true || (ingredient.byHand !== undefined && !ingredient.byHand.phFromLabel);

/**
 * @param parts what lies in the jar; nothing of a part (0 g) is "to taste"
 * @param known false where a line could not be read, or something is alive or alkaline: nothing holds
 */
export function phBoundOf(parts: readonly BoundPart[], known: boolean): PhBound {
  if (!known || parts.some(hasNoPh)) return UNKNOWN_BOUND;
  const weighed = parts.filter(({ massG }) => massG.nominal > 0);
  const wholeG = weighed.reduce((sum, { massG }) => sum + massG.nominal, 0);
  if (!(wholeG > 0)) return UNKNOWN_BOUND;
  const raising = parts
    .filter(({ ingredient, massG }) => !(massG.nominal > 0) && mayRaise(ingredient))
    .map((part) => {
      const g = wholeG * TO_TASTE_SHARE;
      return { ...part, massG: { nominal: g, low: g, high: g } };
    });
  const cases = [weighed, ...raising.map((part) => [...weighed, part])];
  if (raising.length > 1) cases.push([...weighed, ...raising]);
  return cases.map(boundOf).reduce(worse);
}

/** Dry spice, salt, sugar and vinegar to taste leave the bound as it is. */
const mayRaise = (ingredient: Ingredient): boolean =>
  ingredient.category !== 'vinegar' &&
  (isWet(ingredient) || !['spice', 'salt', 'sweet'].includes(ingredient.category));

function worse(a: PhBound, b: PhBound): PhBound {
  const higher = a.upper === null || (b.upper !== null && a.upper >= b.upper) ? a : b;
  const both = (x: number | null, y: number | null): number | null =>
    x === null || y === null ? null : Math.max(x, y);
  return {
    ...higher,
    calculated: both(a.calculated, b.calculated),
    blended: both(a.blended, b.blended),
  };
}

function boundOf(parts: readonly BoundPart[]): PhBound {
  const blended = calculatedBound(parts);
  const stiff = parts.some(isMildPiece);
  const calculated = stiff ? null : blended;
  const bracket = bracketOf(parts);
  if (calculated !== null && (bracket === null || calculated <= bracket))
    return { upper: calculated, boundBy: 'calculated', calculated, blended };
  return { upper: bracket, boundBy: bracket === null ? null : 'bracket', calculated, blended };
}

function calculatedBound(parts: readonly BoundPart[]): number | null {
  const grams = (value: (ingredient: Ingredient) => number): number =>
    parts.reduce((sum, { ingredient, massG }) => sum + value(ingredient) * massG.nominal, 0);
  const proteinG = grams((ingredient) => (isOnAcidSide(ingredient) ? 0 : ingredient.composition.protein));
  if (proteinG > MOST_PROTEIN_PER_ACID * grams(organicAcidAsAceticG)) return null;
  if (parts.some(({ ingredient }) => isWet(ingredient) && ingredient.typicalPh === null)) return null;
  const as = parts.map((part) => ({ ...part, ingredient: asCounted(part.ingredient) }));
  const [salted, plain] = [calculatedPhInterval(as), calculatedPhInterval(as, 0)];
  return salted && plain ? Math.max(salted.high, plain.high) : null;
}

/** All organic acid of a gram, as acetic acid, g: by what it can give to pH 7, not by weight. */
export const organicAcidAsAceticG = (ingredient: Ingredient): number =>
  (organicAcidMeqPer100G(ingredient) / 100) * G_ACETIC_PER_MEQ;

function bracketOf(parts: readonly BoundPart[]): number | null {
  const dryG = parts.reduce(
    (sum, { ingredient, massG }) => sum + (isBindingDry(ingredient) ? massG.nominal : 0),
    0,
  );
  const pouredAcidG = parts.reduce(
    (sum, { ingredient, massG }) =>
      sum + (ingredient.isAcidLiquid ? organicAcidAsAceticG(ingredient) * massG.nominal : 0),
    0,
  );
  const dryPh = pouredAcidG >= ACID_PER_DRY_PART * dryG ? DRY_PART_PH.soaked : DRY_PART_PH.other;
  let highest = -Infinity;
  let [waterG, ownWaterG] = [0, 0];
  const acidMol: Record<AcidKey, number> = { acetic: 0, citric: 0, lactic: 0, malic: 0, tartaric: 0 };
  for (const { ingredient, massG } of parts) {
    const g = ingredient.composition.water * massG.nominal;
    waterG += g;
    if (ingredient.category === 'water') continue;
    if (isBindingDry(ingredient)) highest = Math.max(highest, dryPh);
    if (!isWet(ingredient)) continue;
    const own = countedOwnPh(ingredient);
    if (own === null) return null;
    const most = own + OWN_PH_SPREAD;
    highest = Math.max(
      highest,
      ingredient.traits.includes('cultured_milk') ? Math.min(most, CULTURED_MILK_PH) : most,
    );
    ownWaterG += g;
    for (const key of ACID_KEYS) acidMol[key] += acidMolPerG(ingredient, key) * massG.nominal * ACID_LOW;
  }
  if (!(waterG > 0)) return null;
  if (!(ownWaterG > 0) || highest >= NEUTRAL) return NEUTRAL;
  return Math.min(NEUTRAL, dilutedBound(highest, acidMol, ownWaterG / 1000, waterG / 1000));
}

/** Where a phase of this pH, held by its acids alone, comes to once it is in all the water. */
function dilutedBound(
  ph: number,
  acidMol: Readonly<Record<AcidKey, number>>,
  ownWaterKg: number,
  waterKg: number,
): number {
  const most = ph + Math.log10(waterKg / ownWaterKg);
  if (waterKg <= ownWaterKg) return ph;
  const perKg = (kg: number): Record<AcidKey, number> =>
    Object.fromEntries(ACID_KEYS.map((key) => [key, acidMol[key] / kg])) as Record<AcidKey, number>;
  const sid = strongIonDifferenceAt(ph, {
    acidMolPerKg: perKg(ownWaterKg),
    bufferEqPerPhPerKg: 0,
    saltMolPerKg: 0,
  });
  const solution = solvePh({
    strongIonDifferenceEqPerKg: (sid * ownWaterKg) / waterKg,
    acidMolPerKg: perKg(waterKg),
    bufferEqPerPhPerKg: 0,
    saltMolPerKg: 0,
  });
  return solution.status === 'converged' ? Math.min(most, Math.max(ph, solution.ph)) : most;
}

/** Dry seed, nut, flour, yeast, spice or powder: it drinks water and binds acid. */
const isBindingDry = (ingredient: Ingredient): boolean =>
  !isWet(ingredient) && !NO_BUFFER.has(ingredient.category) && ingredient.category !== 'water';
