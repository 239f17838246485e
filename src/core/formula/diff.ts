/**
 * Reversible change of a formula: undo, autosave, merging and "what changed" all rest on it.
 * Changes of different additions, or of different fields, never conflict; the same field changed
 * from another value does.
 */
import { applyChanges, changesBetween, PLAIN, type Change, type Refusal } from '#core/document';
import type { Addition, AdditionId, Formula } from './formula';

type AdditionField = Exclude<keyof Addition, 'id'>;
type FormulaField = Exclude<keyof Formula, 'additions'>;
type FieldValue = Addition[AdditionField] | Formula[FormulaField];

export interface FieldChange {
  /** Null: a field of the formula itself. */
  readonly additionId: AdditionId | null;
  readonly field: AdditionField | FormulaField;
  readonly from: FieldValue;
  readonly to: FieldValue;
}

export interface FormulaDiff {
  readonly added: readonly Addition[];
  readonly removed: readonly Addition[];
  readonly updated: readonly FieldChange[];
}

export type Conflict =
  | { readonly kind: 'field'; readonly change: FieldChange; readonly current: FieldValue }
  | { readonly kind: 'removed-meanwhile'; readonly change: FieldChange }
  /** Taken out, or put in, here; elsewhere it became something else. */
  | { readonly kind: 'changed-meanwhile'; readonly addition: Addition; readonly current: Addition };

export type ApplyResult =
  | { readonly status: 'applied'; readonly formula: Formula }
  | { readonly status: 'conflict'; readonly conflicts: readonly Conflict[] };

export const FORMULA_FIELDS = [
  ...(['name', 'vesselId', 'spoons'] as const),
  ...(['partVolumeMl', 'servingVolumeMl', 'countsOptional'] as const),
  ...(['styleId', 'targetRatio', 'tool', 'mixSeconds', 'stageNames', 'basedOnVersion'] as const),
] as const satisfies readonly FormulaField[];
export const ADDITION_FIELDS = [
  ...(['amountText', 'ingredientId', 'ingredientText', 'form', 'note'] as const),
  ...(['phase', 'optional', 'locked', 'measuredBy', 'stage', 'rank'] as const),
] as const satisfies readonly AdditionField[];

export const isEmptyDiff = (diff: FormulaDiff): boolean =>
  diff.added.length + diff.removed.length + diff.updated.length === 0;

const LINES = 'additions';

/** A diff as changes of a document, which all merging rests on. */
export const changesOf = ({ added, removed, updated }: FormulaDiff): readonly Change[] => [
  ...removed.map((from): Change => ({ path: [LINES, from.id], from })),
  ...added.map((to): Change => ({ path: [LINES, to.id], to })),
  ...updated.map(({ additionId, field, from, to }): Change => ({
    path: additionId === null ? [field] : [LINES, additionId, field],
    from,
    to,
  })),
];

/** Changes of a formula's document as the diff that is sent and kept. */
export function diffOf(changes: readonly Change[]): FormulaDiff {
  const lines = changes.filter(({ path }) => path.length === 2);
  return {
    added: lines.flatMap(({ from, to }) => (from === undefined ? [to as Addition] : [])),
    removed: lines.flatMap(({ from, to }) => (to === undefined ? [from as Addition] : [])),
    updated: changes.flatMap(({ path, from, to }): FieldChange[] => {
      const [first, id, field] = path;
      if (path.length === 2) return [];
      return [
        { additionId: path.length === 1 ? null : id!, field: field ?? first!, from, to } as FieldChange,
      ];
    }),
  };
}

/** The change that leads from `before` to `after`. */
export const diffFormulas = (before: Formula, after: Formula): FormulaDiff =>
  diffOf(changesBetween(before, after, PLAIN));

/** The change that takes `diff` back. */
export const invertDiff = (diff: FormulaDiff): FormulaDiff => ({
  added: diff.removed,
  removed: diff.added,
  updated: diff.updated.map(({ additionId, field, from, to }) => ({
    additionId,
    field,
    from: to,
    to: from,
  })),
});

/**
 * Applies a change to a formula that may have moved on meanwhile. What already is as wanted is left
 * alone, so applying the same change twice does no harm. All or nothing.
 */
export function applyDiff(formula: Formula, diff: FormulaDiff): ApplyResult {
  const result = applyChanges(formula, changesOf(diff));
  return result.status === 'applied'
    ? { status: 'applied', formula: result.doc }
    : { status: 'conflict', conflicts: result.refusals.map(conflictOf) };
}

function conflictOf({ change, current }: Refusal): Conflict {
  if (change.path.length === 2) {
    const addition = (change.to ?? change.from) as Addition;
    return { kind: 'changed-meanwhile', addition, current: current as Addition };
  }
  const [field] = diffOf([change]).updated;
  return current === undefined && field!.additionId !== null
    ? { kind: 'removed-meanwhile', change: field! }
    : { kind: 'field', change: field!, current: current as FieldValue };
}
