import { createColumnHelper, flexRender, type Table } from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { Link } from 'react-router';
import type { PantryEntry, Settings } from '#contract';
import { componentOf, weakestOf, type Ingredient } from '#core/ingredient';
import { pantryWords } from '#words/screens/pantry';
import { ComponentMark } from '../../parts/drawing/ComponentMark';
import { formatAmount, formatMoney, formatNumber } from '#words/numbers';
import { CATEGORY_WORDS } from './words';
export interface PantryRow {
  readonly ingredient: Ingredient;
  readonly entry: PantryEntry;
  readonly own: boolean;
  readonly words: string;
}

export function PantryTable({ table }: { table: Table<PantryRow> }) {
  return (
    <div className="card overflow-x-auto" tabIndex={0} role="region" aria-label={pantryWords.pantryTable}>
      <table className="w-full min-w-[960px] table-fixed text-left [&_th:first-child]:w-[30%]">
        <thead className="text-sm">
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-b border-rule">
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                return (
                  <th
                    key={header.id}
                    scope="col"
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    className="px-3 py-1"
                  >
                    <button
                      type="button"
                      className="inline-flex min-h-8 items-center gap-1 font-semibold"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      {flexRender(header.column.columnDef.header, header.getContext())}
                      {sorted === 'asc' && <ArrowUp size={14} aria-hidden />}
                      {sorted === 'desc' && <ArrowDown size={14} aria-hidden />}
                    </button>
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className="border-b border-rule last:border-0 hover:bg-mint">
              {row.getVisibleCells().map((cell) => (
                <td key={cell.id} className="px-3 py-0.5 align-middle">
                  {flexRender(cell.column.columnDef.cell, cell.getContext())}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const column = createColumnHelper<PantryRow>();

/** Nothing known sorts last, whichever way. */
const numberColumn = (
  id: string,
  header: string,
  value: (row: PantryRow) => number | null,
  show: (value: number) => string,
) =>
  column.accessor((row) => value(row) ?? undefined, {
    id,
    header,
    sortUndefined: 'last',
    cell: ({ getValue }) => {
      const found = getValue();
      return found === undefined ? <span className="text-quiet">–</span> : show(found);
    },
  });

export const columnsFor = (settings: Settings) => [
  column.accessor((row) => row.ingredient.name, {
    id: 'name',
    header: pantryWords.name,
    sortingFn: 'text',
    cell: ({ row: { original } }) => (
      <Link
        to={`/pantry/${original.ingredient.id}`}
        className="inline-flex min-h-8 items-center gap-2 font-semibold underline-offset-4 hover:underline"
      >
        <ComponentMark component={componentOf(original.ingredient)} />
        {original.ingredient.name}
        {original.own && (
          <span className="rounded bg-tape-soft px-1.5 text-sm font-normal">{pantryWords.ours}</span>
        )}
      </Link>
    ),
  }),
  column.accessor((row) => CATEGORY_WORDS[row.ingredient.category], { id: 'kind', header: pantryWords.kind }),
  numberColumn(
    'onhand',
    pantryWords.onHand,
    ({ entry }) => entry.onHandG,
    (g) => formatAmount(g, 'g', settings),
  ),
  numberColumn(
    'price',
    pantryWords.pricePerKg,
    ({ entry }) => (entry.price !== null && entry.packMassG ? (entry.price / entry.packMassG) * 1000 : null),
    (money) => formatMoney(money, settings),
  ),
  column.accessor((row) => row.entry.bottle.useBy ?? undefined, {
    id: 'useby',
    header: pantryWords.useBy,
    sortUndefined: 'last',
    cell: ({ getValue }) => getValue() ?? <span className="text-quiet">–</span>,
  }),
  numberColumn(
    'ph',
    'pH',
    ({ ingredient }) => ingredient.typicalPh,
    (ph) => formatNumber(ph, 1, settings),
  ),
  numberColumn(
    'density',
    pantryWords.gPerMl,
    ({ ingredient }) => ingredient.spoonDensityGPerMl,
    (density) => formatNumber(density, 2, settings),
  ),
  column.accessor((row) => weakestOf(row.ingredient), {
    id: 'tag',
    header: pantryWords.knownFrom,
    cell: ({ getValue }) => <span className="text-sm text-quiet">{getValue()}</span>,
  }),
];
