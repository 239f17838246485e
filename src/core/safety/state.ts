/**
 * What is known of a dressing, with bounds on the side of caution: pH from above (U), water activity
 * from above (A), acid from below (E acetic, S all of it), hazards, and what is not known at all.
 * Everything said later follows from this and from nothing else.
 */
import { METER_SPREAD, organicAcidAsAceticG, phBoundOf, waterActivityOf, type PhBound } from '#core/acidity';
import type { Hazard, Ingredient } from '#core/ingredient';
import { hazardsInWords, isRestless, namesLowAcidPlant, namesOil } from './lineWords';
import { asBoundPart, hazardsOf, isDryPart, takenApart, toTaste, type SafetyPart } from './parts';

export interface SafetyState {
  /** Formulas inside taken apart. */
  readonly parts: readonly SafetyPart[];
  /** Lines that could not be read, as they were typed, those of formulas inside included. */
  readonly unread: readonly string[];
  /** Upper bound of the pH of the water phase of this jar; `upper` null: not known. */
  readonly ph: PhBound;
  /** Upper bound of the water activity, 0..1. */
  readonly waterActivityUpper: number;
  /** Acetic acid, and all organic acid as acetic, in the water phase, from below, 0..1. */
  readonly aceticInWaterPhase: number;
  readonly acidInWaterPhase: number;
  readonly hazards: ReadonlyMap<Hazard, readonly Ingredient[]>;
  /** Hazards that words of unread lines give away. */
  readonly wordedHazards: ReadonlySet<Hazard>;
  /** R0: oil, sugar, salt and dry things alone. */
  readonly isDry: boolean;
  readonly byHand: readonly Ingredient[];
  readonly namesPlant: boolean;
  readonly namesOil: boolean;
}

/** Lower end of what the tables give for organic acid; estimate. */
const ACID_LOW = 0.9;
/** By how much the calculated water activity may be low, to 30 % solutes and beyond; estimate. */
const ACTIVITY_SPREAD = { thin: 0.01, thick: 0.03 };
const THICK_SOLUTES = 0.3;
/** What water can hold, as mass fraction of the solution: salt, sucrose (CRC Handbook, recalled). */
const MOST_SALT = 0.26;
const MOST_SUGAR = 0.67;

/**
 * @param unread lines that could not be read, as typed
 * @param meteredPh read in this very jar since anything was added; it may raise the bound and never lowers it
 */
export function stateOf(
  portions: readonly SafetyPart[],
  unread: readonly string[],
  meteredPh: number | null = null,
): SafetyState {
  const lines = [...unread];
  const parts = takenApart(portions, lines);
  const byHand = parts.map(({ ingredient }) => ingredient).filter((ingredient) => ingredient.byHand);
  const restless = [...lines, ...byHand.map(({ name }) => name)].some(isRestless);
  const known = lines.length === 0 && !restless;
  const hazards = new Map<Hazard, Ingredient[]>();
  for (const part of parts) {
    for (const hazard of hazardsOf(part)) {
      const from = hazards.get(hazard) ?? [];
      if (!from.includes(part.ingredient)) hazards.set(hazard, [...from, part.ingredient]);
    }
  }
  const acid = acidOf(parts);
  const isDry = lines.length === 0 && parts.every(isDryPart);
  return {
    parts,
    unread: lines,
    ph: metered(phBoundOf(parts.map(asBoundPart), known), isDry ? null : meteredPh),
    waterActivityUpper: lines.length > 0 || byHand.length > 0 ? 1 : activityUpperOf(parts),
    ...acid,
    hazards,
    wordedHazards: new Set(lines.flatMap(hazardsInWords)),
    isDry,
    byHand,
    namesPlant: lines.some(namesLowAcidPlant),
    namesOil: lines.some(namesOil),
  };
}

/** A reading shortens or adds; it never lengthens, and what is not known stays so. */
function metered(bound: PhBound, reading: number | null): PhBound {
  if (reading === null || bound.upper === null) return bound;
  const least = reading + METER_SPREAD;
  const raised = (ph: number | null): number | null => (ph === null ? null : Math.max(ph, least));
  return {
    ...bound,
    upper: raised(bound.upper),
    calculated: raised(bound.calculated),
    blended: raised(bound.blended),
  };
}

const gramsOf = (parts: readonly SafetyPart[], value: (ingredient: Ingredient) => number): number =>
  parts.reduce((sum, { ingredient, massG }) => sum + value(ingredient) * massG.nominal, 0);

function acidOf(parts: readonly SafetyPart[]): Pick<SafetyState, 'aceticInWaterPhase' | 'acidInWaterPhase'> {
  const waterG = gramsOf(parts, ({ composition }) => composition.water);
  const share = (acidG: number): number => (acidG > 0 ? acidG / (waterG + acidG) : 0);
  return {
    aceticInWaterPhase: share(ACID_LOW * gramsOf(parts, ({ composition }) => composition.acetic)),
    acidInWaterPhase: share(ACID_LOW * gramsOf(parts, organicAcidAsAceticG)),
  };
}

/**
 * Solutes in a dry paste stay there and do not count; salt and sucrose count as far as they dissolve.
 * 1 where there is no water to speak of: nothing is claimed.
 */
function activityUpperOf(parts: readonly SafetyPart[]): number {
  const dissolving = parts.filter((part) => !isDryPart(part) || DISSOLVES.has(part.ingredient.category));
  const waterG = gramsOf(dissolving, ({ composition }) => composition.water);
  if (!(waterG > 0)) return 1;
  const saltG = gramsOf(dissolving, ({ composition }) => composition.salt);
  const sucroseG = gramsOf(dissolving, ({ composition }) => composition.sucrose);
  const most = (g: number, limit: number): number =>
    g > 0 ? Math.min(1, (waterG * limit) / (1 - limit) / g) : 1;
  const [saltShare, sucroseShare] = [most(saltG, MOST_SALT), most(sucroseG, MOST_SUGAR)];
  const held = dissolving.map((part) => ({
    ...part,
    ingredient: {
      ...part.ingredient,
      composition: {
        ...part.ingredient.composition,
        salt: part.ingredient.composition.salt * saltShare,
        sucrose: part.ingredient.composition.sucrose * sucroseShare,
        // Hardly dissolves in the cold, and no rule speaks of it.
        polyol: 0,
      },
    },
  }));
  const value = waterActivityOf(held)?.value ?? 1;
  const solutesG = gramsOf(
    held,
    ({ composition: c }) => c.salt + c.sucrose + c.glucose + c.fructose + c.lactose,
  );
  const spread =
    solutesG / (solutesG + waterG) > THICK_SOLUTES ? ACTIVITY_SPREAD.thick : ACTIVITY_SPREAD.thin;
  return Math.min(1, value + spread);
}
const DISSOLVES: ReadonlySet<string> = new Set(['salt', 'sweet']);

/** Wet and to taste, but no vinegar: it is in there, and nobody knows how much. */
export const hasWetToTaste = (parts: readonly SafetyPart[]): boolean =>
  parts.some((part) => toTaste(part) && !isDryPart(part) && part.ingredient.category !== 'vinegar');
