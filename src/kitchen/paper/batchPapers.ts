/** A batch as paper: sheet, label, pull list. Words only; the server sets them. */
import type { BatchRecord, Settings } from '#contract';
import { latestOf, keepUntil, type PullList, type UseBy } from '#core/batch';
import { ROUNDING_WORDS, SCHOOL_WORDS } from '#words/batch';
import { TOOL_VALUES } from '#core/emulsion';
import { sayDuration } from '#words/hold';
import type { Catalogue } from '#core/ingredient';
import type { LabelWords, Sheet, SheetTable } from '#core/paper';
import type { Step } from '#core/trial';
import { sayDeed } from '#words/trial';
import type { Vessel } from '#core/vessel';
import {
  formatAmount,
  formatMass,
  formatMoment,
  formatMoney,
  formatVolume,
  type Reader,
} from '#words/numbers';
import { sayNeeded, sayShort } from './pullWords';
import { sayDay, today } from '#kitchen/day';

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
  return keepUntil(madeOn(batch, reader), batch.plan.keeping, change, batch.plan.notAfter ?? null);
}

const keepAt = ({ plan }: BatchRecord): string =>
  plan.keeping.cold ? '5 °C or below' : 'Cool, dark, closed';

const MOST_ON_A_LABEL = 2;
export function labelOf({
  batch,
  settings,
  reader = {},
}: Pick<Around, 'batch' | 'settings' | 'reader'>): LabelWords {
  const { plan } = batch;
  const useBy = keepUntilOf(batch, reader);
  return {
    name: batch.formulaName ?? 'Dressing',
    version: `v${batch.version}`,
    madeAt: batch.whole ? formatMoment(batch.whole.at, reader) : `${sayDay(batch.day, reader)} (planned)`,
    useBy: sayDay(useBy.day, reader),
    keepAt: keepAt(batch),
    allergens: plan.allergens.join(', '),
    // A batch of before they were chosen keeps the words of its day: the gravest stand first.
    cautions: (plan.onLabel ?? plan.cautions).slice(0, MOST_ON_A_LABEL),
    batchNumber: batch.number,
    kitchen: settings.kitchenName,
  };
}

const right = (title: string, share: number) => ({ title, share, align: 'right' as const });
const left = (title: string, share: number) => ({ title, share, align: 'left' as const });

export function sheetOf({ batch, catalogue, settings, vessels, reader = {} }: Around): Sheet {
  const { plan } = batch;
  const vesselName = (id: string): string => vessels.find((vessel) => vessel.id === id)?.name ?? id;
  const grams = (g: number): string => formatAmount(g, 'g', settings);
  const aside = plan.lines.filter(({ asideG }) => asideG > 0);
  const loads = batch.loads.map((load): SheetTable => ({
    title: batch.loads.length === 1 ? 'Weigh out' : `Load ${load.batch?.load ?? 1} of ${batch.loads.length}`,
    note: `${formatVolume(load.making?.plannedVolumeMl ?? 0, settings)} in the ${vesselName(plan.mixingVesselId)}`,
    ticks: true,
    columns: [left('What', 5), right('Amount', 2), left('Weighed', 2), left('Lot or bottle', 3)],
    rows: (load.making?.steps ?? []).map((step) =>
      stepRow(step, catalogue, load.making!.tool, load.making!.bottles, grams),
    ),
  }));
  const lots = plan.lines.map(({ name, plannedG, asideG }) => [name, grams(plannedG + asideG)]);
  return {
    title: `${batch.formulaName ?? 'Dressing'}, batch ${batch.number}`,
    subtitle: `v${batch.version} (${plan.versionState} when planned) · ${plan.target} · ${formatVolume(plan.yieldMl, settings)} · ${settings.kitchenName}`,
    facts: [
      ['Day', sayDay(batch.day, reader)],
      ['Made by', ''],
      ['Tool', TOOL_VALUES[plan.tool].name],
      ['Begun at', ''],
      ['Measured', ROUNDING_WORDS[plan.rounding]],
      ['Ingredients, °C', ''],
      ['Seasonings', SCHOOL_WORDS[plan.school]],
      ['Mixed, °C', ''],
      ['Kept in', plan.storage ? `${plan.storage.count} × ${vesselName(plan.storage.vesselId)}` : ''],
      ['At 5 °C at', ''],
      ['Use by', `${sayDay(keepUntilOf(batch, reader).day, reader)}, if made on the day`],
      ['pH, measured', ''],
    ],
    tables: [
      ...loads,
      ...(aside.length > 0
        ? [
            {
              title: 'Kept aside',
              note: 'Combine the loads, taste, then finish. What is marked per service is weighed when it is served.',
              ticks: true,
              columns: [left('What', 5), right('At most', 2), left('Put in', 2), left('', 3)],
              rows: aside.map(({ name, asideG, aside: how }) => [
                name,
                grams(asideG),
                '',
                how === 'per-service' ? 'per service' : 'by taste',
              ]),
            },
          ]
        : []),
      ...(lots.length > 30
        ? []
        : [
            {
              title: 'In all',
              note: '',
              ticks: false,
              columns: [left('What', 5), right('Amount', 2)],
              rows: lots,
            },
          ]),
    ],
    notes: [
      ...(plan.toTaste.length > 0 ? [`To taste at the end: ${plan.toTaste.join('; ')}.`] : []),
      `${keepAt(batch)}. ${plan.keeping.days} days at most, because of ${plan.keeping.because}: an estimate.`,
      `Allergens: ${plan.allergens.join(', ') || 'none listed is known'}.`,
      ...plan.cautions,
      'Went otherwise than planned:',
    ],
    signatures: ['Verdict, on a leaf', 'Recorded by, and when'],
  };
}

function stepRow(
  step: Step,
  catalogue: Catalogue,
  tool: Parameters<typeof sayDeed>[1],
  bottles: Readonly<Partial<Record<string, string>>>,
  grams: (g: number) => string,
): readonly string[] {
  if (step.kind === 'do') {
    return [sayDeed(step, tool), step.seconds === null ? 'until so' : sayDuration(step.seconds), '–', '–'];
  }
  const id = step.kind === 'weigh' ? step.line.ingredientId : step.ingredientId;
  const form = step.kind === 'weigh' ? step.line.form : step.form;
  const name = `${catalogue.get(id)?.name ?? id}${form ? `, ${form}` : ''}`;
  const said = step.kind === 'weigh' && step.said !== '' ? `${name} (${step.said})` : name;
  return [said, step.kind === 'weigh' ? grams(step.line.massG) : 'to taste', '', bottles[id] ?? ''];
}

export function pullSheetOf(list: PullList, title: string, subtitle: string, settings: Settings): Sheet {
  const rows = list.lines.map((line) => [
    line.ingredient.name,
    sayNeeded(line, settings),
    line.onHandG === null ? 'not known' : formatMass(line.onHandG, settings),
    sayShort(line, settings) || 'enough',
    line.cost === null ? '–' : formatMoney(line.cost, settings),
  ]);
  return {
    title,
    subtitle,
    notes: [],
    signatures: [],
    facts: [
      [
        'Cost',
        list.unpriced.length > 0
          ? `${formatMoney(list.cost, settings)}, not all has a price`
          : formatMoney(list.cost, settings),
      ],
    ],
    tables: [
      {
        title: 'To fetch',
        note: '',
        ticks: true,
        rows,
        columns: [
          left('What', 4),
          right('Needed', 4),
          right('On hand', 2),
          left('Missing', 3),
          right('Cost', 2),
        ],
      },
    ],
  };
}
