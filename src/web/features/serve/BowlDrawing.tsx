import { surfaceKindOf, type DishAtTime } from '#core/dish';
import type { SurfaceKind } from '#core/ingredient';
import { sayDuration } from '#words/hold';
import { formatAmount, formatNumber, formatVolume } from '#words/numbers';
import { serveWords } from '#words/screens/serve';
import { useKitchen } from '../../data/kitchen';
import type { Bowl } from './useBowl';

/** From dressing to eating, min: fine at first, where most of it happens. */
const STOPS = [0, 2, 5, 10, 15, 20, 30, 45, 60, 90, 120, 240, 480, 720, 1440] as const;
const SPOON_ML = 15;
const MOST_SPOONS = 24;
const [WIDE, HIGH, RIM_Y, BOTTOM_Y] = [320, 170, 30, 150];
/** A heap is mostly air: what a gram of it takes in the bowl, ml. */
const LOOSE_ML_PER_G = 2.2;

export const stopAt = (minutes: number): number =>
  STOPS.reduce<number>(
    (best, stop, i) => (Math.abs(stop - minutes) < Math.abs(STOPS[best]! - minutes) ? i : best),
    0,
  );

interface BowlDrawingProps {
  readonly bowl: Bowl;
  readonly at: DishAtTime;
  readonly minutes: number;
  readonly onMinutes: (minutes: number) => void;
}

/** The bowl to its own scale: what lies in it, the spoonfuls that dress it, and the pool as time goes on. */
export function BowlDrawing({ bowl, at, minutes, onMinutes }: BowlDrawingProps) {
  const { settings } = useKitchen();
  const { things, need } = bowl;
  const liquid = at.clingsMl + at.drunkMl + at.poolMl;
  const spoons = need.ml / SPOON_ML;
  const shown = Math.min(MOST_SPOONS, Math.round(spoons * 2) / 2);
  const said = serveWords.bowlSays(
    formatVolume(at.clingsMl, settings),
    at.drunkMl >= 1 ? formatVolume(at.drunkMl, settings) : null,
    at.poolMl >= 1 ? formatVolume(at.poolMl, settings) : null,
  );
  return (
    <section aria-labelledby="the-bowl" className="card grid grid-cols-[minmax(0,1fr)] gap-2 p-4">
      <h2 id="the-bowl" className="font-name text-lg font-bold">
        {minutes === 0 ? serveWords.theBowlAtOnce : serveWords.theBowlAfter(sayDuration(minutes * 60))}
      </h2>
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="max-h-56 w-full" role="img" aria-label={said}>
        <BowlOf things={things} poolShare={liquid > 0 ? at.poolMl / liquid : 0} poolMl={at.poolMl} />
        {Array.from({ length: Math.ceil(shown) }, (_, i) => (
          <ellipse
            key={i}
            cx={14 + i * 13}
            cy={12}
            rx={5.5}
            ry={i + 1 > shown ? 2 : 4}
            className="fill-oil stroke-ink"
            strokeWidth={0.8}
          />
        ))}
      </svg>
      <p data-testid="bowl-says">{said}</p>
      <p className="text-sm text-quiet">
        {serveWords.spoonfuls(formatNumber(spoons, spoons < 10 ? 1 : 0, settings))}
        {at.drawnWaterG >= 1 && serveWords.waterDrawn(formatAmount(at.drawnWaterG, 'ml', settings))}
      </p>
      <label className="grid gap-1 text-sm">
        {serveWords.timeFromDressing}
        <input
          type="range"
          min={0}
          max={STOPS.length - 1}
          step={1}
          value={stopAt(minutes)}
          aria-valuetext={minutes === 0 ? serveWords.atOnce : sayDuration(minutes * 60)}
          className="w-full accent-leaf"
          onChange={({ target }) => {
            onMinutes(STOPS[Number(target.value)]!);
          }}
        />
      </label>
    </section>
  );
}

function BowlOf({
  things,
  poolShare,
  poolMl,
}: {
  things: Bowl['things'];
  poolShare: number;
  poolMl: number;
}) {
  const massG = things.reduce((sum, one) => sum + one.massG, 0);
  // A bowl that is two thirds full of its heap; the pool stands in it by the same measure.
  const bowlMl = Math.max(1, (massG * LOOSE_ML_PER_G) / 0.66);
  const depth = BOTTOM_Y - RIM_Y;
  const poolHeight = poolShare < 0.01 ? 0 : Math.max(2, Math.sqrt(poolMl / bowlMl) * depth);
  const heap = depth * 0.8;
  let y = BOTTOM_Y;
  return (
    <>
      <clipPath id="inside-the-bowl">
        <path
          d={`M20 ${RIM_Y} Q30 ${BOTTOM_Y} ${WIDE / 2} ${BOTTOM_Y} Q${WIDE - 30} ${BOTTOM_Y} ${WIDE - 20} ${RIM_Y} Z`}
        />
      </clipPath>
      <g clipPath="url(#inside-the-bowl)">
        {things.map(({ ingredient, massG: own }, i) => {
          const height = massG > 0 ? (own / massG) * heap : 0;
          y -= height;
          const { colour, shape } = LOOKS[surfaceKindOf(ingredient)];
          return (
            <g key={i}>
              <title>{ingredient.name}</title>
              <rect x={0} y={y} width={WIDE} height={height} fill={colour} />
              <Pieces shape={shape} y={y} height={height} />
            </g>
          );
        })}
        <rect
          x={0}
          y={BOTTOM_Y - poolHeight}
          width={WIDE}
          height={poolHeight}
          className="fill-oil"
          fillOpacity={0.85}
        />
      </g>
      <path
        d={`M20 ${RIM_Y} Q30 ${BOTTOM_Y} ${WIDE / 2} ${BOTTOM_Y} Q${WIDE - 30} ${BOTTOM_Y} ${WIDE - 20} ${RIM_Y}`}
        className="fill-none stroke-glass"
        strokeWidth={3}
      />
      <line
        x1={12}
        x2={WIDE - 12}
        y1={RIM_Y}
        y2={RIM_Y}
        className="stroke-glass"
        strokeWidth={3}
        strokeLinecap="round"
      />
    </>
  );
}

type Shape = 'leaf' | 'grain' | 'piece' | 'slice';
/** By eye; the glass of a jar keeps its colours by day and by night, too. */
const LOOKS: Readonly<Record<SurfaceKind, { readonly colour: string; readonly shape: Shape }>> = {
  tender: { colour: '#8cb872', shape: 'leaf' },
  sturdy: { colour: '#5f9155', shape: 'leaf' },
  shredded: { colour: '#b9cf9a', shape: 'leaf' },
  crisp: { colour: '#dd9a55', shape: 'slice' },
  watery: { colour: '#cf6a55', shape: 'slice' },
  cooked: { colour: '#8a9a4e', shape: 'piece' },
  pulse: { colour: '#a77f5a', shape: 'grain' },
  grain: { colour: '#d9c79b', shape: 'grain' },
  pasta: { colour: '#e6d08c', shape: 'piece' },
  potato: { colour: '#e3cf8f', shape: 'slice' },
  soft: { colour: '#f1ede0', shape: 'piece' },
  piece: { colour: '#c79a86', shape: 'piece' },
  bread: { colour: '#c9a46b', shape: 'piece' },
  fruit: { colour: '#d9788f', shape: 'slice' },
  dry: { colour: '#9a7048', shape: 'grain' },
  fine: { colour: '#a9a48f', shape: 'grain' },
};
const EVERY_PX: Readonly<Record<Shape, number>> = { leaf: 26, grain: 9, piece: 20, slice: 22 };

/** Leaves, grains, pieces and slices, so that a layer is told by more than its colour. */
function Pieces({ shape, y, height }: { shape: Shape; y: number; height: number }) {
  const every = EVERY_PX[shape];
  const rows = Math.max(1, Math.floor(height / (every * 0.6)));
  const marks = [];
  for (let row = 0; row < rows; row++) {
    const cy = y + ((row + 0.5) * height) / rows;
    for (let x = 24 + (row % 2) * (every / 2); x < WIDE - 20; x += every) {
      const key = `${row} ${x}`;
      const common = { key, className: 'fill-none stroke-ink', strokeWidth: 0.7, strokeOpacity: 0.35 };
      if (shape === 'leaf')
        marks.push(<path {...common} d={`M${x - 9} ${cy} q9 -8 18 0 q-9 8 -18 0 M${x - 9} ${cy} h18`} />);
      else if (shape === 'grain') marks.push(<ellipse {...common} cx={x} cy={cy} rx={2.6} ry={1.6} />);
      else if (shape === 'piece')
        marks.push(<rect {...common} x={x - 5} y={cy - 3.5} width={10} height={7} rx={1.5} />);
      else if (shape === 'slice') marks.push(<circle {...common} cx={x} cy={cy} r={5.5} />);
    }
  }
  return <g aria-hidden>{marks}</g>;
}
