/**
 * The pass: plates that go out one after the other, containers that are brought out of the cold in time. What
 * a cook would count in the head, from nothing but what was done: a plate went out, a container came out, it
 * was shaken. A container is emptied before the next is begun, and new dressing is never poured onto old.
 */
import type { Tag } from '#core/ingredient';
import { coldClockOf } from './outOfCold';

export const PORTION_TOOLS = ['tablespoon', 'ladle-30', 'ladle-60', 'ladle-90', 'squeeze'] as const;
export type PortionTool = (typeof PORTION_TOOLS)[number];
export const PORTION_ML: Readonly<Record<PortionTool, { readonly ml: number; readonly tag: Tag }>> = {
  tablespoon: { ml: 15, tag: 'common practice' },
  'ladle-30': { ml: 30, tag: 'common practice' },
  'ladle-60': { ml: 60, tag: 'common practice' },
  'ladle-90': { ml: 90, tag: 'common practice' },
  squeeze: { ml: 8, tag: 'estimate' },
};

export interface Portion {
  /** In halves, at least a half. */
  readonly count: number;
  /** What the hand then gives, ml. */
  readonly ml: number;
}

/**
 * @param perPlateMl above 0
 * @param toolMl what one holds, above 0
 * @throws RangeError where one of them is none
 */
export function portionWith(perPlateMl: number, toolMl: number): Portion {
  if (!(perPlateMl > 0 && Number.isFinite(perPlateMl) && toolMl > 0 && Number.isFinite(toolMl)))
    throw new RangeError('A portion and what it is taken with hold more than nothing.');
  const count = Math.max(0.5, Math.round((perPlateMl / toolMl) * 2) / 2);
  return { count, ml: count * toolMl };
}
/** A motion more, and a half, cost as much as so great a miss; tag: estimate. */
const COSTS = { motion: 0.07, half: 0.08, halfAlone: 0.15 };
/** What meets it best in few whole motions. */
export function bestTool(perPlateMl: number): PortionTool {
  const cost = (tool: PortionTool): number => {
    const { count, ml } = portionWith(perPlateMl, PORTION_ML[tool].ml);
    const motions = Math.max(0, Math.ceil(count) - 1) * COSTS.motion;
    return (
      Math.abs(ml / perPlateMl - 1) +
      motions +
      (count % 1 === 0 ? 0 : count < 1 ? COSTS.halfAlone : COSTS.half)
    );
  };
  return PORTION_TOOLS.reduce((best, tool) => (cost(tool) < cost(best) ? tool : best));
}

export const PASS_EVENTS = ['plate', 'container', 'shook'] as const;
export interface PassEvent {
  readonly kind: (typeof PASS_EVENTS)[number];
  /** ms since the epoch. */
  readonly at: number;
}

export interface PassSetting {
  /** Ordered, ≥ 0. */
  readonly plates: number;
  readonly perPlateMl: number;
  readonly containerMl: number;
  /** Null: once before the service; 0: at each portion. */
  readonly shakeEveryS: number | null;
  /** Chilled oil wants so long out of the cold, s. */
  readonly standOutS: number;
  /** It must be cold: its time outside is counted. */
  readonly cold: boolean;
}

export interface PassNow {
  readonly sent: number;
  readonly left: number;
  /** Whole plates in what is out. */
  readonly inContainers: number;
  /** Containers brought out so far, and needed in all. */
  readonly brought: number;
  readonly needed: number;
  /** Seconds a plate, by the last of them; null: too few went out. */
  readonly paceS: number | null;
  /** Plates to go until the next container is to be brought out; 0: now; null: no more is needed. */
  readonly nextAfterPlates: number | null;
  /** 0: now; null: not at a time. */
  readonly shakeInS: number | null;
  /** Of the oldest container that is still out; null: none is, or it need not be cold. */
  readonly throwAwayAtMs: number | null;
  readonly over: boolean;
}

/** A cook brings a container within so long; tag: estimate. */
const FETCH_S = 120;
/** While the pace is not known, so many plates before; tag: estimate. */
const USUAL_LEAD = 4;
const PACE_OF_LAST = 6;
/** A pause is no pace, s. */
const PAUSE_S = 600;

/**
 * @param events in their order
 * @throws RangeError where a setting holds nothing
 */
export function passNow(setting: PassSetting, events: readonly PassEvent[], nowMs: number): PassNow {
  const { plates, perPlateMl, containerMl, shakeEveryS, standOutS, cold } = setting;
  if (!(perPlateMl > 0 && containerMl > 0 && Number.isFinite(perPlateMl) && Number.isFinite(containerMl)))
    throw new RangeError('A plate takes and a container holds more than nothing.');
  const each = Math.max(0, Math.floor(containerMl / perPlateMl + 1e-9));
  let sent = 0;
  let brought = 0;
  let shookAt: number | null = null;
  /** Oldest first. */
  const out: { at: number; plates: number }[] = [];
  for (const { kind, at } of events) {
    if (kind === 'plate') {
      sent += 1;
      const from = out.find((container) => container.plates > 0);
      if (from) from.plates -= 1;
      // An empty one goes back; its clock no longer matters.
      while (out.length > 0 && out[0]!.plates <= 0) out.shift();
    } else {
      shookAt = at;
      if (kind === 'container') {
        brought += 1;
        out.push({ at, plates: each });
      }
    }
  }
  const left = Math.max(0, plates - sent);
  const inContainers = out.reduce((sum, container) => sum + container.plates, 0);
  const paceS = paceOf(events);
  const lead = paceS === null ? USUAL_LEAD : Math.ceil((FETCH_S + standOutS) / paceS);
  const nextAfterPlates = left <= inContainers || each === 0 ? null : Math.max(0, inContainers - lead);
  const oldest = cold ? (out[0]?.at ?? null) : null;
  const clock = oldest === null ? null : coldClockOf(oldest, nowMs);
  const shakeDue = shakeEveryS === null || shakeEveryS === 0 || shookAt === null || out.length === 0;
  return {
    sent,
    left,
    inContainers,
    brought,
    needed: each === 0 ? 0 : brought + Math.max(0, Math.ceil((left - inContainers) / each)),
    paceS,
    nextAfterPlates,
    shakeInS: shakeDue ? null : Math.max(0, shakeEveryS - (nowMs - shookAt!) / 1000),
    throwAwayAtMs: clock?.throwAwayAtMs ?? null,
    over: clock?.over ?? false,
  };
}

/** The middle of the last gaps between plates, without pauses. */
function paceOf(events: readonly PassEvent[]): number | null {
  const times = events.filter(({ kind }) => kind === 'plate').map(({ at }) => at);
  const gaps = times
    .slice(1)
    .map((at, place) => (at - times[place]!) / 1000)
    .filter((gap) => gap > 0 && gap <= PAUSE_S)
    .slice(-PACE_OF_LAST)
    .sort((a, b) => a - b);
  return gaps.length < 2 ? null : gaps[Math.floor((gaps.length - 1) / 2)]!;
}
