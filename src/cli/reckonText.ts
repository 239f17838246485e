/** A pasted list of additions to one result with stable keys: the glossary's names, plain nominal numbers, ranges apart. */
import { composition, MEASURE_KEYS, type Bounds, type MeasureKey, type TotalKey } from '#core/composition';
import { readLines, type AdditionReading } from '#core/formula';
import { asideOf, headingOf, type AsideReason, type Section } from '#core/interchange';
import { nearestStyles, STYLES, verdictOf, type PalateKey, type Style } from '#core/palate';
import { MEASURE_WORDS, sayReason } from '#words/palate';
import { judge, portionsOf as portionsOfRead, type JudgedPortion, type Judgement } from '#core/reckoning';
import type { PhReading } from '#core/acidity';
import type { AllergenEntry, CautionTier, LimitName } from '#core/safety';
import { sayCaution, sayKeeping } from '#words/safety';
import { measuringWith, REFERENCE_CATALOGUE, type Ingredient } from '#core/ingredient';
import type { Range, SpoonSystem } from '#core/quantity';
import { sayDoubt, sayProblem } from '#words/reading';

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
  /** No additions: headings, the dish, what is told to be done, how much it makes. */
  readonly setAside: readonly AsideLine[];
  readonly massG: number;
  readonly mixedVolumeMl: number;
  readonly ranges: Readonly<Record<TotalKey, Bounds>>;
  readonly titratableAcidityMeqPer100G: number | null;
  readonly tastedAcidityAsAceticMassFraction: number | null;
  readonly ph: PhReading & {
    readonly upperBound: number | null;
    readonly boundBy: 'calculated' | 'bracket' | null;
  };
  readonly waterActivity: number | null;
  readonly sucroseEquivalentMassFraction: number | null;
  readonly sugarToAcidRatio: number | null;
  readonly energyKcalPer100G: number | null;
  readonly allergens: Readonly<
    Record<'eu14' | 'us9' | 'mayBeIn' | 'probableEu14' | 'probableUs9' | 'missing', readonly string[]>
  > & { readonly complete: boolean };
  readonly cautions: readonly {
    readonly code: string;
    readonly tier: CautionTier;
    readonly value: number | null;
    readonly limit: number | null;
    readonly source: string;
    readonly message: string;
  }[];
  readonly keepingDays: {
    readonly days: number;
    readonly limit: LimitName;
    readonly cold: boolean;
    /** The limit by the name it had before limits had names. */
    readonly reason: string;
    readonly message: string;
  };
  /** The three that fit best, best first; none where there is nothing in it. */
  readonly nearestStyles: readonly {
    readonly style: string;
    readonly name: string;
    readonly score: number;
  }[];
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

/** What is no addition, and why. */
interface AsideLine {
  readonly line: number;
  readonly text: string;
  readonly why: AsideReason;
}

interface TextLine {
  readonly line: number;
  readonly text: string;
  readonly reading: AdditionReading;
  readonly form: string;
}

/** One addition a line; blank lines and lines that begin with # are passed over. */
export function readText(
  text: string,
  spoons: SpoonSystem,
): { readonly lines: readonly TextLine[]; readonly setAside: readonly AsideLine[] } {
  const context = {
    catalogue: REFERENCE_CATALOGUE,
    measuring: measuringWith(spoons),
    decimalSign: 'point',
  } as const;
  const lines: TextLine[] = [];
  const setAside: AsideLine[] = [];
  let section: Section = 'jar';
  text.split(/\r?\n/).forEach((raw, index) => {
    const entry = { line: index + 1, text: raw.trim() };
    if (entry.text === '' || entry.text.startsWith('#')) return;
    const heading = headingOf(entry.text);
    if (heading) {
      section = heading;
      setAside.push({ ...entry, why: 'heading' });
      return;
    }
    const read = readLines(entry.text, context);
    const why = asideOf(entry.text, section, ingredientsOf(read.map(({ reading }) => reading)));
    if (why) setAside.push({ ...entry, why });
    else lines.push(...read.map(({ reading, form }) => ({ ...entry, reading, form })));
  });
  return { lines, setAside };
}

/** Null where one of them was not read. */
function ingredientsOf(readings: readonly AdditionReading[]): readonly Ingredient[] | null {
  const found = readings.flatMap((reading) => (reading.status === 'read' ? [reading.ingredient] : []));
  return found.length === readings.length ? found : null;
}

/** What lies in the jar, of the lines that were read. */
export const portionsOf = (lines: readonly TextLine[]): readonly JudgedPortion[] =>
  portionsOfRead(
    lines.flatMap(({ reading, form, text }) =>
      reading.status === 'read' ? [{ reading, form, said: text }] : [],
    ),
  );

export function reckonText(text: string, spoons: SpoonSystem, style: Style | null = null): ReckonResult {
  const { lines, setAside } = readText(text, spoons);
  const read = lines.flatMap(({ reading, ...entry }) =>
    reading.status === 'read' ? [{ ...entry, reading }] : [],
  );
  const unread = lines.flatMap(({ reading, text: typed }) => (reading.status === 'unread' ? [typed] : []));
  const judgement = judge(
    read.map(({ reading, form, text: typed }) => ({ reading, form, said: typed })),
    unread,
  );
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
    setAside,
    massG: totals.massG,
    mixedVolumeMl: totals.mixedVolumeMl,
    ...measures,
    ranges: totals.ranges,
    titratableAcidityMeqPer100G: judgement.acidity?.titratableAcidityMeqPer100G ?? null,
    tastedAcidityAsAceticMassFraction: judgement.acidity?.tastedAcidityAsAceticMassFraction ?? null,
    ph: { ...judgement.ph, upperBound: judgement.phBound.upper, boundBy: judgement.phBound.boundBy },
    waterActivity: judgement.waterActivity?.value ?? null,
    sucroseEquivalentMassFraction: judgement.palate.sweet.value,
    sugarToAcidRatio: judgement.palate.sugarToAcid.value,
    energyKcalPer100G: judgement.nutrition?.energyKcalPer100G ?? null,
    allergens: {
      eu14: judgement.allergens.eu14.map(nameOf),
      us9: judgement.allergens.us9.map(nameOf),
      mayBeIn: judgement.allergens.mayBeIn.map(nameOf),
      probableEu14: judgement.allergens.probableEu14.map(nameOf),
      probableUs9: judgement.allergens.probableUs9.map(nameOf),
      complete: judgement.allergens.missing.length === 0,
      missing: judgement.allergens.missing,
    },
    cautions: judgement.cautions.map((caution) => {
      const { code, tier, value, limit, source } = caution;
      const { what, why } = sayCaution(caution);
      return { code, tier, value, limit, source, message: `${what} ${why}` };
    }),
    keepingDays: {
      days: judgement.keeping.days,
      limit: judgement.keeping.limit,
      cold: judgement.keeping.cold,
      reason: FORMER_NAMES[judgement.keeping.limit] ?? judgement.keeping.limit,
      message: sayKeeping(judgement.keeping),
    },
    nearestStyles: nearestStyles(judgement.portions, STYLES)
      .slice(0, NEAREST)
      .map(({ style: near, verdict }) => ({ style: near.id, name: near.name, score: verdict.score })),
    ...(style ? { verdict: verdictFor(judgement, style) } : {}),
  };
}

/** `keepingDays.reason` goes on saying what it always said. */
const FORMER_NAMES: Partial<Record<LimitName, string>> = {
  low_acid: 'high_ph',
  cut_plant: 'raw_vegetable_or_fruit',
  sour_juice: 'raw_vegetable_or_fruit',
  shelf: 'shelf_stable',
};

const nameOf = ({ allergen }: Pick<AllergenEntry, 'allergen'>): string => allergen;

const NEAREST = 3;

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
