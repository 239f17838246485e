/** Our own tables back again: by their header, whole through their records, checked row by row. */
import {
  batchRecordSchema,
  DOCUMENT_FORMAT,
  EMPTY_PANTRY_ENTRY,
  ingredientRowSchema,
  pantryEntrySchema,
  trialRecordSchema,
  type BatchRecord,
  type OwnIngredient,
  type PantryEntry,
  type TrialRecord,
} from '#contract';
import type { IngredientId } from '#core/ingredient';
import { fromCsv, joined, underHeader } from '#core/interchange';
import { sayIssue } from '#words/problems';
import { tablesWords } from '#words/screens/tables';
import { ADDITION_HEADER, BATCH_HEADER, INGREDIENT_HEADER, LOG_HEADER, readTest, WHOLE } from './tables';

type Cells = Readonly<Record<string, string>>;

export type TableReading =
  | { readonly kind: 'formulas'; readonly document: unknown }
  /** One formula as words, for a draft. */
  | { readonly kind: 'text'; readonly text: string }
  | {
      readonly kind: 'stock';
      readonly entries: ReadonlyMap<IngredientId, PantryEntry>;
      readonly own: readonly OwnIngredient[];
    }
  | {
      readonly kind: 'records';
      readonly jars: readonly TrialRecord[];
      readonly batches: readonly BatchRecord[];
    }
  | { readonly kind: 'unread'; readonly says: string };

const unread = (says: string): TableReading => ({ kind: 'unread', says });

/** Null: no table of ours. */
export function readTable(text: string): TableReading | null {
  const first = /^\uFEFF?"?(formula|id|at|number)"?[,;\t]/i.exec(text)?.[1]?.toLowerCase();
  if (!first) return null;
  const reading = fromCsv(text);
  if (reading.status === 'unread')
    return unread(tablesWords.theTableLineLineMessage(reading.line, reading.message));
  const header = { formula: ADDITION_HEADER, id: INGREDIENT_HEADER, at: LOG_HEADER, number: BATCH_HEADER }[
    first
  ]!;
  // Columns that came later are not asked of a table from before.
  const needed = first === 'formula' ? ['amount', 'ingredient'] : header.filter((name) => name !== LATER);
  const { missing, records } = underHeader(reading.rows, needed);
  if (missing.length > 0) return unread(tablesWords.theTableHasNoColumn(missing.join(', ')));
  try {
    switch (first) {
      case 'id':
        return readStock(records);
      case 'at':
        return { kind: 'records', jars: readJars(records), batches: [] };
      case 'number':
        return { kind: 'records', jars: [], batches: readBatches(records) };
      default:
        return readFormulas(records);
    }
  } catch (error) {
    return unread(error instanceof TableError ? error.message : tablesWords.aRecordInTheTable);
  }
}

/** A column of the stock table that older tables lack. */
const LATER = 'thickness';

class TableError extends Error {}

interface Schema<T> {
  readonly safeParse: (value: unknown) => {
    readonly success: boolean;
    readonly data?: T;
    readonly error?: {
      readonly issues: readonly {
        readonly code?: string | undefined;
        readonly path: readonly PropertyKey[];
        readonly message: string;
      }[];
    };
  };
}
function checked<T>(schema: Schema<T>, value: unknown, where: string): T {
  const { data, error } = schema.safeParse(value);
  if (data !== undefined) return data;
  const issue = error?.issues[0];
  throw new TableError(
    `${where}: ${issue ? `${issue.path.join('.')} ${sayIssue(issue)}` : tablesWords.notUnderstood}.`,
  );
}
function parsed(json: string, where: string): unknown {
  try {
    return JSON.parse(json) as unknown;
  } catch {
    throw new TableError(tablesWords.whereItsRecordIsCut(where));
  }
}

/** A row in which all of these are empty is there for its record alone. */
const SAID = ['amount', 'ingredient', 'ingredientId', 'form', 'note'];

function readFormulas(rows: readonly Cells[]): TableReading {
  // Two may have one name.
  const keyOf = ({ formula = '', formulaId = '' }: Cells): string => formulaId || formula;
  const keys = [...new Set(rows.map(keyOf))];
  // One formula by itself, or one that was worked on in the spreadsheet, is read as words.
  const records = joined(rows.flatMap((row) => (row[WHOLE] ? [{ key: keyOf(row), piece: row[WHOLE] }] : [])));
  const entries = new Map(
    [...records].map(([key, json]) => [
      key,
      parsed(json, key) as { formula?: { name?: string; additions?: readonly Cells[] } },
    ]),
  );
  // The table has them in the order of the work, the formula in its own.
  const told = (cells: readonly (string | undefined)[][]): string =>
    JSON.stringify(cells.map((row) => JSON.stringify(row)).sort());
  const isAsWritten = (key: string): boolean => {
    const entry = entries.get(key)?.formula;
    const own = rows.filter((row) => keyOf(row) === key);
    const lines = own.filter((row) => SAID.some((column) => row[column]));
    return (
      entry?.additions !== undefined &&
      own.every(({ formula }) => formula === entry.name) &&
      told(lines.map(({ amount, form, note }) => [amount, form ?? '', note ?? ''])) ===
        told(
          entry.additions
            .filter((one) => one.amountText || one.ingredientText || one.ingredientId || one.form || one.note)
            .map(({ amountText, form, note }) => [amountText, form, note]),
        )
    );
  };
  const changed = keys.filter((key) => !isAsWritten(key));
  if (changed.length === 0)
    return {
      kind: 'formulas',
      document: {
        ygranaDocument: DOCUMENT_FORMAT,
        madeAt: new Date(0).toISOString(),
        formulas: [...entries.values()],
        ingredients: [],
      },
    };
  const nameOf = (key: string): string => rows.find((row) => keyOf(row) === key)?.formula || key;
  if (keys.length > 1) return unread(tablesWords.changedInTheTableChanged(changed.map(nameOf).join(', ')));
  const lines = rows
    .filter(({ amount, ingredient }) => amount || ingredient)
    .map(({ amount, ingredient, form }) => `${amount} ${ingredient}${form ? `, ${form}` : ''}`);
  return { kind: 'text', text: [nameOf(keys[0] ?? ''), 'Ingredients:', ...lines].join('\n') };
}

function readStock(rows: readonly Cells[]): TableReading {
  const own: OwnIngredient[] = [];
  const entries = new Map<IngredientId, PantryEntry>();
  for (const row of rows) {
    const where = row.name || row.id || tablesWords.aRow;
    const number = (column: string): number | null => {
      const text = row[column]!.trim();
      if (text === '') return null;
      const value = Number(text);
      if (!Number.isFinite(value)) throw new TableError(tablesWords.whereColumnTextIsNo(where, column, text));
      return value;
    };
    if (row[WHOLE]) own.push(checked(ingredientRowSchema, parsed(row[WHOLE], where), where));
    const entry: PantryEntry = {
      onHandG: number('onHandG'),
      price: number('price'),
      packMassG: number('packG'),
      bottle: {
        label: row.bottle ?? '',
        acidityGPer100Ml: number('acidityGPer100Ml'),
        ph: number('bottlePh'),
        openedOn: row.openedOn || null,
        useBy: row.useBy || null,
        // A table from before has no such column, and says nothing of it.
        ...(row.thickness === undefined ? {} : { thickness: readTest(row.thickness) }),
      },
    };
    entries.set(row.id as IngredientId, checked(pantryEntrySchema, entry, where));
  }
  return { kind: 'stock', entries, own };
}

function readJars(rows: readonly Cells[]): readonly TrialRecord[] {
  const of = (isBegun: boolean) =>
    rows.flatMap((row) =>
      (row.what === 'begun') === isBegun ? [{ key: row.jar ?? '', piece: row[WHOLE] ?? '' }] : [],
    );
  const events = new Map<string, unknown[]>();
  // A piece that does not close its braces goes on in the next row.
  const open = new Map<string, string>();
  for (const { key, piece } of of(false)) {
    const text = (open.get(key) ?? '') + piece;
    try {
      events.set(key, [...(events.get(key) ?? []), JSON.parse(text)]);
      open.delete(key);
    } catch {
      open.set(key, text);
    }
  }
  const [cut] = open.keys();
  if (cut !== undefined) throw new TableError(tablesWords.jarCutAnEventIs(cut));
  return [...joined(of(true))].map(([id, json]) => {
    const where = tablesWords.jarId(id);
    const jar = parsed(json, where) as object;
    return checked(trialRecordSchema, { ...jar, events: events.get(id) ?? [] }, where);
  });
}

const readBatches = (rows: readonly Cells[]): readonly BatchRecord[] =>
  [...joined(rows.map((row) => ({ key: row.number ?? '', piece: row[WHOLE] ?? '' })))].map(([number, json]) =>
    checked(
      batchRecordSchema,
      parsed(json, tablesWords.batchNumber(number)),
      tablesWords.batchNumber(number),
    ),
  );

/** What the table would change of the stock; what it says nothing of stays. */
export const changedEntries = (
  entries: ReadonlyMap<IngredientId, PantryEntry>,
  pantry: Readonly<Record<string, PantryEntry>>,
): readonly (readonly [IngredientId, PantryEntry])[] =>
  [...entries].flatMap(([id, entry]) => {
    const now = pantry[id] ?? EMPTY_PANTRY_ENTRY;
    const then = ordered('thickness' in entry.bottle ? entry : withThicknessOf(now, entry));
    return JSON.stringify(then) === JSON.stringify(ordered(now)) ? [] : [[id, then] as const];
  });

const withThicknessOf = ({ bottle: { thickness } }: PantryEntry, entry: PantryEntry): PantryEntry => ({
  ...entry,
  bottle: { ...entry.bottle, thickness },
});

/** In the order in which the table writes them. */
const ordered = ({ onHandG, price, packMassG, bottle }: PantryEntry): PantryEntry => ({
  onHandG,
  price,
  packMassG,
  bottle: {
    label: bottle.label,
    acidityGPer100Ml: bottle.acidityGPer100Ml,
    ph: bottle.ph,
    openedOn: bottle.openedOn,
    useBy: bottle.useBy,
    thickness: bottle.thickness ?? null,
  },
});
