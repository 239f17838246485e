/**
 * The dish in the balance: how much dressing a bowl of things takes, what clings, is drunk or runs to the
 * bottom as time goes on, what water is drawn, and what of it arrives in the mouth. A box model with first-order
 * uptake: every gram is on a thing, in it, or at the bottom. All estimate, but for the amounts of common
 * practice (see `surfaces.ts`).
 */
import { G_ACETIC_PER_MEQ, tastedMeqPer100G } from '#core/acidity';
import type { Ingredient, ThicknessClass } from '#core/ingredient';
import { mixedVolumeMlPerG } from '#core/composition';
import { sucroseEquivalentOf } from '#core/palate';
import { DRESSED, type Dressed } from '#core/service';
import { drawnLeft, SALTED_LEAVES, saltLeft, type Preparation } from './preparation';
import { surfaceOf, type SurfaceValues } from './surfaces';

export interface DishThing {
  readonly ingredient: Ingredient;
  /** As eaten, g, ≥ 0. */
  readonly massG: number;
  readonly preparation: Preparation;
}

export const DISH_MEASURES = ['salt', 'acid', 'sweet', 'fat'] as const;
/** Mass fractions: salt; acid as acetic, as tasted; sugars as sucrose; fat. */
export type DishMeasure = (typeof DISH_MEASURES)[number];
type Solutes = Readonly<Record<DishMeasure, number>>;

/** A dressing as it is poured. */
export interface PouredDressing {
  readonly gPerMl: number;
  /** g per g. */
  readonly holds: Solutes;
  readonly thickness: ThicknessClass | null;
  /** Raw garlic or onion is in it. */
  readonly rawAllium: boolean;
}

export interface DressingForDish {
  readonly nominalMl: number;
  readonly lowMl: number;
  readonly highMl: number;
}

/** What is in a gram of it. */
export const solutesOf = (ingredient: Ingredient): Solutes => ({
  salt: ingredient.composition.salt,
  acid: (tastedMeqPer100G(ingredient) / 100) * G_ACETIC_PER_MEQ,
  sweet: sucroseEquivalentOf(ingredient),
  fat: ingredient.composition.fat,
});

/**
 * A dressing from what lies in its jar.
 *
 * @param thickness as it is made; null: not known, and counted as one that pours like cream
 * @returns null where there is nothing to pour
 */
export function pouredFrom(
  portions: readonly { readonly ingredient: Ingredient; readonly massG: { readonly nominal: number } }[],
  thickness: ThicknessClass | null,
): PouredDressing | null {
  let [g, ml] = [0, 0];
  const sums: Record<DishMeasure, number> = { salt: 0, acid: 0, sweet: 0, fat: 0 };
  for (const { ingredient, massG } of portions) {
    g += massG.nominal;
    ml += massG.nominal * mixedVolumeMlPerG(ingredient);
    const own = solutesOf(ingredient);
    for (const measure of DISH_MEASURES) sums[measure] += own[measure] * massG.nominal;
  }
  if (!(g > 0 && ml > 0)) return null;
  const holds = Object.fromEntries(DISH_MEASURES.map((measure) => [measure, sums[measure] / g]));
  const rawAllium = portions.some(
    ({ ingredient: { hazards }, massG }) => massG.nominal > 0 && hazards.includes('raw_allium'),
  );
  return { gPerMl: g / ml, holds: holds as Record<DishMeasure, number>, thickness, rawAllium };
}

const ownOf = ({ ingredient, preparation }: DishThing): Solutes => {
  const raw = solutesOf(ingredient);
  const unsalted = preparation.unsalted ? 0 : raw.salt * saltLeft(preparation);
  return { ...raw, salt: unsalted + (preparation.salted ? SALTED_LEAVES : 0) };
};

const per100 = (
  things: readonly DishThing[],
  pick: (values: SurfaceValues, thing: DishThing) => number,
): number =>
  things.reduce((sum, thing) => sum + (thing.massG / 100) * pick(surfaceOf(thing.ingredient), thing), 0);

/** A whole tomato has less to dress than a cut one; tag: estimate. */
const WHOLE_TAKES = 0.7;

/**
 * How much dressing it takes, with its range: half way to the next word on either side.
 *
 * @param things masses finite and ≥ 0
 * @throws RangeError where a mass is none
 */
export function dressingForDish(things: readonly DishThing[], dressed: Dressed): DressingForDish {
  for (const { massG } of things)
    if (!(massG >= 0 && Number.isFinite(massG)))
      throw new RangeError('A thing of the dish weighs nothing or more.');
  const at = (how: Dressed): number =>
    per100(
      things,
      ({ mlPer100G }, { preparation }) => mlPer100G[how] * (preparation.whole ? WHOLE_TAKES : 1),
    );
  const [here, place] = [at(dressed), DRESSED.indexOf(dressed)];
  const [below, above] = [DRESSED[place - 1], DRESSED[place + 1]];
  return {
    nominalMl: here,
    lowMl: below ? (here + at(below)) / 2 : here * 0.75,
    highMl: above ? (here + at(above)) / 2 : here * 1.25,
  };
}

/** A thicker dressing stays where it was put; tag: estimate. */
const CLINGS: Readonly<Record<ThicknessClass, number>> = {
  runny: 0.85,
  'pours-like-cream': 1,
  'coats-a-spoon': 1.4,
  spoonable: 1.8,
  'holds-its-shape': 2.4,
  stiff: 3,
};
/** Warm, it drinks more and faster; tag: estimate. */
const WARM = { drinks: 1.4, faster: 0.4 };
/** Salt of the dressing that draws as much as the table says, g per g; tag: common practice. */
const DRAWING_SALT = 0.016;
/** Of what a thing has drunk, so much is still tasted; tag: estimate. */
const DRUNK_TASTED = 0.5;

/** What a plain leaf has of its own and nobody calls seasoned, g per g; tag: estimate. */
const PLAIN_LEAF: Omit<Solutes, 'salt'> = { acid: 0.001, sweet: 0.012, fat: 0.004 };

const risen = (minutes: number, halfMin: number): number => 1 - 2 ** (-minutes / halfMin);

export interface DishAtTime {
  /** On the things, ml of dressing and of the water in it. */
  readonly clingsMl: number;
  readonly drunkMl: number;
  /** At the bottom of the bowl, ml. */
  readonly poolMl: number;
  /** Drawn by salt and acid, and brought in by washing, g. */
  readonly drawnWaterG: number;
  readonly wetWaterG: number;
  /** What a fork lifts of it all, g; the pool stays behind. */
  readonly forkfulG: number;
  /** Of the forkful as it is lifted, g per g. */
  readonly forkful: Solutes;
  /** The same as the dressing alone would have to be on plain leaves, g per g: what the tongue compares. */
  readonly asDressing: Solutes;
  /** Who brings what of that: shares that add up to 1, the dressing first. Nothing of it at all: none. */
  readonly from: Readonly<
    Record<DishMeasure, readonly { readonly index: number | null; readonly share: number }[]>
  >;
}

/**
 * @param poured ml of the dressing, > 0
 * @param minutes from dressing to eating, ≥ 0
 * @throws RangeError where a volume or a time is none
 */
export function dishAt(
  things: readonly DishThing[],
  dressing: PouredDressing,
  poured: number,
  minutes: number,
): DishAtTime {
  if (!(poured > 0 && Number.isFinite(poured))) throw new RangeError('The dressing is a volume above 0 ml.');
  if (!(minutes >= 0 && Number.isFinite(minutes))) throw new RangeError('The time is 0 minutes or more.');
  const { holds, gPerMl, thickness } = dressing;
  // Salt and acid draw, and nothing draws more than twice as much.
  const pull = Math.min(2, 0.25 + (0.75 * (holds.salt + holds.acid / 2)) / DRAWING_SALT);
  const drawnWaterG = per100(
    things,
    ({ drawnMl, drawnHalfMin }, { preparation }) =>
      drawnMl * pull * drawnLeft(preparation) * risen(minutes, drawnHalfMin),
  );
  const wetWaterG = per100(things, ({ wetMl }, { preparation }) =>
    preparation.wet ? wetMl : preparation.dry ? 0 : wetMl * 0.2,
  );
  const waterMl = drawnWaterG + wetWaterG;
  const thirst = per100(things, ({ drinkMl, drinkHalfMin }, { preparation: { warm } }) => {
    const [more, half] = warm ? [WARM.drinks, drinkHalfMin * WARM.faster] : [1, drinkHalfMin];
    return drinkMl * more * risen(minutes, half);
  });
  const liquidMl = poured + waterMl;
  const drunkMl = Math.min(thirst, liquidMl * 0.9);
  const room = per100(things, ({ clingMl }) => clingMl) * (thickness === null ? 1 : CLINGS[thickness]);
  const clingsMl = Math.min(liquidMl - drunkMl, room);
  const poolMl = Math.max(0, liquidMl - drunkMl - clingsMl);
  // The water is mixed with the dressing: each part of the liquid carries its share of what is dissolved in it.
  const dressingG = poured * gPerMl;
  const shareOf = (ml: number): number => ml / liquidMl;
  const dryG = things.reduce((sum, { massG }) => sum + massG, 0) - drawnWaterG;
  const liquidG = (ml: number): number => shareOf(ml) * (dressingG + waterMl);
  const forkfulG = dryG + liquidG(clingsMl) + liquidG(drunkMl);
  const lifted = shareOf(clingsMl) + shareOf(drunkMl);
  const tasted = shareOf(clingsMl) + shareOf(drunkMl) * DRUNK_TASTED;
  const owns = things.map((thing) => ({
    thing,
    own: ownOf(thing),
    surface: surfaceOf(thing.ingredient),
  }));
  const forkful = {} as Record<DishMeasure, number>;
  const asDressing = {} as Record<DishMeasure, number>;
  const from = {} as Record<DishMeasure, DishAtTime['from'][DishMeasure]>;
  for (const measure of DISH_MEASURES) {
    const ownG = owns.map(({ thing, own }) => thing.massG * own[measure]);
    const inDressingG = dressingG * holds[measure];
    forkful[measure] = forkfulG > 0 ? (ownG.reduce((a, b) => a + b, 0) + inDressingG * lifted) / forkfulG : 0;
    const parts = [
      { index: null, g: inDressingG * tasted },
      ...owns.map(({ thing: { massG }, own, surface: { biteShare, plainSalt } }, index) => {
        // Unsalted rice takes salt from the dressing; a leaf without sugar takes none.
        const beyond =
          measure === 'salt' ? own.salt - plainSalt : Math.max(0, own[measure] - PLAIN_LEAF[measure]);
        return { index, g: beyond * massG * biteShare };
      }),
    ];
    const all = parts.reduce((sum, { g }) => sum + Math.max(0, g), 0);
    asDressing[measure] =
      Math.max(
        0,
        parts.reduce((sum, { g }) => sum + g, 0),
      ) / dressingG;
    from[measure] = all > 0 ? parts.map(({ index, g }) => ({ index, share: Math.max(0, g) / all })) : [];
  }
  return { clingsMl, drunkMl, poolMl, drawnWaterG, wetWaterG, forkfulG, forkful, asDressing, from };
}
