/** The dish under the dressing, for the command line: the very model of the screens. */
import { composition } from '#core/composition';
import {
  bestMomentFor,
  dishAt,
  dishReasons,
  dressingForDish,
  minutesOf,
  readDish,
  safetyWithDish,
  pouredFrom as pouredOf,
  type DishMeasure,
  type PouredDressing,
} from '#core/dish';
import { emulsionState, holdRequest, ROOM_C, USUAL_HEIGHT_M, usualSeconds } from '#core/emulsion';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import type { SpoonSystem } from '#core/quantity';
import { judgePortions, type JudgedPortion } from '#core/reckoning';
import { DRESSED, type Dressed } from '#core/service';
import { sayDishReason } from '#words/dish';
import { sayProblem } from '#words/reading';
import { commandLineWords } from '#words/screens/commandLine';

interface DishAsk {
  readonly text: string;
  readonly spoons: SpoonSystem;
  readonly dressed: Dressed;
  /** Null: as is best for it. */
  readonly minutes: number | null;
}

const MOST_MINUTES = 2880;

/** The ask, or what is wrong with it in words. */
export function dishAskOf(
  text: string,
  spoons: SpoonSystem,
  dressed: string,
  minutes: string | undefined,
): DishAsk | string {
  const how = DRESSED.find((word) => word === dressed);
  if (!how) return commandLineWords.dressedIsOneOf(dressed, DRESSED.join(', '));
  const eatenMin = minutes === undefined ? null : Number(minutes.trim() || NaN);
  if (eatenMin !== null && !(eatenMin >= 0 && eatenMin <= MOST_MINUTES))
    return commandLineWords.minutesAre0To(MOST_MINUTES, minutes ?? '');
  return { text, spoons, dressed: how, minutes: eatenMin };
}

/** @throws nothing: what cannot be read is said, and nothing of it counts */
export function dishOfText(portions: readonly JudgedPortion[], { text, spoons, dressed, minutes }: DishAsk) {
  const context = {
    catalogue: REFERENCE_CATALOGUE,
    measuring: measuringWith(spoons),
    decimalSign: 'point',
  } as const;
  const lines = readDish(text, context);
  const read = lines.flatMap(({ thing, ...entry }) => (thing ? [{ ...entry, thing }] : []));
  const things = read.map(({ thing }) => thing);
  const unread = lines.flatMap(({ line, text: typed, reading }) =>
    reading.status === 'unread'
      ? [{ line, text: typed, code: reading.problem.code, message: sayProblem(reading.problem) }]
      : [],
  );
  const need = dressingForDish(things, dressed);
  const dressingMl = { nominal: need.nominalMl, low: need.lowMl, high: need.highMl };
  const eatenMin = minutes ?? minutesOf(bestMomentFor(things));
  const dressing = pouredFrom(portions);
  const safety = safetyWithDish(
    portions,
    judgePortions(portions),
    things,
    unread.map(({ text: typed }) => typed),
  );
  const said = {
    /** Of dressing and dish together. */
    allergens: safety.allergens.eu14.map(({ allergen }) => allergen),
    cautions: safety.cautions.map(({ code }) => code),
    dressed,
    minutes: eatenMin,
    things: read.map(({ line, thing }) => thingSaid(line, thing)),
    unread,
  };
  if (!dressing || !(need.nominalMl > 0))
    return { ...said, dressingMl, forkful: null, asDressing: null, drawnWaterG: 0, reasons: [] };
  const at = dishAt(things, dressing, need.nominalMl, eatenMin);
  return {
    ...said,
    dressingMl,
    forkful: fractions(at.forkful),
    /** The dressing that would taste so on plain leaves. */
    asDressing: fractions(at.asDressing),
    drawnWaterG: at.drawnWaterG + at.wetWaterG,
    clingsMl: at.clingsMl,
    drunkMl: at.drunkMl,
    poolMl: at.poolMl,
    reasons: dishReasons(things, dressing, eatenMin, at).map((reason) => ({
      ...reason,
      ...('index' in reason ? { ingredientId: things[reason.index]!.ingredient.id } : {}),
      message: sayDishReason(reason, (index) => things[index]!.ingredient.name),
    })),
  };
}

const thingSaid = (
  line: number,
  { ingredient, massG, preparation }: ReturnType<typeof readDish>[number]['thing'] & object,
) => ({
  line,
  ingredientId: ingredient.id,
  massG,
  preparation: Object.entries(preparation).flatMap(([word, is]) => (is ? [word] : [])),
});

const fractions = (of: Readonly<Record<DishMeasure, number>>) => ({
  saltMassFraction: of.salt,
  acidityAsAceticMassFraction: of.acid,
  sucroseEquivalentMassFraction: of.sweet,
  fatMassFraction: of.fat,
});

/** Null: there is nothing to pour. */
function pouredFrom(portions: readonly JudgedPortion[]): PouredDressing | null {
  const { massG, mixedVolumeMl } = composition(portions);
  if (!(massG > 0 && mixedVolumeMl > 0)) return null;
  const state = emulsionState(
    holdRequest(portions, {
      tool: 'shake',
      seconds: usualSeconds('shake'),
      volumeMl: mixedVolumeMl,
      heightM: USUAL_HEIGHT_M,
      temperatureC: ROOM_C,
    }),
  );
  return pouredOf(portions, state?.thickness.classes[1] ?? null);
}
