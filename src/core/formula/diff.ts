/**
 * Reversible change of a formula: undo, autosave, merging and "what changed" all rest on it.
 * Changes of different additions, or of different fields, never conflict; the same field changed
 * from another value does.
 */
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
  | { readonly kind: 'removed-meanwhile'; readonly change: FieldChange };

export type ApplyResult =
  | { readonly status: 'applied'; readonly formula: Formula }
  | { readonly status: 'conflict'; readonly conflicts: readonly Conflict[] };

export const FORMULA_FIELDS = [
  ...(['name', 'vesselId', 'spoons'] as const),
  ...(['partVolumeMl', 'servingVolumeMl', 'countsOptional'] as const),
  ...(['styleId', 'targetRatio', 'tool', 'mixSeconds', 'basedOnVersion'] as const),
] as const satisfies readonly FormulaField[];
export const ADDITION_FIELDS = [
  ...(['amountText', 'ingredientId', 'ingredientText', 'form', 'note'] as const),
  ...(['phase', 'optional', 'locked', 'measuredBy', 'rank'] as const),
] as const satisfies readonly AdditionField[];

export const isEmptyDiff = (diff: FormulaDiff): boolean =>
  diff.added.length + diff.removed.length + diff.updated.length === 0;

/** The change that leads from `before` to `after`. */
export function diffFormulas(before: Formula, after: Formula): FormulaDiff {
  const old = new Map(before.additions.map((addition) => [addition.id, addition]));
  const kept = new Set(after.additions.map((addition) => addition.id));
  const updated: FieldChange[] = [];
  for (const field of FORMULA_FIELDS) {
    if (before[field] !== after[field]) {
      updated.push({ additionId: null, field, from: before[field], to: after[field] });
    }
  }
  const added: Addition[] = [];
  for (const addition of after.additions) {
    const was = old.get(addition.id);
    if (!was) {
      added.push(addition);
      continue;
    }
    for (const field of ADDITION_FIELDS) {
      if (was[field] !== addition[field]) {
        updated.push({ additionId: addition.id, field, from: was[field], to: addition[field] });
      }
    }
  }
  return { added, removed: before.additions.filter(({ id }) => !kept.has(id)), updated };
}

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
  const additions = new Map(formula.additions.map((addition) => [addition.id, addition]));
  const fields: Record<string, FieldValue> = {};
  const conflicts: Conflict[] = [];
  for (const addition of diff.added) {
    if (!additions.has(addition.id)) additions.set(addition.id, addition);
  }
  for (const change of diff.updated) {
    const { additionId, field, from, to } = change;
    if (additionId === null) {
      const current = formula[field as FormulaField];
      if (current === from || current === to) fields[field] = to;
      else conflicts.push({ kind: 'field', change, current });
      continue;
    }
    const addition = additions.get(additionId);
    if (!addition) {
      conflicts.push({ kind: 'removed-meanwhile', change });
      continue;
    }
    const current = addition[field as AdditionField];
    if (current === from || current === to) additions.set(additionId, { ...addition, [field]: to });
    else conflicts.push({ kind: 'field', change, current });
  }
  for (const { id } of diff.removed) additions.delete(id);
  if (conflicts.length > 0) return { status: 'conflict', conflicts };
  return { status: 'applied', formula: { ...formula, ...fields, additions: [...additions.values()] } };
}
