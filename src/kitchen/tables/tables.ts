/** Tables for a spreadsheet. Numbers in their own unit, with a point, whatever the screen shows. */
import type { BatchRecord, KitchenDocument, OwnIngredient, PantryEntry, TrialRecord } from '#contract';
import { latestOf } from '#core/batch';
import { STATE_WORDS } from '#words/batch';
import type { Formula } from '#core/formula';
import type { Catalogue } from '#core/ingredient';
import { inPieces } from '#core/interchange';
import type { Reckoning } from '#core/reckoning';
import { entryOf, type Pantry } from '#kitchen/reading';

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

/** The last cell of a row: what the other cells leave out, so that the table comes back whole. */
export const WHOLE = 'record';
export const FORMULA_HEADER: Row = [...ADDITION_HEADER, 'formulaId', WHOLE];

/** Rows of one thing, with its record in pieces beside them; more pieces than rows get rows of their own. */
function withRecord(rows: readonly Row[], record: unknown, keys: (row: Row) => Row): readonly Row[] {
  const pieces = inPieces(JSON.stringify(record));
  const width = rows[0]?.length ?? 0;
  const extra = pieces.slice(rows.length).map(() => Array.from({ length: width }, () => ''));
  return [...rows, ...extra].map((row, i) => [...(i < rows.length ? row : keys(row)), pieces[i] ?? '']);
}

export const formulaRows = (
  entry: KitchenDocument['formulas'][number],
  reckoning: Reckoning,
): readonly Row[] => {
  const rows = additionRows(entry.formula, reckoning).map((row): Row => [...row, entry.id]);
  const named = (row: Row): Row => [entry.formula.name, ...row.slice(1, -1), entry.id];
  const none = named(FORMULA_HEADER.slice(0, -1).map(() => ''));
  return withRecord(rows.length > 0 ? rows : [none], entry, named);
};

export const INGREDIENT_HEADER: Row = [
  ...['id', 'name', 'category', 'gramsPerMl', 'onHandG', 'price', 'packG'],
  ...[
    'bottle',
    'acidityGPer100Ml',
    'bottlePh',
    'openedOn',
    'useBy',
    'thickness',
    'allergens',
    'tag',
    'source',
    WHOLE,
  ],
];
/** @param own the kitchen's own ingredients, which no reference table holds */
export const ingredientRows = (
  catalogue: Catalogue,
  pantry: Pantry,
  own: readonly OwnIngredient[],
): readonly Row[] => {
  const ownRows = new Map(own.map((row) => [row.id as string, row]));
  return [...catalogue.values()]
    .filter((ingredient) => !ingredient.made)
    .map(({ id, name, category, spoonDensityGPerMl, allergensEu14, tag, source }) => {
      const { onHandG, price, packMassG, bottle } = entryOf(pantry, id);
      const row = ownRows.get(id);
      return [
        ...[id, name, category, exact(spoonDensityGPerMl), exact(onHandG), exact(price), exact(packMassG)],
        ...[bottle.label, exact(bottle.acidityGPer100Ml), exact(bottle.ph)],
        ...[bottle.openedOn ?? '', bottle.useBy ?? '', writeTest(bottle.thickness)],
        ...[allergensEu14.join('; '), tag, source],
        row ? JSON.stringify(row) : '',
      ];
    });
};
/** "plate 12", "plate still", "spoon stays"; empty: as the table has it. */
const writeTest = (test: PantryEntry['bottle']['thickness']): string => {
  if (!test) return '';
  return test.kind === 'plate' ? `plate ${test.seconds ?? 'still'}` : `spoon ${test.line}`;
};
export function readTest(text: string): NonNullable<PantryEntry['bottle']['thickness']> | null {
  const [kind, what = ''] = text.trim().split(/\s+/);
  if (kind === 'plate') return { kind, seconds: what === 'still' ? null : Number(what) };
  return kind === 'spoon' ? { kind, line: what === 'stays' ? 'stays' : 'closes' } : null;
}

const exact = (value: number | null): string => (value === null ? '' : String(value));

export const LOG_HEADER: Row = ['at', 'formula', 'version', 'jar', 'cook', 'what', WHOLE];
/** Each jar as it was begun, then what happened to it. */
export const logRows = (
  jars: readonly TrialRecord[],
  nameOf: (cookId: string | null) => string,
  formulaOf: (formulaId: string) => string,
): readonly Row[] =>
  jars.flatMap(({ events, ...jar }) => {
    const about = [formulaOf(jar.formulaId), String(jar.version), jar.id];
    return [
      ...inPieces(JSON.stringify(jar)).map((piece) => [
        ...[jar.at, ...about, nameOf(jar.by.cookId), 'begun', piece],
      ]),
      ...events.flatMap((logged) =>
        inPieces(JSON.stringify(logged)).map((piece) => [
          ...[logged.at, ...about, nameOf(logged.by.cookId), logged.event.kind, piece],
        ]),
      ),
    ];
  });

export const BATCH_HEADER: Row = [
  ...['number', 'day', 'formula', 'version', 'ingredientId', 'ingredient', 'form'],
  ...['exactG', 'plannedG', 'asideG', 'yieldMl', 'state', 'recordedBy', WHOLE],
];
export const batchRows = (batches: readonly BatchRecord[]): readonly Row[] =>
  batches.flatMap((batch) => {
    const about = [batch.number, batch.day, batch.formulaName ?? '', String(batch.version)];
    const rows = batch.plan.lines.map((line) => [
      ...[...about, line.ingredientId, line.name, line.form],
      ...[number(line.exactG), number(line.plannedG), number(line.asideG), number(batch.plan.yieldMl)],
      ...[STATE_WORDS[batch.state], latestOf(batch.events, 'signed')?.event.name ?? ''],
    ]);
    return withRecord(rows, batch, (row) => [...about, ...row.slice(about.length)]);
  });
