/** A pasted list of additions to one result with stable keys: the glossary's names, plain nominal numbers, ranges apart. */
import { composition, MEASURE_KEYS, type Bounds, type MeasureKey, type TotalKey } from '#core/composition';
import { readLine, type AdditionReading } from '#core/formula';
import { MEASURE_WORDS, sayReason, verdictOf, type PalateKey, type Style } from '#core/palate';
import { judge, type JudgedPortion, type Judgement } from '#core/reckoning';
import type { PhReading } from '#core/acidity';
import { sayCaution, sayKeeping, type AllergenEntry, type KeepingReason } from '#core/safety';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { sayDoubt, sayProblem, type Range, type SpoonSystem } from '#core/quantity';

export interface ReckonResult extends Readonly<Record<MeasureKey, number | null>> {
  readonly spoons: SpoonSystem;
  readonly additions: readonly {
    readonly line: number;
    readonly text: string;
    readonly ingredientId: string;
    readonly massG: Range;
    readonly doubts: readonly string[];
  }[];
  readonly unread: readonly {
    readonly line: number;
    readonly text: string;
    readonly code: string;
    readonly message: string;
  }[];
  readonly massG: number;
  readonly mixedVolumeMl: number;
  readonly ranges: Readonly<Record<TotalKey, Bounds>>;
  readonly titratableAcidityMeqPer100G: number | null;
  readonly tastedAcidityAsAceticMassFraction: number | null;
  readonly ph: PhReading;
  readonly waterActivity: number | null;
  readonly sucroseEquivalentMassFraction: number | null;
  readonly sugarToAcidRatio: number | null;
  readonly energyKcalPer100G: number | null;
  readonly allergens: Readonly<Record<'eu14' | 'us9' | 'mayBeIn', readonly string[]>>;
  readonly cautions: readonly {
    readonly code: string;
    readonly value: number | null;
    readonly limit: number | null;
    readonly source: string;
    readonly message: string;
  }[];
  readonly keepingDays: {
    readonly days: number;
    readonly reason: KeepingReason;
    readonly message: string;
  };
  readonly verdict?: ReckonVerdict;
}

export interface ReckonVerdict {
  readonly style: string;
  readonly score: number;
  readonly reasons: readonly {
    readonly measure: PalateKey;
    readonly direction: 'low' | 'high';
    readonly value: number;
    readonly low: number;
    readonly high: number;
    readonly message: string;
  }[];
  readonly notJudged: readonly string[];
}

interface TextLine {
  readonly line: number;
  readonly text: string;
  readonly reading: AdditionReading;
  readonly form: string;
}

/** One addition a line; blank lines and lines that begin with # are passed over. */
export function readText(text: string, spoons: SpoonSystem): readonly TextLine[] {
  const context = {
    catalogue: REFERENCE_CATALOGUE,
    measuring: measuringWith(spoons),
    decimalSign: 'point',
  } as const;
  return text
    .split(/\r?\n/)
    .map((line, index) => ({ line: index + 1, text: line.trim() }))
    .filter((entry) => entry.text !== '' && !entry.text.startsWith('#'))
    .map((entry) => {
      const { reading, form } = readLine(entry.text, context);
      return { ...entry, reading, form };
    });
}

/** What lies in the jar, of the lines that were read. */
export const portionsOf = (lines: readonly TextLine[]): readonly JudgedPortion[] =>
  judge(
    lines.flatMap(({ reading, form }) => (reading.status === 'read' ? [{ reading, form }] : [])),
    0,
  ).portions;

export function reckonText(text: string, spoons: SpoonSystem, style: Style | null = null): ReckonResult {
  const lines = readText(text, spoons);
  const read = lines.flatMap(({ reading, ...entry }) =>
    reading.status === 'read' ? [{ ...entry, reading }] : [],
  );
  const judgement = judge(read, lines.length - read.length);
  const totals = composition(read.map(({ reading }) => reading));
  const measures = Object.fromEntries(MEASURE_KEYS.map((key) => [key, totals.measures[key]])) as Record<
    MeasureKey,
    number | null
  >;
  return {
    spoons,
    additions: read.map(({ reading, line, text: typed }) => ({
      line,
      text: typed,
      ingredientId: reading.ingredient.id,
      massG: reading.massG,
      doubts: reading.doubts.map(sayDoubt),
    })),
    unread: lines.flatMap(({ reading, line, text: typed }) =>
      reading.status === 'unread'
        ? [{ line, text: typed, code: reading.problem.code, message: sayProblem(reading.problem) }]
        : [],
    ),
    massG: totals.massG,
    mixedVolumeMl: totals.mixedVolumeMl,
    ...measures,
    ranges: totals.ranges,
    titratableAcidityMeqPer100G: judgement.acidity?.titratableAcidityMeqPer100G ?? null,
    tastedAcidityAsAceticMassFraction: judgement.acidity?.tastedAcidityAsAceticMassFraction ?? null,
    ph: judgement.ph,
    waterActivity: judgement.waterActivity?.value ?? null,
    sucroseEquivalentMassFraction: judgement.palate.sweet.value,
    sugarToAcidRatio: judgement.palate.sugarToAcid.value,
    energyKcalPer100G: judgement.nutrition?.energyKcalPer100G ?? null,
    allergens: {
      eu14: judgement.allergens.eu14.map(nameOf),
      us9: judgement.allergens.us9.map(nameOf),
      mayBeIn: judgement.allergens.mayBeIn.map(nameOf),
    },
    cautions: judgement.cautions.map((caution) => {
      const { code, value, limit, source } = caution;
      const { what, why } = sayCaution(caution);
      return { code, value, limit, source, message: `${what} ${why}` };
    }),
    keepingDays: {
      days: judgement.keeping.days,
      reason: judgement.keeping.reason,
      message: sayKeeping(judgement.keeping),
    },
    ...(style ? { verdict: verdictFor(judgement, style) } : {}),
  };
}

const nameOf = ({ allergen }: AllergenEntry): string => allergen;

function verdictFor({ palate }: Judgement, style: Style): ReckonVerdict {
  const { score, reasons, notJudged } = verdictOf(palate, style);
  return {
    style: style.id,
    score,
    reasons: reasons.map((reason) => {
      const { measure, direction, value, low, high } = reason;
      return { measure, direction, value, low, high, message: sayReason(reason) };
    }),
    notJudged: notJudged.map((key) => MEASURE_WORDS[key].title),
  };
}
