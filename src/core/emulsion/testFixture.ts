/** Compositions behind the regression rows of the tests; the application uses the one ingredient record. */
import { mixedVolumeMlPerG } from '#core/composition';
import {
  REFERENCE_CATALOGUE,
  type Ingredient,
  type IngredientId,
  type StructureFamily,
  type StructureValues,
} from '#core/ingredient';
import { exactly, type Range } from '#core/quantity';
import type { HoldRequest } from './state';
import { holdRequest, usualSeconds } from './holdOf';
import { EMPTY_PART, type EmulsionPart, type PartAmount } from './part';

const body = (
  family: StructureFamily,
  yieldStressPa: number,
  viscosityPaS: number,
  exponent: number,
  cut: StructureValues['cut'] = 'smooth',
): StructureValues => ({ family, yieldStressPa, viscosityPaS, exponent, restPa: 0, cut });

const part = (values: Partial<EmulsionPart>): EmulsionPart => ({ ...EMPTY_PART, ...values });

export const PARTS = {
  olive: part({ freeOil: 1, oilId: 'olive_ev' }),
  wineVinegar: part({ water: 0.938, acetic: 0.06, mineral: 0.002 }),
  lemon: part({ water: 0.915, citric: 0.055, sugar: 0.022, mineral: 0.003, protein: 0.005 }),
  salt: part({ salt: 1 }),
  honey: part({ water: 0.175, sugar: 0.82, emulsifier: 'weak', adsorbableMassFraction: 0.003 }),
  mustard: part({
    water: 0.66,
    salt: 0.055,
    acetic: 0.025,
    sugar: 0.03,
    protein: 0.06,
    emulsifiedOil: 0.06,
    fibre: 0.11,
    mucilage: 0.007,
    emulsifiedDropM: 5e-6,
    swollenMlPerG: 0.38,
    structure: body('mustard', 50, 2, 4),
    emulsifier: 'mustard',
    adsorbableMassFraction: 0.021,
  }),
  yolk: part({
    water: 0.5,
    hydratedProtein: 0.16,
    lipidBound: 0.32,
    mineral: 0.01,
    swollenMlPerG: 0.12,
    structure: { ...body('yolk', 0, 0.8, 6), restPa: 0.05 },
    emulsifier: 'yolk',
    adsorbableMassFraction: 0.16,
  }),
  yoghurt: part({
    water: 0.87,
    sugar: 0.045,
    protein: 0.04,
    emulsifiedOil: 0.035,
    acetic: 0.01,
    emulsifiedDropM: 1e-6,
    swollenMlPerG: 0.3,
    structure: body('dairy', 18, 0.8, 6.5),
    emulsifier: 'milk',
    adsorbableMassFraction: 0.01,
  }),
  garlic: part({
    water: 0.62,
    sugar: 0.02,
    fibre: 0.3,
    protein: 0.06,
    mucilage: 0.01,
    swollenMlPerG: 0.35,
    structure: body('raw', 25, 1, 3.7, 'pieces'),
    emulsifier: 'weak',
    adsorbableMassFraction: 0.012,
  }),
  shallot: part({
    water: 0.86,
    sugar: 0.08,
    fibre: 0.05,
    protein: 0.01,
    swollenMlPerG: 0.25,
    structure: body('raw', 25, 1, 3.7, 'pieces'),
    emulsifier: 'weak',
    adsorbableMassFraction: 0.001,
  }),
  xanthan: part({ gum: 1 }),
} as const satisfies Record<string, EmulsionPart>;

export const mix = (amounts: Partial<Record<keyof typeof PARTS, number>>): readonly PartAmount[] =>
  Object.entries(amounts).map(([key, massG]) => ({
    part: PARTS[key as keyof typeof PARTS],
    massG: massG ?? 0,
  }));

/** 3 : 1 with nothing to hold it. */
export const BARE = { olive: 123.4, wineVinegar: 45.5, salt: 1 };

/** 180 ml in a jar, 80 mm high, at room temperature, shaken for 30 s, unless said otherwise. */
export const ask = (
  amounts: Parameters<typeof mix>[0],
  tool: HoldRequest['mixing']['tool'] = 'shake',
  seconds = 30,
  heightM = 0.08,
  temperatureC = 21,
): HoldRequest => ({
  amounts: mix(amounts),
  mixing: { tool, seconds, volumeMl: 180 },
  heightM,
  temperatureC,
});

/** Pantry ingredients by "90 ml olive_ev, 1.4 g salt_table"; ml by the density of the row. */
export function poured(text: string): readonly { readonly ingredient: Ingredient; readonly massG: Range }[] {
  return text.split(', ').map((line) => {
    const [, amount, unit, id] = /^([\d.]+) (g|ml) (\w+)$/.exec(line)!;
    const ingredient = REFERENCE_CATALOGUE.get(id as IngredientId);
    if (!ingredient) throw new Error(`no ${id!} in the pantry`);
    return {
      ingredient,
      massG: exactly(Number(amount) * (unit === 'ml' ? ingredient.spoonDensityGPerMl : 1)),
    };
  });
}

/** As the pantry's things are mixed: usual seconds, 80 mm high. */
export function askPantry(
  text: string,
  tool: HoldRequest['mixing']['tool'] = 'whisk',
  temperatureC = 21,
): HoldRequest {
  const portions = poured(text);
  return holdRequest(portions, {
    tool,
    seconds: usualSeconds(tool),
    volumeMl: portions.reduce(
      (ml, { ingredient, massG }) => ml + massG.nominal * mixedVolumeMlPerG(ingredient),
      0,
    ),
    heightM: 0.08,
    temperatureC,
  });
}
