/** A pasted list of additions to one result with stable keys: the glossary's names, plain nominal numbers, ranges apart. */
import { composition, MEASURE_KEYS, type Bounds, type MeasureKey, type TotalKey } from '#core/composition';
import { readLine } from '#core/formula';
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
}

/** One addition a line; blank lines and lines that begin with # are passed over. */
export function reckonText(text: string, spoons: SpoonSystem): ReckonResult {
  const context = {
    catalogue: REFERENCE_CATALOGUE,
    measuring: measuringWith(spoons),
    decimalSign: 'point',
  } as const;
  const lines = text
    .split(/\r?\n/)
    .map((line, index) => ({ line: index + 1, text: line.trim() }))
    .filter((entry) => entry.text !== '' && !entry.text.startsWith('#'))
    .map((entry) => ({ ...entry, reading: readLine(entry.text, context).reading }));
  const read = lines.flatMap(({ reading, ...entry }) =>
    reading.status === 'read' ? [{ ...entry, reading }] : [],
  );
  const totals = composition(read.map(({ reading }) => reading));
  const measures = Object.fromEntries(MEASURE_KEYS.map((key) => [key, totals.measures[key]])) as Record<
    MeasureKey,
    number | null
  >;
  return {
    spoons,
    additions: read.map(({ reading, ...entry }) => ({
      ...entry,
      ingredientId: reading.ingredient.id,
      massG: reading.massG,
      doubts: reading.doubts.map(sayDoubt),
    })),
    unread: lines.flatMap(({ reading, ...entry }) =>
      reading.status === 'unread'
        ? [{ ...entry, code: reading.problem.code, message: sayProblem(reading.problem) }]
        : [],
    ),
    massG: totals.massG,
    mixedVolumeMl: totals.mixedVolumeMl,
    ...measures,
    ranges: totals.ranges,
  };
}
