import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { DayPlan } from '#kitchen/day';
import { sayTime } from '#kitchen/day';
import { planWords } from '#words/screens/plan';
import { sayBar } from '#words/service';
import { rowsOf, timeAxis } from './timeAxis';

interface TimelineProps {
  readonly placed: DayPlan['placed'];
  readonly cooks: number;
  /** So much earlier a task could begin, s. */
  readonly slack: ReadonlyMap<string, number>;
  readonly moved: Readonly<Record<string, number>>;
  /** What runs stays where it was begun. */
  readonly begun: Readonly<Record<string, string>>;
  /** Now, from the midnight the day began with; may lie outside of it. */
  readonly nowS: number;
  readonly isToday: boolean;
  /** Null: back to where the plan would have it. */
  readonly onMove: (taskId: string, minutes: number | null) => void;
}

const STEP_MIN = 5;
const ROW_PX = 46;
const AXIS_PX = 24;
const LEAST_BAR_PX = 42;
const MOST_WIDE_PX = 6000;
const SEEN_BEFORE_PX = 24;
/** An hour so near the right edge is written before its line. */
const LAST_PART = 0.08;

/** The day as rows: a dish, named once, its tasks one after the other; and where the clock stands. Drag or arrow keys move a bar. */
export function Timeline({ placed, cooks, slack, moved, begun, nowS, isToday, onMove }: TimelineProps) {
  const box = useRef<HTMLDivElement>(null);
  const axis = useMemo(() => timeAxis(placed, nowS), [placed, nowS]);
  const rows = useMemo(() => rowsOf(placed), [placed]);
  const { from, to, span, hours } = axis;
  const share = (seconds: number): string => `${((seconds - from) / span) * 100}%`;
  // The shortest bar is one whose word can be read.
  const shortest = Math.max(60, Math.min(...placed.map(({ task }) => task.seconds)));
  const wide = Math.min(MOST_WIDE_PX, Math.ceil((span / shortest) * LEAST_BAR_PX));
  const scroller = useRef<HTMLDivElement>(null);
  // A soak through the night would hide the morning: the page opens at now, or where hands are first wanted.
  const firstHands = placed.find(({ task }) => task.handsOn)?.startS ?? from;
  const opensAt = nowS > from && nowS < to ? nowS : firstHands;
  const opened = useRef(false);
  useEffect(() => {
    // Once: after that the cook scrolls.
    if (opened.current) return;
    opened.current = true;
    const width = box.current?.clientWidth ?? 0;
    scroller.current?.scrollTo({ left: ((opensAt - from) / span) * width - SEEN_BEFORE_PX });
  }, [opensAt, from, span]);
  const height = rows.length * ROW_PX + AXIS_PX;
  return (
    <div
      className="grid grid-cols-[6.5rem_minmax(0,1fr)] sm:grid-cols-[11rem_minmax(0,1fr)]"
      data-testid="timeline"
    >
      <ul className="relative pr-3" style={{ paddingTop: AXIS_PX }}>
        {(nowS <= from || nowS >= to) && isToday && (
          <li className="absolute top-0 bg-acid px-1 text-sm font-semibold text-white" data-testid="now">
            {planWords.nowAt(sayTime(nowS))}
          </li>
        )}
        {rows.map(({ dishId, name }) => (
          <li
            key={dishId}
            className="flex items-center border-t border-rule text-sm leading-tight font-semibold"
            style={{ height: ROW_PX }}
          >
            <span className="line-clamp-2 [overflow-wrap:anywhere]">{name}</span>
          </li>
        ))}
      </ul>
      {/* It scrolls where the day is long: by keys, too. */}
      <div
        ref={scroller}
        className="overflow-x-auto"
        tabIndex={0}
        role="group"
        aria-label={planWords.theBarsOfTheDay}
      >
        <div ref={box} className="relative min-w-full" style={{ height, width: `max(100%, ${wide}px)` }}>
          {hours.map((s) => (
            <span
              key={s}
              className={`absolute top-0 bottom-0 border-l border-rule text-sm whitespace-nowrap text-quiet ${to - s < span * LAST_PART ? '[&>span]:-translate-x-[calc(100%+0.25rem)]' : 'pl-1'}`}
              style={{ left: share(s) }}
            >
              <span className="inline-block">{sayTime(s)}</span>
            </span>
          ))}
          {rows.map(({ tasks }, row) =>
            tasks.map((one) => (
              <Bar
                key={one.task.id}
                {...one}
                cooks={cooks}
                span={span}
                left={share}
                top={AXIS_PX + row * ROW_PX + 4}
                slackS={slack.get(one.task.id)}
                runs={begun[one.task.id] !== undefined}
                pinned={moved[one.task.id] !== undefined}
                widthPx={() => box.current?.clientWidth ?? 1}
                onMove={(minutes) => {
                  onMove(one.task.id, minutes);
                }}
              />
            )),
          )}
          {nowS > from && nowS < to && (
            <span
              className="pointer-events-none absolute top-0 bottom-0 border-l-2 border-acid"
              style={{ left: share(nowS) }}
              data-testid="now"
            >
              <span className="bg-acid px-1 text-sm font-semibold text-white">
                {planWords.nowAt(sayTime(nowS))}
              </span>
            </span>
          )}
        </div>
      </div>
    </div>
  );
}

type BarProps = DayPlan['placed'][number] & {
  readonly cooks: number;
  readonly span: number;
  readonly left: (seconds: number) => string;
  readonly top: number;
  readonly slackS: number | undefined;
  readonly runs: boolean;
  readonly pinned: boolean;
  /** Of the whole day, px. */
  readonly widthPx: () => number;
  readonly onMove: (minutes: number | null) => void;
};

function Bar({
  task,
  startS,
  endS,
  cook,
  cooks,
  span,
  left,
  top,
  slackS,
  runs,
  pinned,
  widthPx,
  onMove,
}: BarProps) {
  const [drag, setDrag] = useState<{ fromX: number; byMin: number } | null>(null);
  const byHand = pinned && !runs;
  const key = (event: KeyboardEvent): void => {
    if (runs) return;
    const by = event.key === 'ArrowLeft' ? -STEP_MIN : event.key === 'ArrowRight' ? STEP_MIN : null;
    if (by !== null) {
      event.preventDefault();
      onMove(Math.round(startS / 60 / STEP_MIN) * STEP_MIN + by);
    } else if (event.key === 'Delete' || event.key === 'Backspace') onMove(null);
  };
  const minutesOf = (event: PointerEvent, fromX: number): number =>
    Math.round((((event.clientX - fromX) / widthPx()) * span) / 60 / STEP_MIN) * STEP_MIN;
  const whose = cook !== null && cooks > 1 ? planWords.byCook(cook + 1) : '';
  return (
    <button
      type="button"
      title={planWords.nameStartsToEndsStarts2(
        task.name,
        sayTime(startS),
        sayTime(endS),
        sayEarliest(startS, slackS),
      )}
      className={`absolute touch-none overflow-hidden rounded border px-1 text-left text-sm leading-tight whitespace-nowrap ${
        task.handsOn ? 'border-leaf bg-bottle text-white' : 'border-edge bg-tape-soft text-ink'
      } ${byHand ? 'outline-2 outline-acid' : ''} ${runs ? 'outline-3 outline-oil' : ''}`}
      style={{
        left: left(startS + (drag ? drag.byMin * 60 : 0)),
        width: `max(24px, ${((endS - startS) / span) * 100}%)`,
        top,
        height: ROW_PX - 8,
      }}
      onKeyDown={key}
      onPointerDown={(event) => {
        if (runs) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ fromX: event.clientX, byMin: 0 });
      }}
      onPointerMove={(event) => {
        if (drag) setDrag({ ...drag, byMin: minutesOf(event, drag.fromX) });
      }}
      onPointerUp={(event) => {
        const by = drag ? minutesOf(event, drag.fromX) : 0;
        setDrag(null);
        if (by !== 0) onMove(Math.round(startS / 60) + by);
      }}
      onPointerCancel={() => {
        setDrag(null);
      }}
    >
      <span aria-hidden>{sayBar(task.step)}</span>
      <span className="sr-only">
        {planWords.nameStartsToEndsForm(
          task.name,
          sayTime(startS),
          sayTime(endS),
          `${whose && `, ${whose}`}${byHand ? planWords.putThereByHandDelete : ''}`,
          runs ? planWords.runs : planWords.arrowKeysMoveIt,
        )}
      </span>
      {whose && (
        <span aria-hidden className="ml-1 rounded-full bg-white/90 px-1 text-2xs text-ink">
          {(cook ?? 0) + 1}
        </span>
      )}
    </button>
  );
}

/** As planned it begins as late as it may. */
const sayEarliest = (startS: number, slackS = 0): string =>
  slackS < 60 ? planWords.noEarlier : planWords.atTheEarliestSaytime(sayTime(startS - slackS));
