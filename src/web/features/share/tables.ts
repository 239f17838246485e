/** Tables for a spreadsheet. Numbers in their own unit, with a point, whatever the screen shows. */
import type { BatchRecord, LogEntry } from '#contract';
import { latestOf, STATE_WORDS } from '#core/batch';
import type { Formula } from '#core/formula';
import type { Catalogue } from '#core/ingredient';
import type { Reckoning } from '#core/reckoning';
import type { Pantry } from '../../store/kitchen';

type Row = readonly string[];
const number = (value: number | null, decimals = 3): string =>
  value === null ? '' : String(Number(value.toFixed(decimals)));

export const ADDITION_HEADER: Row = [
  'formula',
  'phase',
  'amount',
  'ingredient',
  'form',
  'note',
  'optional',
  'grams',
  'ingredientId',
];
export const additionRows = (formula: Formula, { additions }: Reckoning): readonly Row[] =>
  additions.map(({ addition, reading }) => [
    formula.name,
    addition.phase,
    addition.amountText,
    reading.status === 'read' ? reading.ingredient.name : addition.ingredientText,
    addition.form,
    addition.note,
    addition.optional ? 'yes' : 'no',
    reading.status === 'read' ? number(reading.massG.nominal) : '',
    addition.ingredientId ?? '',
  ]);

export const INGREDIENT_HEADER: Row = [
  'id',
  'name',
  'category',
  'gramsPerMl',
  'onHandG',
  'price',
  'packG',
  'bottle',
  'allergens',
  'tag',
  'source',
];
export const ingredientRows = (catalogue: Catalogue, pantry: Pantry): readonly Row[] =>
  [...catalogue.values()]
    .filter((ingredient) => !ingredient.made)
    .map(({ id, name, category, spoonDensityGPerMl, allergensEu14, tag, source }) => {
      const entry = pantry[id];
      return [
        ...[id, name, category, number(spoonDensityGPerMl)],
        ...[number(entry?.onHandG ?? null), number(entry?.price ?? null), number(entry?.packMassG ?? null)],
        ...[entry?.bottle.label ?? '', allergensEu14.join('; '), tag, source],
      ];
    });

export const LOG_HEADER: Row = ['at', 'formula', 'version', 'jar', 'cook', 'what', 'details'];
export const logRows = (
  entries: readonly LogEntry[],
  nameOf: (cookId: string | null) => string,
): readonly Row[] =>
  entries.map(({ at, formulaName, version, trialId, by, event }) => [
    ...[at, formulaName ?? '', String(version), trialId, nameOf(by.cookId)],
    ...[event.kind, JSON.stringify(event)],
  ]);

export const BATCH_HEADER: Row = [
  'number',
  'day',
  'formula',
  'version',
  'ingredientId',
  'ingredient',
  'form',
  'exactG',
  'plannedG',
  'asideG',
  'yieldMl',
  'state',
  'recordedBy',
];
export const batchRows = (batches: readonly BatchRecord[]): readonly Row[] =>
  batches.flatMap((batch) =>
    batch.plan.lines.map((line) => [
      ...[
        batch.number,
        batch.day,
        batch.formulaName ?? '',
        String(batch.version),
        line.ingredientId,
        line.name,
        line.form,
      ],
      ...[number(line.exactG), number(line.plannedG), number(line.asideG), number(batch.plan.yieldMl)],
      ...[STATE_WORDS[batch.state], latestOf(batch.events, 'signed')?.event.name ?? ''],
    ]),
  );
