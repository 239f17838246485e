import { useId } from 'react';
import type { Ripening } from '#core/ripening';
import { KITCHEN_STEPS } from '#core/ripening';
import { sayDuration } from '#words/hold';
import { ripeningWords, sayBest, sayChange } from '#words/ripening';

interface TimeInFlavourProps {
  readonly ripening: Ripening;
  readonly keepsDays: number;
  /** Of what changes. */
  readonly nameOf: (index: number) => string;
}

const [WIDE, HIGH, FOOT] = [320, 92, 20];
const TICKS: readonly number[] = [0, 30, 120, 480, 1440, 2880, 5760, 10_080, 20_160];

/** What time does to it: one curve from the making to the last day it keeps, and what makes it so. */
export function TimeInFlavour({ ripening, keepsDays, nameOf }: TimeInFlavourProps) {
  const heading = useId();
  const { changes, bestFromMin, bestToMin, at } = ripening;
  const end = Math.max(KITCHEN_STEPS[1]!, keepsDays * 1440);
  // Minutes at first, days at the end: a quarter of an hour counts as much as a day.
  const place = (minutes: number): number => (Math.log1p(minutes / 10) / Math.log1p(end / 10)) * WIDE;
  const minutesAt = (x: number): number => 10 * Math.expm1((x / WIDE) * Math.log1p(end / 10));
  const up = (value: number): number => (HIGH - FOOT) * (1 - value) + 4;
  const points = Array.from({ length: 65 }, (_, i) => {
    const x = (i / 64) * WIDE;
    return `${x.toFixed(1)},${up(at(minutesAt(x))).toFixed(1)}`;
  });
  const best = sayBest(ripening, keepsDays);
  // The last of them ends at the edge, so that it wants more room than one that stands in the middle.
  const isLast = (tick: number): boolean => place(tick) > WIDE - 20;
  const shown = TICKS.filter((tick) => tick <= end).reduce<readonly number[]>((kept, tick) => {
    const clear = kept.length === 0 || place(tick) - place(kept.at(-1)!) > (isLast(tick) ? 62 : 42);
    return clear ? [...kept, tick] : kept;
  }, []);
  const ordered = [...changes].sort((a, b) => a.notedMin - b.notedMin);
  return (
    <section
      aria-labelledby={heading}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-2 p-4"
      data-testid="time-in-flavour"
    >
      <h2 id={heading} className="font-name text-lg font-bold">
        {ripeningWords.timeInTheFlavour}
      </h2>
      <p className="font-semibold">{best}</p>
      <svg viewBox={`-4 0 ${WIDE + 8} ${HIGH + 8}`} className="w-full" role="img" aria-label={best}>
        <rect
          x={place(bestFromMin)}
          y={0}
          width={Math.max(3, place(bestToMin) - place(bestFromMin))}
          height={HIGH - FOOT + 4}
          className="fill-mint"
        />
        <polyline points={points.join(' ')} className="fill-none stroke-leaf" strokeWidth={2.5} />
        <line
          x1={0}
          x2={WIDE}
          y1={HIGH - FOOT + 4}
          y2={HIGH - FOOT + 4}
          className="stroke-edge"
          strokeWidth={1}
        />
        {shown.map((tick, i) => (
          <g key={tick}>
            <line
              x1={place(tick)}
              x2={place(tick)}
              y1={HIGH - FOOT + 4}
              y2={HIGH - FOOT + 9}
              className="stroke-edge"
              strokeWidth={1}
            />
            <text
              x={place(tick)}
              y={HIGH + 2}
              textAnchor={i === 0 ? 'start' : isLast(tick) ? 'end' : 'middle'}
              className="fill-ink text-[11px]"
            >
              {tick === 0 ? ripeningWords.made : sayDuration(tick * 60)}
            </text>
          </g>
        ))}
      </svg>
      <ul className="grid gap-0.5 text-sm" data-testid="flavour-changes">
        {ordered.map((change, i) => (
          <li key={i}>{sayChange(change, change.index === null ? '' : nameOf(change.index))}</li>
        ))}
      </ul>
      <p className="text-sm text-quiet">{ripeningWords.anEstimate}</p>
    </section>
  );
}
