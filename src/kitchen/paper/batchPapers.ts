/** A batch as paper: sheet, label, pull list. Words only; the server sets them. */
import { formatDay } from '#words/numbers';
import type { BatchRecord, Settings, ShelfRecord } from '#contract';
import { judgeFormula } from '#core/reckoning';
import { recordSafety } from '#core/safety';
import { reckonShelved } from '#kitchen/shelf';
import type { Kitchen } from '#kitchen/reading';
import { sayStanding } from '#words/version';
import {
  type BatchSnapshot,
  latestOf,
  keepUntil,
  type NotAfter,
  type PullList,
  type UseBy,
} from '#core/batch';
import { ROUNDING_WORDS, SCHOOL_WORDS } from '#words/batch';
import { TOOL_WORDS, sayDuration } from '#words/hold';
import type { Catalogue } from '#core/ingredient';
import type { LabelWords, Sheet, SheetTable } from '#core/paper';
import type { Step } from '#core/trial';
import { saySafetyOfTheDay } from '#words/safety';
import { stepSaid, stepWordsOf } from '#kitchen/repair';
import { sayDeed, type StepWords } from '#words/trial';
import type { Vessel } from '#core/vessel';
import {
  formatAmount,
  formatMass,
  formatMoment,
  formatMoney,
  formatVolume,
  type Reader,
} from '#words/numbers';
import { paperWords } from '#words/screens/paper';
import { sayNeeded, sayShort } from './pullWords';
import { today } from '#kitchen/day';

interface Around {
  readonly batch: BatchRecord;
  readonly catalogue: Catalogue;
  readonly settings: Settings;
  readonly vessels: readonly Vessel[];
  readonly reader?: Reader;
}

/** The day it was mixed; before that, the day it is planned for. */
export const madeOn = ({ day, whole }: BatchRecord, reader: Reader = {}): string =>
  whole ? today(new Date(whole.at), reader) : day;

export function keepUntilOf(batch: BatchRecord, reader: Reader = {}): UseBy {
  const change = latestOf(batch.events, 'use-by')?.event ?? null;
  const limits = [batch.plan.notAfter ?? null, overWithBase(batch)].filter((one) => one !== null);
  const first = limits.reduce<NotAfter | null>((a, b) => (a && a.day <= b.day ? a : b), null);
  return keepUntil(madeOn(batch, reader), batch.plan.keeping, change, first);
}

/** A dressing keeps no longer than the base it was poured from, whatever was done to it since. */
const overWithBase = ({ base }: BatchRecord): NotAfter | null =>
  base && base.state !== 'called-off'
    ? { day: base.useBy, name: paperWords.theBase(base.formulaName ?? paperWords.dressing, base.number) }
    : null;

const keepAt = ({ plan }: BatchRecord): string =>
  plan.keeping.cold ? paperWords.n5COrBelow : paperWords.coolDarkClosed;

export function labelOf({
  batch,
  settings,
  reader = {},
}: Pick<Around, 'batch' | 'settings' | 'reader'>): LabelWords {
  const { plan } = batch;
  const useBy = keepUntilOf(batch, reader);
  const said = saySafetyOfTheDay(plan.safety);
  return {
    name: batch.formulaName ?? paperWords.dressing,
    version: `v${batch.version}`,
    madeAt: batch.whole
      ? formatMoment(batch.whole.at, reader)
      : paperWords.plannedOnly(formatDay(batch.day, reader)),
    useBy: formatDay(useBy.day, reader),
    keepAt: keepAt(batch),
    allergens: said.contains,
    cautions: said.onLabel,
    batchNumber: batch.number,
    kitchen: settings.kitchenName,
  };
}

/** A jar that is of no batch, made on this day: as the formula stands. */
export function jarLabelOf(
  { formula, changed }: Pick<ShelfRecord, 'formula' | 'changed'>,
  kitchen: Kitchen,
  at: Date,
  reader: Reader = {},
): LabelWords {
  const reckoning = reckonShelved(formula, kitchen);
  const { keeping, safety } = recordSafety(judgeFormula(reckoning));
  const said = saySafetyOfTheDay(safety);
  return {
    name: formula.name,
    version: sayStanding(formula.basedOnVersion, changed),
    madeAt: formatDay(today(at, reader), reader),
    useBy: formatDay(keepUntil(today(at, reader), keeping, null, null).day, reader),
    keepAt: keeping.cold ? paperWords.n5COrBelow : paperWords.coolDarkClosed,
    allergens: said.contains,
    cautions: said.onLabel,
    batchNumber: '',
    kitchen: kitchen.settings.kitchenName,
  };
}

const right = (title: string, share: number) => ({ title, share, align: 'right' as const });
const left = (title: string, share: number) => ({ title, share, align: 'left' as const });

export function sheetOf(around: Around): Sheet {
  const { batch, settings, vessels, reader = {} } = around;
  const { plan } = batch;
  const vesselName = (id: string): string => vessels.find((vessel) => vessel.id === id)?.name ?? id;
  const grams = (g: number): string => formatAmount(g, 'g', settings);
  const safety = saySafetyOfTheDay(plan.safety);
  return {
    title: paperWords.partBatchNumber(batch.formulaName ?? paperWords.dressing, batch.number),
    subtitle: paperWords.vVersionVersionstateWhenPlanned(
      batch.version,
      plan.versionState,
      plan.target,
      formatVolume(plan.yieldMl, settings),
      settings.kitchenName,
    ),
    facts: [
      [paperWords.day, formatDay(batch.day, reader)],
      [paperWords.madeBy, ''],
      [paperWords.tool, TOOL_WORDS[plan.tool]],
      [paperWords.begunAt, ''],
      [paperWords.measured, ROUNDING_WORDS[plan.rounding]],
      [paperWords.ingredientsC, ''],
      [paperWords.seasonings, SCHOOL_WORDS[plan.school]],
      [paperWords.mixedC, ''],
      [paperWords.keptIn, plan.storage ? `${plan.storage.count} × ${vesselName(plan.storage.vesselId)}` : ''],
      [paperWords.at5CAt, ''],
      [paperWords.useBy, paperWords.dayIfMadeOnThe(formatDay(keepUntilOf(batch, reader).day, reader))],
      [paperWords.phMeasured, ''],
    ],
    tables: [...loadTables(around), ...otherTables(plan, grams)],
    notes: [
      ...(plan.toTaste.length > 0 ? [paperWords.toTasteAtTheEnd(plan.toTaste.join('; '))] : []),
      paperWords.keepatDaysDaysAtMost(keepAt(batch), plan.keeping.days, safety.because),
      paperWords.allergensPart(safety.allergens.join(', ') || paperWords.noneListedIsKnown),
      ...safety.cautions,
      paperWords.wentOtherwiseThanPlanned,
    ],
    signatures: [paperWords.verdictOnALeaf, paperWords.recordedByAndWhen],
  };
}

/** What is weighed, load by load. */
function loadTables({ batch, catalogue, settings, vessels }: Around): readonly SheetTable[] {
  const { plan } = batch;
  const vesselName = (id: string): string => vessels.find((vessel) => vessel.id === id)?.name ?? id;
  const grams = (g: number): string => formatAmount(g, 'g', settings);
  const words = stepWordsOf(catalogue, settings);
  return batch.loads.map((load): SheetTable => ({
    title:
      batch.loads.length === 1
        ? paperWords.weighOut
        : paperWords.loadPartOfLength(load.batch?.load ?? 1, batch.loads.length),
    note: paperWords.formatvolumeInTheVesselname(
      formatVolume(load.making?.plannedVolumeMl ?? 0, settings),
      vesselName(plan.mixingVesselId),
    ),
    ticks: true,
    columns: [
      left(paperWords.what, 5),
      right(paperWords.amount, 2),
      left(paperWords.weighed, 2),
      left(paperWords.lotOrBottle, 3),
    ],
    rows: (load.making?.steps ?? []).map((step) =>
      stepRow(step, catalogue, load.making!.tool, load.making!.bottles, grams, words),
    ),
  }));
}

/** What is kept aside, and what goes in altogether. */
function otherTables(plan: BatchSnapshot, grams: (g: number) => string): readonly SheetTable[] {
  const aside = plan.lines.filter(({ asideG }) => asideG > 0);
  const lots = plan.lines.map(({ name, plannedG, asideG }) => [name, grams(plannedG + asideG)]);
  return [
    ...(aside.length > 0
      ? [
          {
            title: paperWords.keptAside,
            note: paperWords.combineTheLoadsTasteThen,
            ticks: true,
            columns: [
              left(paperWords.what, 5),
              right(paperWords.atMost, 2),
              left(paperWords.putIn, 2),
              left('', 3),
            ],
            rows: aside.map(({ name, asideG, aside: how }) => [
              name,
              grams(asideG),
              '',
              how === 'per-service' ? paperWords.perService : paperWords.byTaste,
            ]),
          },
        ]
      : []),
    ...(lots.length > 30
      ? []
      : [
          {
            title: paperWords.inAll,
            note: '',
            ticks: false,
            columns: [left(paperWords.what, 5), right(paperWords.amount, 2)],
            rows: lots,
          },
        ]),
  ];
}

function stepRow(
  step: Step,
  catalogue: Catalogue,
  tool: Parameters<typeof sayDeed>[1],
  bottles: Readonly<Partial<Record<string, string>>>,
  grams: (g: number) => string,
  words: StepWords,
): readonly string[] {
  if (step.kind === 'do') {
    return [
      sayDeed(step, tool, words),
      step.seconds === null ? paperWords.untilSo : sayDuration(step.seconds),
      '–',
      '–',
    ];
  }
  const id = step.kind === 'weigh' ? step.line.ingredientId : step.ingredientId;
  const form = step.kind === 'weigh' ? step.line.form : step.form;
  const name = `${catalogue.get(id)?.name ?? id}${form ? `, ${form}` : ''}`;
  const said = step.kind === 'weigh' ? stepSaid(step, words) : '';
  return [
    said === '' ? name : `${name} (${said})`,
    step.kind === 'weigh' ? grams(step.line.massG) : paperWords.toTaste,
    '',
    bottles[id] ?? '',
  ];
}

export function pullSheetOf(list: PullList, title: string, subtitle: string, settings: Settings): Sheet {
  const rows = list.lines.map((line) => [
    line.ingredient.name,
    sayNeeded(line, settings),
    line.onHandG === null ? paperWords.notKnown : formatMass(line.onHandG, settings),
    sayShort(line, settings) || paperWords.enough,
    line.cost === null ? '–' : formatMoney(line.cost, settings),
  ]);
  return {
    title,
    subtitle,
    notes: [],
    signatures: [],
    facts: [
      [
        paperWords.cost,
        list.unpriced.length > 0
          ? paperWords.costNotAllHasA(formatMoney(list.cost, settings))
          : formatMoney(list.cost, settings),
      ],
    ],
    tables: [
      {
        title: paperWords.toFetch,
        note: '',
        ticks: true,
        rows,
        columns: [
          left(paperWords.what, 4),
          right(paperWords.needed, 4),
          right(paperWords.onHand, 2),
          left(paperWords.missing, 3),
          right(paperWords.cost, 2),
        ],
      },
    ],
  };
}
