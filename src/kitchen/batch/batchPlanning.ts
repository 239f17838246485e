/** From a version to a batch of it: what the kitchen's things come to as a request, and the plan as it is written down. */
import type { By, NewBatch, VersionRecord, VersionStanding } from '#contract';
import {
  batchSize,
  loadMaking,
  OPEN_FILL_SHARE,
  snapshotOf,
  type NotAfter,
  usualBatchTool,
  type BatchLine,
  type BatchPlan,
  type BatchRequest,
  type BatchTarget,
  type LoadsAs,
  type RoundingKind,
  type School,
  type StockFacts,
} from '#core/batch';
import type { FormulaId, Tool } from '#core/formula';
import type { Ingredient, IngredientId } from '#core/ingredient';
import type { Style } from '#core/palate';
import { judgeFormula, reckonFormula, unreadOf, type Judgement, type Reckoning } from '#core/reckoning';
import type { Vessel } from '#core/vessel';
import { recordSafety } from '#core/safety';
import { contextFor, entryOf, packPriceOf, vesselOf, type Kitchen, type Pantry } from '#kitchen/reading';

export interface ReadVersion {
  readonly lines: readonly BatchLine[];
  /** What goes in to taste, in words. */
  readonly toTaste: readonly string[];
  readonly unread: readonly string[];
  readonly judged: Pick<Judgement, 'keeping' | 'allergens' | 'cautions'>;
}

/** What counts and could be read, as a batch scales it. */
export const batchLinesOf = ({ additions }: Reckoning): readonly BatchLine[] =>
  additions.flatMap(({ addition, reading, counted }): BatchLine[] =>
    counted && reading.status === 'read'
      ? [
          {
            id: addition.id,
            ingredient: reading.ingredient,
            form: addition.form,
            phase: addition.phase,
            massG: reading.massG.nominal,
            said: addition.amountText,
          },
        ]
      : [],
  );

/** A version read with this kitchen's things. */
export function readVersion({ formula }: VersionRecord, kitchen: Kitchen): ReadVersion {
  const reckoning = reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen));
  const counted = reckoning.additions.filter((one) => one.counted);
  const lines = batchLinesOf(reckoning);
  return {
    lines,
    toTaste: lines
      .filter(({ massG }) => massG <= 0)
      .map(({ ingredient, said }) => `${ingredient.name}, ${said}`),
    unread: unreadOf(counted),
    judged: judgeFormula(reckoning),
  };
}

/** What a cook may choose; null and empty: the usual. */
export interface BatchChoices {
  readonly target: BatchTarget;
  readonly school: School;
  readonly rounding: RoundingKind;
  readonly loadsAs: LoadsAs;
  readonly tool: Tool | null;
  readonly vesselId: string;
  /** 'none': it goes straight out. */
  readonly storageId: string;
  readonly startC: number;
}

/** As a cook who says nothing would have it. */
export const usualChoices = (target: BatchTarget, { settings }: Kitchen): BatchChoices => ({
  target,
  school: 'hold-back',
  rounding: 'mixed',
  loadsAs: 'equal',
  tool: null,
  vesselId: '',
  storageId: '',
  startC: settings.batch.roomC,
});

/** Open vessels, smallest first. */
export const openVessels = (vessels: readonly Vessel[]): readonly Vessel[] =>
  vessels.filter(({ closes }) => !closes).sort((a, b) => a.brimfulVolumeMl - b.brimfulVolumeMl);

const STORED_IN = 'tub_5000';

export function batchRequestOf(
  { formula }: VersionRecord,
  { lines, judged }: ReadVersion,
  choices: BatchChoices,
  { settings, vessels }: Kitchen,
  stock: ReadonlyMap<IngredientId, StockFacts>,
  style: Style | null,
): BatchRequest {
  const { target } = choices;
  const mustBeCold = judged.keeping.cold;
  const { lossShare, holdBack, scale, fridgeC } = settings.batch;
  const size = batchSize(lines, target, lossShare, (id) => stock.get(id)?.onHandG ?? null);
  const madeMl = size.status === 'sized' ? size.madeMl : 1000;
  const open = openVessels(vessels);
  const roomy =
    open.find(({ brimfulVolumeMl }) => brimfulVolumeMl * OPEN_FILL_SHARE >= madeMl) ?? open.at(-1)!;
  return {
    lines,
    target,
    style,
    stock,
    lossShare,
    holdBack,
    scale,
    mustBeCold,
    school: choices.school,
    loadsAs: choices.loadsAs,
    rounding: { kind: choices.rounding, readabilityG: scale.readabilityG, spoons: formula.spoons },
    tool: choices.tool ?? usualBatchTool(madeMl),
    mixingVessel: vessels.find(({ id }) => id === choices.vesselId) ?? roomy,
    storage:
      choices.storageId === 'none'
        ? null
        : (vessels.find(({ id }) => id === (choices.storageId || STORED_IN)) ?? null),
    cooling: { startC: choices.startC, fridgeC },
    handPace: settings.batch.handPace,
    portionMl: settings.servingVolumeMl,
  };
}

/** All that the kitchen knows of its stock: what a made thing is made of, too. */
export function stockOf(pantry: Pantry): ReadonlyMap<IngredientId, StockFacts> {
  const priceOf = packPriceOf(pantry);
  return new Map(
    (Object.keys(pantry) as IngredientId[]).map((id) => [
      id,
      { onHandG: entryOf(pantry, id).onHandG, price: priceOf(id) },
    ]),
  );
}

export interface BatchFor {
  /** Sent again with the same id it is the same batch. */
  readonly id: string;
  readonly formulaId: FormulaId;
  /** As far as it is made. */
  readonly version: VersionRecord;
  /** Where it is stopped; left out: at its end. */
  readonly stage?: number | undefined;
  readonly state: VersionStanding['state'];
  readonly day: string;
  /** As a cook says the size. */
  readonly target: string;
  readonly by: By;
}

/** The plan as it is written down for a day: from then on it does not change. */
export function newBatchOf(
  { id, formulaId, version, stage, state, day, target, by }: BatchFor,
  plan: BatchPlan,
  request: BatchRequest,
  { toTaste, unread, judged }: Pick<ReadVersion, 'toTaste' | 'unread' | 'judged'>,
  pantry: Pantry,
): NewBatch {
  const bottles = Object.fromEntries(
    plan.lines.flatMap(({ ingredient }) => {
      const { label } = entryOf(pantry, ingredient.id).bottle;
      return label === '' ? [] : [[ingredient.id, label]];
    }),
  );
  return {
    id,
    formulaId,
    version: version.number,
    day,
    by,
    plan: snapshotOf(plan, request, {
      target,
      toTaste: [...toTaste],
      styleId: version.formula.styleId,
      versionState: state,
      found: recordSafety(judged),
      notAfter: notAfterOf(plan, pantry),
    }),
    loads: plan.loads.map((load, i) => ({
      trialId: `${id}-${i + 1}`,
      making: {
        ...loadMaking(plan, load, {
          tool: request.tool,
          roomC: null,
          bottles,
          vessel: request.mixingVessel,
          unread,
        }),
        ...(stage === undefined ? {} : { stage }),
      },
    })),
  };
}

/** The bottle or carton in use that is over first, formulas inside taken apart; null where none has a day. */
export function notAfterOf({ lines }: Pick<BatchPlan, 'lines'>, pantry: Pantry): NotAfter | null {
  const all = (ingredient: Ingredient): readonly Ingredient[] => [
    ingredient,
    ...(ingredient.made?.parts.flatMap((part) => all(part.ingredient)) ?? []),
  ];
  return lines
    .flatMap(({ ingredient }) => all(ingredient))
    .flatMap(({ id, name }): NotAfter[] => {
      const day = entryOf(pantry, id).bottle.useBy;
      return day === null ? [] : [{ day, name }];
    })
    .reduce<NotAfter | null>((first, one) => (first === null || one.day < first.day ? one : first), null);
}

/** The version a kitchen works with: the newest that is proven, else the newest; 0: there is none. */
export function usualVersion(
  standings: Readonly<Record<number, VersionStanding>> | undefined,
  latestNumber: number,
): number {
  const proven = Object.entries(standings ?? {}).flatMap(([number, { state }]) =>
    state === 'proven' ? [Number(number)] : [],
  );
  return proven.length > 0 ? Math.max(...proven) : latestNumber;
}
