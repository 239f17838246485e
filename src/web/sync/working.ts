/** A formula that is open, as its screens know it. */
import type { FormulaRecord, VersionRecord } from '#contract';
import type { Clash } from '#core/document';
import type { Formula, FormulaId } from '#core/formula';
import { heldFormula } from './ports';
import { keyOf, readKey, type Work } from './shared';
import { edited, heardOf, isUnsent, redone, undone } from './workSlice';

export type SaveState = 'saved' | 'waiting' | 'sending' | 'unreachable' | 'signed-out' | 'conflict';

export interface WorkingFormula {
  readonly id: FormulaId;
  readonly formula: Formula;
  readonly revision: number;
  /** The version the working changes grew from. */
  readonly baseVersion: VersionRecord | null;
  readonly latestNumber: number;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly save: SaveState;
  /** What was changed elsewhere too, or is not taken: open until the cook has chosen. */
  readonly clashes: readonly Clash[];
  /** The browser could not keep its own copy. */
  readonly unmirrored: boolean;
}

export function saveStateOf(work: Work): SaveState {
  if (isUnsent(work)) {
    if (work.trouble === 'signed-out') return 'signed-out';
    if (work.trouble === 'away') return 'unreachable';
    return work.inFlight ? 'sending' : 'waiting';
  }
  return work.clashes.length > 0 ? 'conflict' : 'saved';
}

const views = new WeakMap<Work, WorkingFormula>();

/** The same for the same work, so that a screen is drawn again only when something has changed. */
export function workingOf(work: Work): WorkingFormula {
  const known = views.get(work);
  if (known) return known;
  const view: WorkingFormula = {
    id: readKey(work.key).id as FormulaId,
    formula: work.doc as Formula,
    revision: work.revision,
    baseVersion: work.beside.baseVersion ?? null,
    latestNumber: work.beside.latestNumber ?? 0,
    canUndo: work.past.length > 0,
    canRedo: work.future.length > 0,
    save: saveStateOf(work),
    clashes: work.clashes,
    unmirrored: work.unkept,
  };
  views.set(work, view);
  return view;
}

const key = (id: FormulaId) => keyOf('formula', id);
export const formulaEdited = (id: FormulaId, formula: Formula) => edited({ key: key(id), doc: formula });
export const formulaUndone = (id: FormulaId) => undone(key(id));
export const formulaRedone = (id: FormulaId) => redone(key(id));
/** Frozen: it grows from the new version now, with what was typed since on top. */
export const formulaHeard = (record: FormulaRecord) =>
  heardOf({ key: key(record.id), held: heldFormula(record) });
