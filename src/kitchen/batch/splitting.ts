/** From a base to what goes on from it: which of its endings a batch can be poured on into, and what each then is. */
import type { NewBatch, NewEnding, VersionRecord, VersionStanding } from '#contract';
import { endingTarget, massPerMl, type BatchRequest, type NotAfter, type StockFacts } from '#core/batch';
import type { IngredientId } from '#core/ingredient';
import type { Style } from '#core/palate';
import type { Kitchen } from '#kitchen/reading';
import { batchRequestOf, type BatchChoices, type ReadVersion } from './batchPlanning';

/**
 * The version of an ending that this base can be poured into: the newest that is proven of those that have
 * it, else the newest of them.
 *
 * @returns null where none has this very version of the base in it
 */
export function endingVersion(
  versions: readonly VersionRecord[],
  standings: Readonly<Record<number, VersionStanding>> | undefined,
  baseId: IngredientId,
): VersionRecord | null {
  const having = [...versions]
    .filter(({ formula }) => formula.additions.some(({ ingredientId }) => ingredientId === baseId))
    .sort((a, b) => b.number - a.number);
  return having.find(({ number }) => standings?.[number]?.state === 'proven') ?? having[0] ?? null;
}

interface EndingAsked {
  readonly version: VersionRecord;
  readonly read: ReadVersion;
  readonly style: Style | null;
  /** Of the base, as it is mixed, ml. */
  readonly baseMl: number;
}

/**
 * Mixed and kept as its own size asks for, measured as the base is.
 *
 * @returns null where the base is not in it, or nothing of it could be read
 */
export function endingRequestOf(
  base: { readonly read: ReadVersion; readonly id: IngredientId },
  { version, read, style, baseMl }: EndingAsked,
  choices: Pick<BatchChoices, 'school' | 'rounding' | 'startC'>,
  kitchen: Kitchen,
  stock: ReadonlyMap<IngredientId, StockFacts>,
): BatchRequest | null {
  const baseG = baseMl * massPerMl(base.read.lines);
  if (!(baseG > 0)) return null;
  const target = endingTarget(read.lines, base.id, baseG, kitchen.settings.batch.lossShare);
  if (!target) return null;
  const usual: BatchChoices = {
    ...choices,
    target,
    loadsAs: 'equal',
    tool: null,
    vesselId: '',
    storageId: '',
  };
  return batchRequestOf(version, read, usual, kitchen, stock, style);
}

/** One request for all of it: they come to be together, or not at all. */
export function withEndings(base: NewBatch, endings: readonly NewBatch[], over: NotAfter): NewBatch {
  if (endings.length === 0) return base;
  return {
    ...base,
    endings: endings.map(({ id, formulaId, version, plan, loads }): NewEnding => {
      const own = plan.notAfter ?? null;
      // A dressing keeps no longer than the base in it.
      const notAfter = own && own.day <= over.day ? own : over;
      return { id, formulaId, version, plan: { ...plan, notAfter }, loads };
    }),
  };
}
