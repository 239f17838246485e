/** What is composed: additions in order, the vessel, how it is measured and served. */
import type { IngredientId } from '#core/ingredient';
import { DEFAULT_PART_VOLUME_ML, type SpoonSystem } from '#core/quantity';

export type FormulaId = string & { readonly __brand: 'FormulaId' };
export type AdditionId = string & { readonly __brand: 'AdditionId' };
export type VesselId = string & { readonly __brand: 'VesselId' };

/** Base first, oil last, finish after the oil. */
export const PHASES = ['base', 'oil', 'finish'] as const;
export type Phase = (typeof PHASES)[number];

export const TOOLS = [
  'fork',
  'shake',
  'whisk',
  'frother',
  'mortar',
  'processor',
  'blender',
  'stick',
  'stick-pro',
] as const;
export type Tool = (typeof TOOLS)[number];

/** One line of a formula. Typed words are kept as typed, readable or not. */
export interface Addition {
  readonly id: AdditionId;
  readonly amountText: string;
  /** Null while the words name nothing in the pantry. */
  readonly ingredientId: IngredientId | null;
  /** The ingredient's words as typed; shown where ingredientId is null. */
  readonly ingredientText: string;
  /** What was done to it: "grated to a paste", "whole, taken out after an hour". */
  readonly form: string;
  readonly note: string;
  readonly phase: Phase;
  readonly optional: boolean;
  /** Its amount stays as it is when the ratio, the whole jar or a remedy moves amounts. */
  readonly locked: boolean;
  /** The cook's own measure it was typed with, so that it keeps what it meant then; null: the kitchen's. */
  readonly measuredBy: string | null;
  /** The stage it goes in at, 0 for the first. */
  readonly stage: number;
  /** Order inside the phase, ascending; a new place takes the middle between its neighbours. */
  readonly rank: number;
}

export interface Formula {
  readonly name: string;
  readonly vesselId: VesselId;
  /** Spoons and cups the amounts are meant in: a formula keeps them when the kitchen changes its own. */
  readonly spoons: SpoonSystem;
  readonly partVolumeMl: number;
  readonly servingVolumeMl: number;
  readonly countsOptional: boolean;
  /** The style that is aimed at; null while none is chosen. */
  readonly styleId: string | null;
  /** An oil-to-acid ratio that the cook set: the target, whatever the style says. */
  readonly targetRatio: number | null;
  /** What it is mixed with; null: what the vessel suggests. */
  readonly tool: Tool | null;
  /** How long, s; null: as long as usual for the tool. */
  readonly mixSeconds: number | null;
  /** Places to stop, a name a line, first to last; empty: it is made in one. */
  readonly stageNames: string;
  /** The version these working changes grew from; null before the first freeze. */
  readonly basedOnVersion: number | null;
  readonly additions: readonly Addition[];
}

/** A serving of dressing for one plate of salad, ml; tag: common practice. */
export const DEFAULT_SERVING_VOLUME_ML = 30;

export function emptyFormula(name: string, vesselId: VesselId, spoons: SpoonSystem): Formula {
  return {
    name,
    vesselId,
    spoons,
    partVolumeMl: DEFAULT_PART_VOLUME_ML,
    servingVolumeMl: DEFAULT_SERVING_VOLUME_ML,
    countsOptional: true,
    styleId: null,
    targetRatio: null,
    tool: null,
    mixSeconds: null,
    stageNames: '',
    basedOnVersion: null,
    additions: [],
  };
}

/** Additions in the order they go into the jar. Ties fall back on the id, so that two devices agree. */
export function inOrder(additions: readonly Addition[]): readonly Addition[] {
  return [...additions].sort(
    (a, b) =>
      a.stage - b.stage ||
      PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase) ||
      a.rank - b.rank ||
      (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  );
}

/** The rank that puts something at `place` among `others` (one phase, in order); beyond them is behind the last. */
export function rankAt(others: readonly Addition[], place: number): number {
  const index = Math.min(place, others.length);
  const before = others[index - 1]?.rank;
  const after = others[index]?.rank;
  if (before === undefined && after === undefined) return 0;
  if (before === undefined) return after! - 1;
  if (after === undefined) return before + 1;
  return (before + after) / 2;
}

/** Whole servings in a volume, rounded down: a half-filled plate is no serving. */
export function servingsIn(mixedVolumeMl: number, servingVolumeMl: number): number {
  return servingVolumeMl > 0 ? Math.floor(mixedVolumeMl / servingVolumeMl + 1e-9) : 0;
}
