/** The plan as words and numbers that outlive the pantry it was planned from. */
import type { Tool, VesselId } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import type { PalateKey } from '#core/palate';
import type { SafetyOfTheDay } from '#core/safety';
import type { VersionState } from '#core/trial';
import type { School } from './holdBack';
import type { BatchPlan, BatchRequest } from './planBatch';
import type { RoundingKind } from './roundLoads';
import type { NotAfter } from './useBy';

/** The plan as it stood when the batch was taken on: what a record years later has to show. */
export interface BatchSnapshot {
  readonly target: string;
  readonly scaleFactor: number;
  readonly madeMl: number;
  readonly yieldMl: number;
  readonly massG: number;
  readonly portions: number;
  readonly portionMl: number;
  /** Of what comes out, what goes on into other dressings, ml. */
  readonly pouredOnMl?: number | undefined;
  readonly school: School;
  readonly rounding: RoundingKind;
  readonly readabilityG: number;
  readonly tool: Tool;
  readonly mixingVesselId: VesselId;
  readonly storage: { readonly vesselId: VesselId; readonly count: number; readonly fillMl: number } | null;
  readonly styleId: string | null;
  readonly lines: readonly {
    readonly ingredientId: IngredientId;
    readonly name: string;
    readonly form: string;
    readonly exactG: number;
    readonly plannedG: number;
    readonly asideG: number;
    readonly aside: 'no' | 'held-back' | 'per-service';
  }[];
  readonly toTaste: readonly string[];
  readonly drift: readonly { readonly measure: PalateKey; readonly from: number; readonly to: number }[];
  readonly keeping: { readonly days: number; readonly cold: boolean };
  /** Cautions and allergens by the procedure of that day. */
  readonly safety: SafetyOfTheDay;
  /** Null: nothing that went in says a day. */
  readonly notAfter?: NotAfter | null | undefined;
  readonly cost: number | null;
  /** Peeling, grating and juicing, as it was planned, s. */
  readonly handWorkS?: number | undefined;
  /** Of the version, when the batch was taken on. */
  readonly versionState: VersionState;
}

export interface SnapshotAbout {
  /** As the cook asked for it: "12 l". */
  readonly target: string;
  readonly toTaste: readonly string[];
  readonly styleId: string | null;
  readonly versionState: VersionState;
  readonly notAfter?: NotAfter | null;
  /** What was found of the version: its size changes nothing of it. */
  readonly found: Pick<BatchSnapshot, 'keeping' | 'safety'>;
}

/** @param request what the plan was made from */
export function snapshotOf(plan: BatchPlan, request: BatchRequest, about: SnapshotAbout): BatchSnapshot {
  return {
    target: about.target,
    scaleFactor: plan.scaleFactor,
    madeMl: plan.madeMl,
    yieldMl: plan.yieldMl,
    massG: plan.massG,
    portions: plan.portions,
    portionMl: request.portionMl,
    ...(request.pouredOnMl ? { pouredOnMl: request.pouredOnMl } : {}),
    school: request.school,
    rounding: request.rounding.kind,
    readabilityG: request.scale.readabilityG,
    tool: request.tool,
    mixingVesselId: request.mixingVessel.id,
    styleId: about.styleId,
    storage: plan.storage && {
      vesselId: plan.storage.vessel.id,
      count: plan.storage.count,
      fillMl: plan.storage.fillMl,
    },
    lines: plan.lines.flatMap(({ ingredient, form, exactG, plannedG, asideG, heldBack }) =>
      exactG > 0
        ? [
            {
              ingredientId: ingredient.id,
              name: ingredient.name,
              form,
              exactG,
              plannedG,
              asideG,
              aside: heldBack.how === 'all-in' ? ('no' as const) : heldBack.how,
            },
          ]
        : [],
    ),
    toTaste: about.toTaste,
    drift: plan.drift.map(({ measure, from, to }) => ({ measure, from, to })),
    ...about.found,
    notAfter: about.notAfter ?? null,
    cost: plan.pullList.unpriced.length === 0 ? plan.pullList.cost : null,
    handWorkS: plan.handWork.seconds,
    versionState: about.versionState,
  };
}
