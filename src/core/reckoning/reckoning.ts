/**
 * The whole reckoning of a formula in one place: readings, composition, fill lines. The command
 * line, the screens and the server all call this, so that they can never disagree.
 */
import { composition, mixedVolumeMlPerG, type CompositionTotals, type Portion } from '#core/composition';
import {
  inOrder,
  readAddition,
  servingsIn,
  type Addition,
  type AdditionId,
  type AdditionReading,
  type Formula,
  type ReadingContext,
} from '#core/formula';
import { judge, type Judgement } from './judgement';
import { fillLines, fillShare, headspaceOf, type FillLine, type Headspace, type Vessel } from '#core/vessel';

export interface ReckonedAddition {
  readonly addition: Addition;
  readonly reading: AdditionReading;
  /** False for an optional addition that is left out at present. */
  readonly counted: boolean;
  /** Share of the counted mass, 0..1; null where it is not counted or not read. */
  readonly massFraction: number | null;
  /** Null where nothing of it goes into the jar. */
  readonly fillLine: FillLine | null;
}

export interface Reckoning {
  readonly additions: readonly ReckonedAddition[];
  readonly portions: readonly Portion[];
  readonly totals: CompositionTotals;
  readonly servings: number;
  readonly fillShare: number;
  readonly headspace: Headspace;
}

/** Everything known of a formula in a vessel. Pure; the same input always gives the same answer. */
export function reckonFormula(formula: Formula, vessel: Vessel, context: ReadingContext): Reckoning {
  const read = inOrder(formula.additions).map((addition) => ({
    addition,
    reading: readAddition(addition, context),
    counted: !addition.optional || formula.countsOptional,
  }));
  const inJar = read.flatMap(({ addition, reading, counted }) =>
    counted && reading.status === 'read'
      ? [{ id: addition.id, portion: { ingredient: reading.ingredient, massG: reading.massG } }]
      : [],
  );
  const portions = inJar.map(({ portion }) => portion);
  const totals = composition(portions);
  const lines = fillLines(
    vessel,
    portions.map(({ ingredient, massG }) => massG.nominal * mixedVolumeMlPerG(ingredient)),
  );
  const lineOf = new Map<AdditionId, FillLine>(inJar.map(({ id }, i) => [id, lines[i]!]));
  return {
    additions: read.map(({ addition, reading, counted }) => ({
      addition,
      reading,
      counted,
      massFraction:
        counted && reading.status === 'read' && totals.massG > 0
          ? reading.massG.nominal / totals.massG
          : null,
      fillLine: lineOf.get(addition.id) ?? null,
    })),
    portions,
    totals,
    servings: servingsIn(totals.mixedVolumeMl, formula.servingVolumeMl),
    fillShare: fillShare(vessel, totals.mixedVolumeMl),
    headspace: headspaceOf(vessel, totals.mixedVolumeMl),
  };
}

/** The judgement of a reckoned formula: what is counted and read, and how many lines could not be. */
export function judgeFormula({ additions }: Reckoning): Judgement {
  const counted = additions.filter((entry) => entry.counted);
  return judge(
    counted.flatMap(({ addition, reading }) =>
      reading.status === 'read' ? [{ reading, form: addition.form, said: addition.ingredientText }] : [],
    ),
    unreadOf(counted),
  );
}

/** Counted lines that could not be read, as the cook typed them. */
export const unreadOf = (additions: readonly ReckonedAddition[]): readonly string[] =>
  additions.flatMap(({ addition, reading, counted }) =>
    counted && reading.status === 'unread' ? [typedLine(addition)] : [],
  );
export const typedLine = ({ amountText, ingredientText, form }: Addition): string =>
  [[amountText, ingredientText].filter(Boolean).join(' '), form].filter(Boolean).join(', ');
