/**
 * What a dressing made beforehand is to the one it goes into. Where yolk or dairy holds its oil it is one thick thing, as
 * thick as its own mixing leaves it, its oil in drops already; else it is its parts again, and its oil has to be broken
 * anew.
 */
import type { Ingredient, StructureValues } from '#core/ingredient';
import { EMPTY_PART, partOf, type EmulsionPart, type PartAmount } from './part';
import { emulsionState } from './state';

const known = new WeakMap<Ingredient, EmulsionPart>();

export function emulsionPartOf(ingredient: Ingredient): EmulsionPart {
  let part = known.get(ingredient);
  if (!part) known.set(ingredient, (part = ingredient.made ? mixed(ingredient) : partOf(ingredient)));
  return part;
}

/** What goes into the model: a made thing that nothing holds is taken apart. */
export function partAmounts(ingredient: Ingredient, massG: number): readonly PartAmount[] {
  const part = emulsionPartOf(ingredient);
  if (!ingredient.made || isHeld(part)) return [{ part, massG }];
  return ingredient.made.parts.flatMap(({ ingredient: inner, massFraction }) =>
    partAmounts(inner, massFraction * massG),
  );
}

const isHeld = ({ emulsifier }: EmulsionPart): boolean => emulsifier === 'yolk' || emulsifier === 'milk';

const SUMMED = [
  ...(['water', 'sugar', 'salt', 'acetic', 'citric', 'protein', 'hydratedProtein', 'ethanol'] as const),
  ...(['fibre', 'gum', 'mucilage', 'mineral', 'lipidBound', 'boundFat'] as const),
  ...(['swollenMlPerG', 'adsorbableMassFraction'] as const),
] as const;

function mixed({ made }: Ingredient): EmulsionPart {
  const parts = made!.parts.map(({ ingredient, massFraction }) => ({
    part: emulsionPartOf(ingredient),
    massFraction,
  }));
  const sum = (of: (part: EmulsionPart) => number): number =>
    parts.reduce((total, { part, massFraction }) => total + of(part) * massFraction, 0);
  const [main] = [...parts].sort(
    (a, b) => b.part.adsorbableMassFraction * b.massFraction - a.part.adsorbableMassFraction * a.massFraction,
  );
  const kind = main && main.part.adsorbableMassFraction > 0 ? main.part.emulsifier : 'none';
  const part = {
    ...EMPTY_PART,
    ...Object.fromEntries(SUMMED.map((key) => [key, sum((each) => each[key])])),
    emulsifier: kind,
  };
  const free = sum(({ freeOil }) => freeOil);
  const held = isHeld(part);
  const [oiliest] = [...parts].sort(
    (a, b) => b.part.freeOil * b.massFraction - a.part.freeOil * a.massFraction,
  );
  return {
    ...part,
    freeOil: held ? 0 : free,
    emulsifiedOil: sum(({ emulsifiedOil }) => emulsifiedOil) + (held ? free : 0),
    emulsifiedDropM: HELD_DROP_M,
    structure: held ? bodyOfMade(made!) : null,
    oilId: oiliest?.part.oilId ?? null,
  };
}

/** Drops of a sauce made beforehand; estimate. */
const HELD_DROP_M = 6e-6;
/** As it was made: a jarful, whisked. What it really was mixed with nobody wrote into it. */
const MADE = { volumeMl: 250, seconds: 120, heightM: 0.08, temperatureC: 20 } as const;
const PACKED_EXPONENT = 12;
/** Below this a made dressing has nothing of a body. */
const LEAST_PA = 0.05;

function bodyOfMade({ parts }: NonNullable<Ingredient['made']>): StructureValues | null {
  const state = emulsionState({
    amounts: parts.flatMap(({ ingredient, massFraction }) =>
      partAmounts(ingredient, massFraction * MADE.volumeMl),
    ),
    mixing: { tool: 'whisk', seconds: MADE.seconds, volumeMl: MADE.volumeMl },
    heightM: MADE.heightM,
    temperatureC: MADE.temperatureC,
  });
  if (!state || state.split) return null;
  const { yieldStressPa, apparentViscosityPaS } = state.thickness;
  return {
    family: yieldStressPa > LEAST_PA ? 'packed' : 'thin',
    yieldStressPa: yieldStressPa > LEAST_PA ? yieldStressPa : 0,
    viscosityPaS: apparentViscosityPaS,
    exponent: PACKED_EXPONENT,
    restPa: 0,
    cut: 'smooth',
  };
}
