import type { ReactNode } from 'react';
import { tasteWords } from '#words/screens/taste';
import { TASTE_ROWS, type TasteRow, type TasteRows as Rows, type TasteValue } from '#core/trial';
import { ROW_WORDS } from '#words/trial';

const VALUES: readonly TasteValue[] = [-2, -1, 0, 1, 2];
/** Bitterness cannot be too little: its row begins at fine. */
const BITTER_VALUES: readonly TasteValue[] = [0, 1, 2];

const FILL: Record<TasteRow, string> = {
  acid: 'has-checked:bg-acid',
  salt: 'has-checked:bg-salt',
  sweet: 'has-checked:bg-sweet-fill',
  oil: 'has-checked:bg-oil-fill',
  body: 'has-checked:bg-body-fill',
  bite: 'has-checked:bg-aroma-fill',
  bitter: 'has-checked:bg-water-fill',
};

const DEGREE = ['', tasteWords.aLittle, tasteWords.andClearly] as const;
const sayValue = (row: TasteRow, value: TasteValue): string => {
  const [low, high] = ROW_WORDS[row];
  if (value === 0) return row === 'bitter' ? low : tasteWords.justRight;
  return `${value < 0 ? low : high}${DEGREE[Math.abs(value)]}`;
};

/** Seven rows for wet hands: one tap a row, the middle is right; arrow keys move within a row. */
export function TasteRows({
  rows,
  onRows,
  beside,
}: {
  rows: Rows;
  onRows: (rows: Rows) => void;
  /** On a phone bitterness has no other side: what else the mouth may say stands there. */
  beside: ReactNode;
}) {
  return (
    <div className="grid gap-4">
      <div className="grid grid-cols-4 gap-4 sm:hidden">
        {TASTE_ROWS.map((row) => (
          <ThumbRow
            key={row}
            row={row}
            value={rows[row] ?? 0}
            onValue={(value) => {
              onRows({ ...rows, [row]: value });
            }}
          />
        ))}
        {beside}
      </div>
      {TASTE_ROWS.map((row) => (
        <fieldset
          key={row}
          className="hidden items-center gap-x-3 sm:grid sm:grid-cols-[6.5rem_minmax(0,1fr)_7.5rem]"
          data-testid={`row-${row}`}
        >
          <legend className="sr-only">{tasteWords.rowOrRow2(ROW_WORDS[row][0], ROW_WORDS[row][1])}</legend>
          <span className="text-sm text-quiet sm:text-right" aria-hidden>
            {ROW_WORDS[row][0]}
          </span>
          <span className="col-span-2 row-start-2 grid auto-cols-fr grid-flow-col gap-4 sm:col-span-1 sm:row-start-auto">
            {(row === 'bitter' ? BITTER_VALUES : VALUES).map((value) => (
              <label
                key={value}
                className={`grid min-h-16 cursor-pointer place-items-center rounded-md border bg-paper has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-leaf ${value === 0 ? 'border-dashed border-edge' : 'border-rule'} ${FILL[row]} has-checked:text-white`}
              >
                <input
                  type="radio"
                  className="sr-only"
                  name={`taste-${row}`}
                  aria-label={sayValue(row, value)}
                  checked={(rows[row] ?? 0) === value}
                  onChange={() => {
                    onRows({ ...rows, [row]: value });
                  }}
                />
                <span className="text-sm font-semibold" aria-hidden>
                  {value === 0 ? '' : Math.abs(value)}
                </span>
              </label>
            ))}
          </span>
          <span className="text-right text-sm text-quiet sm:text-left" aria-hidden>
            {ROW_WORDS[row][1]}
          </span>
        </fieldset>
      ))}
    </div>
  );
}

const NEXT: Readonly<Record<number, TasteValue>> = { 0: 1, 1: 2, 2: 0 };
const SHORT = ['', '', ' · ·'] as const;

/** One row for a thumb: a press says a little, a second one clearly, a third takes it back. */
function ThumbRow({
  row,
  value,
  onValue,
}: {
  row: TasteRow;
  value: TasteValue;
  onValue: (value: TasteValue) => void;
}) {
  const sides = row === 'bitter' ? ([1] as const) : ([-1, 1] as const);
  return (
    <div className="contents" data-testid={`thumb-${row}`}>
      {sides.map((side) => {
        const degree = Math.sign(value) === side ? Math.abs(value) : 0;
        const words = ROW_WORDS[row][side < 0 ? 0 : 1];
        return (
          <button
            key={side}
            type="button"
            aria-pressed={degree > 0}
            className={`keeps-colour min-h-16 rounded-md border px-1 text-sm leading-tight font-semibold ${degree > 0 ? `border-ink text-white ${PRESSED[row]}` : 'border-edge bg-paper'}`}
            onClick={() => {
              const next = NEXT[degree]!;
              onValue((next * side) as TasteValue);
            }}
          >
            {words}
            {degree > 0 && <span className="sr-only">{DEGREE[degree]}</span>}
            <span aria-hidden>{degree > 0 ? SHORT[degree] : ''}</span>
          </button>
        );
      })}
    </div>
  );
}

const PRESSED: Record<TasteRow, string> = {
  acid: 'bg-acid',
  salt: 'bg-salt',
  sweet: 'bg-sweet-fill',
  oil: 'bg-oil-fill',
  body: 'bg-body-fill',
  bite: 'bg-aroma-fill',
  bitter: 'bg-water-fill',
};
