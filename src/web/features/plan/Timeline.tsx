import { planWords } from '#words/screens/plan';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { DayPlan } from '#kitchen/day';
import { sayTime } from '#kitchen/day';

interface TimelineProps {
  readonly placed: DayPlan['placed'];
  readonly cooks: number;
  /** So much earlier a task could begin, s. */
  readonly slack: ReadonlyMap<string, number>;
  readonly moved: Readonly<Record<string, number>>;
  /** What runs stays where it was begun. */
  readonly begun: Readonly<Record<string, string>>;
  readonly nowS: number;
  /** Null: back to where the plan would have it. */
  readonly onMove: (taskId: string, minutes: number | null) => void;
}

const STEP_MIN = 5;
const LANE_PX = 34;
const LEAST_BAR_PX = 26;
const MOST_WIDE_PX = 6000;
const SEEN_BEFORE_PX = 24;

/** The day as bars: a lane for each pair of hands, one for what only takes time. Drag or arrow keys move a bar. */
export function Timeline({ placed, cooks, slack, moved, begun, nowS, onMove }: TimelineProps) {
  const box = useRef<HTMLDivElement>(null);
  const [dragging, setDragging] = useState<{ id: string; fromX: number; byMin: number } | null>(null);
  const from = Math.floor(Math.min(...placed.map(({ startS }) => startS)) / 1800) * 1800;
  const to = Math.ceil(Math.max(...placed.map(({ endS }) => endS)) / 1800) * 1800;
  const span = Math.max(1800, to - from);
  const left = (seconds: number): string => `${((seconds - from) / span) * 100}%`;
  const every = span > 8 * 3600 ? 7200 : span > 3 * 3600 ? 3600 : 1800;
  const hours = Array.from(
    { length: Math.floor(span / every) + 1 },
    (_, i) => Math.ceil(from / every) * every + i * every,
  ).filter((s) => s <= to);
  const { waitingLane, waitingLanes } = waitingOf(placed);
  const laneOf = ({ cook, task }: TimelineProps['placed'][number]): number =>
    cook ?? cooks + (waitingLane.get(task.id) ?? 0);
  const lanes = cooks + waitingLanes;
  // The shortest bar is still one that a finger can take.
  const shortest = Math.max(60, Math.min(...placed.map(({ task }) => task.seconds)));
  const wide = Math.min(MOST_WIDE_PX, Math.ceil((span / shortest) * LEAST_BAR_PX));
  const key = (event: KeyboardEvent, id: string, startS: number): void => {
    const by = event.key === 'ArrowLeft' ? -STEP_MIN : event.key === 'ArrowRight' ? STEP_MIN : null;
    if (by !== null) {
      event.preventDefault();
      onMove(id, Math.round(startS / 60 / STEP_MIN) * STEP_MIN + by);
    } else if (event.key === 'Delete' || event.key === 'Backspace') onMove(id, null);
  };
  const minutesOf = (event: PointerEvent, fromX: number): number => {
    const width = box.current?.clientWidth ?? 1;
    return Math.round((((event.clientX - fromX) / width) * span) / 60 / STEP_MIN) * STEP_MIN;
  };
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
  return (
    <div ref={scroller} className="overflow-x-auto pb-1">
      <div
        ref={box}
        className="relative min-w-[640px]"
        style={{ height: lanes * LANE_PX + 22, width: `max(100%, ${wide}px)` }}
        data-testid="timeline"
      >
        {hours.map((s) => (
          <span
            key={s}
            className="absolute top-0 bottom-0 border-l border-rule pl-1 text-2xs text-quiet"
            style={{ left: left(s) }}
          >
            {sayTime(s)}
          </span>
        ))}
        {nowS > from && nowS < to && (
          <span
            aria-hidden
            className="absolute top-0 bottom-0 border-l-2 border-acid"
            style={{ left: left(nowS) }}
          />
        )}
        {placed.map((one) => {
          const { task, startS, endS } = one;
          const shift = dragging?.id === task.id ? dragging.byMin * 60 : 0;
          const runs = begun[task.id] !== undefined;
          const pinned = !runs && moved[task.id] !== undefined;
          return (
            <button
              key={task.id}
              type="button"
              title={planWords.nameStartsToEndsStarts2(
                task.name,
                sayTime(startS),
                sayTime(endS),
                sayEarliest(startS, slack.get(task.id)),
              )}
              aria-label={planWords.nameStartsToEndsForm(
                task.name,
                sayTime(startS),
                sayTime(endS),
                pinned ? planWords.putThereByHandDelete : '',
                runs ? planWords.runs : planWords.arrowKeysMoveIt,
              )}
              className={`absolute touch-none overflow-hidden rounded border px-1 text-left text-2xs leading-tight whitespace-nowrap ${
                task.handsOn ? 'border-leaf bg-bottle text-white' : 'border-edge bg-tape-soft text-ink'
              } ${pinned ? 'outline-2 outline-acid' : ''} ${runs ? 'outline-3 outline-oil' : ''}`}
              style={{
                left: left(startS + shift),
                width: `max(24px, ${((endS - startS) / span) * 100}%)`,
                top: 20 + laneOf(one) * LANE_PX,
                height: LANE_PX - 6,
              }}
              onKeyDown={(event) => {
                if (runs) return;
                key(event, task.id, startS);
              }}
              onPointerDown={(event) => {
                if (runs) return;
                event.currentTarget.setPointerCapture(event.pointerId);
                setDragging({ id: task.id, fromX: event.clientX, byMin: 0 });
              }}
              onPointerMove={(event) => {
                if (dragging?.id === task.id)
                  setDragging({ ...dragging, byMin: minutesOf(event, dragging.fromX) });
              }}
              onPointerUp={(event) => {
                const by = dragging?.id === task.id ? minutesOf(event, dragging.fromX) : 0;
                setDragging(null);
                if (by !== 0) onMove(task.id, Math.round(startS / 60) + by);
              }}
              onPointerCancel={() => {
                setDragging(null);
              }}
            >
              {task.name}
            </button>
          );
        })}
      </div>
    </div>
  );
}

/** As planned it begins as late as it may. */
const sayEarliest = (startS: number, slackS = 0): string =>
  slackS < 60 ? planWords.noEarlier : planWords.atTheEarliestSaytime(sayTime(startS - slackS));

/** What waits at the same time lies under each other. */
function waitingOf(placed: TimelineProps['placed']) {
  const ends: number[] = [];
  const waitingLane = new Map<string, number>();
  for (const { task, startS, endS, cook } of placed) {
    if (cook !== null) continue;
    const free = ends.findIndex((end) => end <= startS);
    const lane = free < 0 ? ends.length : free;
    ends[lane] = endS;
    waitingLane.set(task.id, lane);
  }
  return { waitingLane, waitingLanes: ends.length };
}
