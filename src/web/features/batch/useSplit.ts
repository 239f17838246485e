/** What a batch of a base is poured on into: which endings there are, what was typed, and what comes of it. */
import { useMemo } from 'react';
import type { VersionRecord } from '#contract';
import {
  splitOf,
  type BatchAnswer,
  type BatchPlan,
  type BatchProblem,
  type BatchRequest,
  type Split,
} from '#core/batch';
import type { FormulaId, Tool } from '#core/formula';
import { madeId } from '#core/ingredient';
import { endingRequestOf, endingVersion, readVersion, stockOf, type ReadVersion } from '#kitchen/batch';
import type { Kitchen } from '#kitchen/reading';
import type { VersionState } from '#core/trial';
import { useKinQuery } from '../../data/kitchenApi';
import { useStandingsOf, useVersionsOf } from '../../data/ofEach';
import { aimOf, useStyles } from '../../data/styles';
import { typedNumber, type Typed } from '../../form/typed';
import { useSearch, type Search } from '../../workers/useSearch';
import { splitOfDraft, type BatchDraft } from './draft';

const MOST_L = 10_000;

export interface EndingRow {
  readonly formulaId: FormulaId;
  readonly name: string;
  /** Null: none of its versions has this version of the base in it. */
  readonly version: VersionRecord | null;
  readonly state: VersionState;
  /** The version of the base that it has, as it is worked on. */
  readonly has: number;
  readonly text: string;
  readonly typed: Typed;
  /** Of the base, ml; 0: none. */
  readonly baseMl: number;
}

/** All that go on from this formula, with what was typed for each. */
export function useEndings(
  id: FormulaId,
  version: number,
  draft: BatchDraft,
): { readonly rows: readonly EndingRow[]; readonly pouredOnMl: number } {
  const endings = useKinQuery(id).data?.endings;
  const ids = useMemo(() => (endings ?? []).map(({ formulaId }) => formulaId), [endings]);
  const versions = useVersionsOf(ids);
  const standings = useStandingsOf(ids);
  const { split } = draft;
  const rows = useMemo(() => {
    const texts = splitOfDraft({ split });
    return (endings ?? []).map(({ formulaId, name, number }): EndingRow => {
      const found = endingVersion(versions[formulaId] ?? [], standings[formulaId], madeId(id, version));
      const text = texts.get(formulaId) ?? '';
      const typed = typedNumber(text, { from: 0, to: MOST_L });
      return {
        formulaId,
        name,
        text,
        typed,
        version: found,
        has: number,
        state: (found && standings[formulaId]?.[found.number]?.state) ?? 'draft',
        baseMl: found ? (typed.value ?? 0) * 1000 : 0,
      };
    });
  }, [endings, versions, standings, split, id, version]);
  return { rows, pouredOnMl: rows.reduce((sum, { baseMl }) => sum + baseMl, 0) };
}

export interface PlannedEnding {
  readonly row: EndingRow & { readonly version: VersionRecord };
  readonly read: ReadVersion;
  readonly request: BatchRequest;
  readonly plan: BatchPlan;
}

export interface SplitPlanning {
  readonly search: Search<readonly BatchAnswer[]>;
  readonly again: () => void;
  /** Empty until all of them are planned. */
  readonly endings: readonly PlannedEnding[];
  /** Those that cannot be made so, and why. */
  readonly refused: readonly { readonly name: string; readonly tool: Tool; readonly problem: BatchProblem }[];
  /** Null where nothing is poured on, or it is not planned yet. */
  readonly split: Split | null;
}

/** The endings planned away from the page, and what stays plain. */
export function useSplit(
  rows: readonly EndingRow[],
  base: { readonly id: FormulaId; readonly version: number; readonly read: ReadVersion },
  plan: BatchPlan | null,
  request: BatchRequest | null,
  kitchen: Kitchen,
): SplitPlanning {
  const styles = useStyles();
  const { pantry } = kitchen;
  const stock = useMemo(() => stockOf(pantry), [pantry]);
  const baseId = madeId(base.id, base.version);
  const asked = useMemo(() => {
    if (!request) return [];
    const choices = {
      school: request.school,
      rounding: request.rounding.kind,
      startC: request.cooling.startC,
    };
    return rows.flatMap((row) => {
      const { version, baseMl } = row;
      if (!version || baseMl <= 0) return [];
      const read = readVersion(version, kitchen);
      const style = aimOf(version.formula, styles);
      const own = endingRequestOf(
        { id: baseId, read: base.read },
        { version, read, style, baseMl },
        choices,
        kitchen,
        stock,
      );
      return own ? [{ row: { ...row, version }, read, request: own }] : [];
    });
  }, [rows, base.read, baseId, request, kitchen, styles, stock]);
  const question = useMemo(() => (asked.length > 0 ? asked.map((one) => one.request) : null), [asked]);
  const { search, again } = useSearch('batches', question);
  const answered = useMemo(
    () =>
      search.status === 'done' && search.answer.length === asked.length
        ? asked.map((one, i) => ({ ...one, answer: search.answer[i]! }))
        : [],
    [asked, search],
  );
  const endings = useMemo(
    () =>
      answered.flatMap(({ answer, ...one }): PlannedEnding[] =>
        answer.status === 'planned' ? [{ ...one, plan: answer }] : [],
      ),
    [answered],
  );
  const refused = answered.flatMap(({ answer, row, request: { tool } }) =>
    answer.status === 'cannot' ? [{ name: row.name, tool, problem: answer.problem }] : [],
  );
  const split = useMemo(
    () =>
      plan && endings.length > 0 && endings.length === asked.length
        ? splitOf(
            plan,
            endings.map((one) => one.plan),
            baseId,
            stock,
          )
        : null,
    [plan, endings, asked, baseId, stock],
  );
  return { search, again, endings, refused, split };
}
