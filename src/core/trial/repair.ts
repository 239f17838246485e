/**
 * Something else went in than was planned: too much of it, nothing of it, another thing. What it does to
 * the dressing, and the smallest ways back: scale the rest, fill the vessel, or mend by additions
 * (TASTE, over-pour). The amounts themselves are found by the searches of #core/balance.
 */
import { overpour, type FormulateRequest, type OnHand, type Poured } from '#core/balance';
import { mixedVolumeMlPerG } from '#core/composition';
import { soakedAs, type Catalogue } from '#core/ingredient';
import { PALATE, PALATE_KEYS, type Palate, type PalateKey, type Style, type Windows } from '#core/palate';
import { exactly } from '#core/quantity';
import { judgePortions, type JudgedPortion } from '#core/reckoning';
import type { PlannedLine } from './making';
import type { TrialLine } from './step';

export interface Moved {
  readonly measure: PalateKey;
  readonly from: number;
  readonly to: number;
  /** In steps that a taster notices; above 0: more of it. */
  readonly steps: number;
}

/** What a change moves, strongest first; where either says nothing it is left out. */
export function movedMeasures(before: Palate, after: Palate): readonly Moved[] {
  return PALATE_KEYS.flatMap((measure): Moved[] => {
    const [from, to] = [before[measure].value, after[measure].value];
    if (from === null || to === null) return [];
    return [{ measure, from, to, steps: (to - from) / PALATE[measure].step }];
  }).sort((a, b) => Math.abs(b.steps) - Math.abs(a.steps));
}

/** Below half a step nobody tastes it. */
export const NOTICED_STEPS = 0.5;

export interface Deviation {
  readonly planned: readonly JudgedPortion[];
  /** What will be in the jar if the rest goes as planned. */
  readonly expected: readonly JudgedPortion[];
  /** That a taster would notice. */
  readonly moved: readonly Moved[];
  /** What moved most, noticed or not. */
  readonly strongest: Moved | null;
}

const portionsOf = (
  lines: readonly PlannedLine[],
  catalogue: Catalogue,
  massOf: (line: PlannedLine) => number,
): readonly JudgedPortion[] =>
  lines.flatMap((line) => {
    const ingredient = catalogue.get(line.ingredientId);
    const massG = massOf(line);
    return ingredient && massG > 0
      ? [{ ingredient: soakedAs(ingredient, line.form), form: line.form, massG: exactly(massG) }]
      : [];
  });

/** @param first the lines as they were planned, with the things that were planned */
export function deviationOf(
  first: readonly TrialLine[],
  lines: readonly PlannedLine[],
  catalogue: Catalogue,
): Deviation {
  const planned = first.flatMap(({ ingredientId, form, massG }): JudgedPortion[] => {
    const ingredient = catalogue.get(ingredientId);
    return ingredient ? [{ ingredient: soakedAs(ingredient, form), form, massG: exactly(massG) }] : [];
  });
  const expected = portionsOf(lines, catalogue, ({ expectedG }) => expectedG);
  const all = movedMeasures(judgePortions(planned).palate, judgePortions(expected).palate);
  const moved = all.filter(({ steps }) => Math.abs(steps) >= NOTICED_STEPS);
  return { planned, expected, moved, strongest: all[0] ?? null };
}

export type Rescaling =
  | {
      readonly status: 'rescale';
      readonly factor: number;
      readonly volumeMl: number;
      /** Steps still to come, with their new amounts. */
      readonly targets: readonly { readonly stepId: string; readonly massG: number }[];
      /** More of what has gone in already. */
      readonly topUps: readonly TrialLine[];
    }
  | { readonly status: 'no-rescale'; readonly reason: 'vessel' | 'poured'; readonly factor: number }
  | { readonly status: 'not-over' };

/** A top-up below this is within the window it was weighed in, as a share of the line. */
const WORTH_TOPPING = 0.02;

/**
 * The whole grows by as much as one thing was over-poured.
 * @param stepId which was over-poured
 * @param vesselMl what the vessel may hold
 */
export function rescaling(
  lines: readonly PlannedLine[],
  stepId: string,
  catalogue: Catalogue,
  vesselMl: number,
): Rescaling {
  const known = lines.filter(({ plannedG, ingredientId }) => plannedG > 0 && catalogue.has(ingredientId));
  const index = known.findIndex((line) => line.stepId === stepId);
  if (index < 0) return { status: 'not-over' };
  const volumeMl = known.reduce(
    (sum, { ingredientId, plannedG }) => sum + plannedG * mixedVolumeMlPerG(catalogue.get(ingredientId)!),
    0,
  );
  const poured = known.map(({ plannedG, pouredG, open }): Poured => ({
    plannedG,
    pouredG: open ? 0 : pouredG,
  }));
  const answer = overpour(poured, index, volumeMl, vesselMl);
  if (answer.status !== 'rescale') return answer;
  const { factor } = answer;
  return {
    ...answer,
    targets: known
      .filter(({ open }) => open)
      .map((line) => ({ stepId: line.stepId, massG: factor * line.plannedG })),
    topUps: known.flatMap(({ open, ingredientId, form, plannedG, pouredG }) => {
      const massG = factor * plannedG - pouredG;
      return !open && massG > WORTH_TOPPING * factor * plannedG ? [{ ingredientId, form, massG }] : [];
    }),
  };
}

/** Measures whose planned values are held to when the vessel is filled; the others follow. */
const HELD: readonly PalateKey[] = ['acid', 'salt', 'sweet', 'ratio', 'fat'];

/** Fill the vessel: what was poured as lower bounds, the planned measures as targets. */
export function fillRequest(
  deviation: Deviation,
  lines: readonly PlannedLine[],
  catalogue: Catalogue,
  vesselMl: number,
): FormulateRequest {
  const { palate } = judgePortions(deviation.planned);
  const onHand = new Map<string, OnHand>();
  for (const { ingredientId, form, pouredG } of lines) {
    const ingredient = catalogue.get(ingredientId);
    if (!ingredient) continue;
    const key = `${ingredientId} ${form}`;
    const minG = (onHand.get(key)?.minG ?? 0) + pouredG;
    onHand.set(key, { ingredient, form, minG, maxG: null });
  }
  return {
    volumeMl: vesselMl,
    style: null,
    onHand: [...onHand.values()],
    targets: HELD.flatMap((measure) => {
      const { value } = palate[measure];
      return value === null ? [] : [{ measure, value }];
    }),
  };
}

/**
 * Where the dressing has to come back to: the style's windows, opened wherever the plan itself lay
 * outside; without a style, a step around the plan.
 */
export function wayBackStyle(deviation: Deviation, style: Style | null): Style {
  const { palate } = judgePortions(deviation.planned);
  const windows: Partial<Record<PalateKey, { low: number; high: number }>> = {};
  for (const measure of PALATE_KEYS) {
    const { value } = palate[measure];
    if (value === null) continue;
    const { step } = PALATE[measure];
    const window = style?.windows[measure];
    if (style && !window) continue;
    windows[measure] = {
      low: Math.max(0, Math.min(window?.low ?? value - step, value - step / 2)),
      high: Math.max(window?.high ?? value + step, value + step / 2),
    };
  }
  const plain = { id: 'as-planned', name: '', says: '' };
  return { ...(style ?? plain), windows: windows as Windows };
}
