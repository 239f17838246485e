import type { PalateKey } from '#core/palate';
import type { KitchenComponent } from '#core/ingredient';
import { drawingWords } from '#words/screens/drawing';
import { ComponentMark } from './ComponentMark';
import { placeOf, type Placed } from './profilePlace';

export interface ProfileRow extends Placed {
  readonly measure: PalateKey;
  readonly component: KitchenComponent;
  readonly title: string;
  /** What is outside, in a word or two; empty: nothing. */
  readonly off: string;
  /** The figure, where it is asked for. */
  readonly figure: string;
  /** Read aloud in place of the drawing: what is outside, or that it is right. */
  readonly state: string;
}
interface ProfileProps {
  readonly rows: readonly ProfileRow[];
  readonly figures: boolean;
  /** Says who brings it; left out, rows are only read. */
  readonly onRow?: (measure: PalateKey) => void;
}

const ROW_PX = 42;
const FILL: Readonly<Record<KitchenComponent, string>> = {
  oil: 'bg-oil-fill',
  acid: 'bg-acid',
  salt: 'bg-salt',
  sweet: 'bg-sweet-fill',
  aroma: 'bg-aroma-fill',
  body: 'bg-body-fill',
  water: 'bg-water-fill',
};

/**
 * A dressing as one line: every measure on its own scale, so that all bands lie above each other as one belt. What is
 * right hangs straight in it; what is outside swings out, too little to the left, too much to the right.
 */
export function Profile({ rows, figures, onRow }: ProfileProps) {
  const points = rows.flatMap((row, index) => {
    const x = placeOf(row);
    return x === null ? [] : [`${x * 100},${(index + 0.5) * ROW_PX}`];
  });
  return (
    <ul className="relative" data-testid="profile">
      {rows.map((row) => (
        <Row key={row.measure} row={row} figures={figures} {...(onRow ? { onRow } : {})} />
      ))}
      <li aria-hidden className="pointer-events-none absolute inset-y-0 right-0 left-[8.75rem]">
        <svg
          className="size-full overflow-visible"
          viewBox={`0 0 100 ${rows.length * ROW_PX}`}
          preserveAspectRatio="none"
        >
          <polyline
            points={points.join(' ')}
            fill="none"
            className="stroke-ink"
            strokeWidth={1.5}
            vectorEffect="non-scaling-stroke"
          />
        </svg>
        {rows.map((row, index) => (
          <Dot key={row.measure} row={row} index={index} />
        ))}
      </li>
    </ul>
  );
}

function Row({ row, figures, onRow }: Pick<ProfileProps, 'figures' | 'onRow'> & { row: ProfileRow }) {
  const { measure, component, title, off, figure, state, window } = row;
  const showsFigure = figures || !window;
  const look = 'grid w-full grid-cols-[1.5rem_6.25rem_minmax(0,1fr)] items-center gap-x-2 text-left';
  const content = (
    <>
      <span aria-hidden>
        <ComponentMark component={component} />
      </span>
      <span className="min-w-0 leading-tight">
        <span
          className={`${off || showsFigure ? 'block truncate' : 'line-clamp-2 text-[0.9375rem]'} ${off ? 'font-bold' : ''}`}
        >
          {title}
        </span>
        {(off || showsFigure) && (
          <span className="block truncate text-[0.8125rem] leading-4" aria-hidden>
            {off && <strong>{off}</strong>}
            {showsFigure && (
              <span className="text-quiet" data-testid="figure">
                {off && ' · '}
                {figure}
              </span>
            )}
          </span>
        )}
        <span className="sr-only">{`${state}, ${figure}.${onRow ? ` ${drawingWords.whoBringsIt}` : ''}`}</span>
      </span>
      <span className="keeps-colour relative h-full" aria-hidden>
        <span className="absolute inset-x-0 top-1/2 h-px bg-rule" />
        {window && (
          <span className="absolute inset-y-0 left-[36%] w-[28%] border-x-2 border-leaf/50 bg-mint" />
        )}
      </span>
    </>
  );
  return (
    <li data-testid={`gauge-${measure}`}>
      {onRow ? (
        <button
          type="button"
          className={`${look} rounded-md hover:bg-mint`}
          style={{ height: ROW_PX }}
          onClick={() => {
            onRow(measure);
          }}
        >
          {content}
        </button>
      ) : (
        <div className={look} style={{ height: ROW_PX }}>
          {content}
        </div>
      )}
    </li>
  );
}

function Dot({ row, index }: { row: ProfileRow; index: number }) {
  const x = placeOf(row);
  if (x === null) return null;
  const [low, high] = [
    placeOf({ ...row, value: row.range?.low ?? null }),
    placeOf({ ...row, value: row.range?.high ?? null }),
  ];
  const top = (index + 0.5) * ROW_PX;
  return (
    <>
      {low !== null && high !== null && high - low > 0.03 && (
        <span
          className={`keeps-colour absolute h-1 -translate-y-1/2 rounded opacity-60 ${FILL[row.component]}`}
          style={{ top, left: `${low * 100}%`, width: `${(high - low) * 100}%` }}
        />
      )}
      <span
        className={`keeps-colour absolute -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-card ${FILL[row.component]} ${row.off ? 'size-5' : 'size-3.5'}`}
        style={{ top, left: `${x * 100}%` }}
      />
    </>
  );
}
