/**
 * What time does to the flavour of a dressing that stands: each thing changes with a half-time of its own and
 * is worth tasting so much of itself, 0 to 1. A first-order course for each, added up by how much of the
 * flavour is at stake:
 *
 *   rises:  s + (1 − s)(1 − 2^(−t/h))     swells, mellows in acid, steeps, melds
 *   falls:  2^(−t/h)                      fades, turns harsh, loses its crunch
 *
 * After the first two hours on the counter a dressing that must be cold stands in the fridge, where all of it
 * goes half as fast. Half-times and weights: common practice where a cook says "give it half an hour", else
 * estimate; the window "best from … to …" is where the sum is within a twentieth of its best.
 */
import { tastedMeqPer100G } from '#core/acidity';
import { restOf } from '#core/formula';
import type { Ingredient, Tag } from '#core/ingredient';

export interface RipeningPortion {
  readonly ingredient: Ingredient;
  readonly form: string;
  readonly massG: { readonly nominal: number };
}

export type ChangeCode =
  /** Salt, acid and aroma find each other. */
  | 'melds'
  /** A dried herb or a spice takes up water. */
  | 'swells'
  /** An onion or a garlic loses its bite in acid. */
  | 'bite-falls'
  /** Cut garlic that stands for days. */
  | 'turns-harsh'
  /** A whole clove, a sprig, a leaf that lies in it; and what it gives too much of in the end. */
  | 'steeps'
  | 'oversteeps'
  /** A tender herb goes dull and dark. */
  | 'fades'
  /** A cut onion goes sulphurous. */
  | 'stales'
  /** Fresh juice and zest. */
  | 'loses-freshness'
  /** Mustard and horseradish, ground or grated. */
  | 'heat-fades'
  | 'loses-crunch';

export interface FlavourChange {
  readonly code: ChangeCode;
  /** Of the portions; null: the whole. */
  readonly index: number | null;
  readonly rises: boolean;
  /** Half of it is done after so long at room temperature, min. */
  readonly halfMin: number;
  /** What it is worth at first where it rises, 0..1. */
  readonly startsAt: number;
  /** It begins to act only after so long, min. */
  readonly afterMin: number;
  /** And ends there, min: what was taken out gives no more. Null: it goes on. */
  readonly untilMin: number | null;
  /** How much of the flavour is at stake, 0..1. */
  readonly weight: number;
  /** When a cook would say so: most of the rise is done, the first of the fall is tasted; min by the clock. */
  readonly notedMin: number;
}

export interface Ripening {
  readonly changes: readonly FlavourChange[];
  /** Minutes after it is made, kitchen steps; from ≤ to. */
  readonly bestFromMin: number;
  /** Never later than it keeps. */
  readonly bestToMin: number;
  /** When it is worth tasting again, min; null: it tastes then as it does now. */
  readonly tasteAgainMin: number | null;
  /** How good it is of its best, 0..1, at so many minutes. */
  readonly at: (minutes: number) => number;
}

interface Course {
  readonly halfMin: number;
  readonly startsAt?: number;
  readonly tag: Tag;
}
const H = 60;
const DAY = 24 * H;
const COURSE: Readonly<Record<ChangeCode, Course>> = {
  melds: { halfMin: 10, startsAt: 0.7, tag: 'common practice' },
  swells: { halfMin: 15, startsAt: 0.4, tag: 'common practice' },
  'bite-falls': { halfMin: 10, startsAt: 0.5, tag: 'common practice' },
  'turns-harsh': { halfMin: 5 * DAY, tag: 'estimate' },
  steeps: { halfMin: 50, startsAt: 0.2, tag: 'common practice' },
  oversteeps: { halfMin: 2 * DAY, tag: 'estimate' },
  fades: { halfMin: 14 * H, tag: 'common practice' },
  stales: { halfMin: 10 * DAY, tag: 'estimate' },
  'loses-freshness': { halfMin: 4 * DAY, tag: 'common practice' },
  'heat-fades': { halfMin: 3 * DAY, tag: 'estimate' },
  'loses-crunch': { halfMin: 10 * H, tag: 'estimate' },
};
/** Without acid an onion keeps its bite longer, and a leaf its green; tag: estimate. */
const WITHOUT_ACID = 3;
/** From this on it is sour enough to pickle what lies in it, meq/100 g; tag: estimate. */
const SOUR_MEQ = 4;
/** A clove or a sprig is welcome for so long; tag: common practice. */
const WELCOME_MIN = 12 * H;
const MELDING_WEIGHT = 0.5;
/** Of the whole, g per g, from which on it carries the flavour; tag: estimate. */
const CARRIES = { herb: 0.02, spice: 0.004, garlic: 0.01, onion: 0.04, juice: 0.15, zest: 0.01 } as const;

const BROKEN_UP =
  /paste|mashed|puréed|pureed|blended|pounded|minced|grated|chopped|diced|sliced|crushed|pressed/i;
const LEFT_WHOLE = /\b(?:whole|bruised|halved|sprigs?|strips?|taken out|lifted out|removed)\b/i;
const TAKEN_OUT = /\b(?:taken out|lifted out|removed|strained)\b/i;

interface Found {
  readonly code: ChangeCode;
  readonly weight: number;
  readonly halfTimes?: number;
  readonly afterMin?: number;
  readonly untilMin?: number | null;
}

/** What a thing does as time goes on; `share`: of the whole, g per g. */
function foundIn({ ingredient, form }: RipeningPortion, share: number, sour: boolean): readonly Found[] {
  const { category, composition, pungencyIndex, hazards } = ingredient;
  const carries = (least: number): number => Math.min(1, share / least);
  const dry = composition.water < 0.15;
  const isAllium = hazards.includes('raw_allium') && category !== 'herb' && composition.water < 0.95;
  const isGarlic = isAllium && (pungencyIndex.garlic ?? 0) >= 0.5;
  const whole = LEFT_WHOLE.test(form) && !BROKEN_UP.test(form);
  if (ingredient.surface === 'dry') return [{ code: 'loses-crunch', weight: carries(CARRIES.herb) }];
  if (whole && (isAllium || category === 'herb' || category === 'aromatic'))
    return steeping(form, carries(CARRIES.garlic));
  if (isGarlic)
    return [
      { code: 'bite-falls', weight: carries(CARRIES.garlic) / 2, halfTimes: sour ? 1 : WITHOUT_ACID },
      { code: 'turns-harsh', weight: carries(CARRIES.garlic) },
    ];
  if (isAllium)
    return [
      { code: 'bite-falls', weight: carries(CARRIES.onion), halfTimes: sour ? 1 : WITHOUT_ACID },
      { code: 'stales', weight: carries(CARRIES.onion) },
    ];
  if (category === 'herb') {
    // A woody or leathery leaf gives itself slowly; a tender one is there at once, and gone.
    if (ingredient.surface === 'sturdy') return steeping(form, carries(CARRIES.herb));
    return [{ code: 'fades', weight: carries(CARRIES.herb), halfTimes: sour ? 1 : WITHOUT_ACID }];
  }
  if (dry && (pungencyIndex.mustard ?? 0) >= 0.2)
    return [{ code: 'heat-fades', weight: carries(CARRIES.spice) }];
  if (dry && category === 'spice') return [{ code: 'swells', weight: carries(CARRIES.spice) }];
  if (category === 'citrus' && ingredient.isAcidLiquid)
    return [{ code: 'loses-freshness', weight: carries(CARRIES.juice) }];
  if (category === 'aromatic' && (pungencyIndex.mustard ?? 0) >= 0.8)
    return [{ code: 'heat-fades', weight: carries(CARRIES.garlic) }];
  if (category === 'aromatic' && /zest/i.test(ingredient.name))
    return [{ code: 'loses-freshness', weight: carries(CARRIES.zest) }];
  return [];
}

function steeping(form: string, weight: number): readonly Found[] {
  const out = TAKEN_OUT.test(form);
  const untilMin = out ? (restOf(form)?.seconds ?? H * 60) / 60 : null;
  if (out) return [{ code: 'steeps', weight, untilMin }];
  return [
    { code: 'steeps', weight },
    { code: 'oversteeps', weight, afterMin: WELCOME_MIN },
  ];
}

const COUNTER_MIN = 2 * H;
const COLD_PACE = 0.5;
/** Minutes at room temperature that so many by the clock are worth: the fridge halves them after two hours. */
const atRoom = (minutes: number, cold: boolean): number =>
  minutes <= COUNTER_MIN ? minutes : COUNTER_MIN + (minutes - COUNTER_MIN) * (cold ? COLD_PACE : 1);
const byTheClock = (roomMin: number, cold: boolean): number =>
  roomMin <= COUNTER_MIN ? roomMin : COUNTER_MIN + (roomMin - COUNTER_MIN) / (cold ? COLD_PACE : 1);
/** A rise is noted when so much of it is done, a fall when so much is gone; tag: estimate. */
const NOTED = { rise: 0.75, fall: 0.15 };

function worth(
  { rises, halfMin, startsAt, afterMin, untilMin }: Omit<FlavourChange, 'notedMin'>,
  atRoomMin: number,
): number {
  const t = Math.max(0, Math.min(atRoomMin, untilMin ?? atRoomMin) - afterMin);
  const left = 2 ** (-t / halfMin);
  return rises ? startsAt + (1 - startsAt) * (1 - left) : left;
}

/** Where a cook would set a clock, min. */
export const KITCHEN_STEPS: readonly number[] = [
  ...[0, 5, 10, 15, 20, 30, 45, 60, 90],
  ...[2, 3, 4, 6, 8, 12, 16].map((hours) => hours * H),
  ...[1, 1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14].map((days) => days * DAY),
];
const WITHIN = 0.95;
/** A change of less than this nobody tastes. */
const WORTH_TASTING = 0.04;

/**
 * @param portions what lies in it, masses ≥ 0
 * @param keeping how long it may be kept at all, days ≥ 0, and whether in the cold
 * @throws RangeError where the days are none
 */
export function ripeningOf(
  portions: readonly RipeningPortion[],
  keeping: { readonly days: number; readonly cold: boolean },
): Ripening {
  if (!(keeping.days >= 0 && Number.isFinite(keeping.days)))
    throw new RangeError('It keeps for a number of days.');
  const wholeG = portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
  const meq = portions.reduce(
    (sum, { ingredient, massG }) => sum + (tastedMeqPer100G(ingredient) / 100) * massG.nominal,
    0,
  );
  const sour = wholeG > 0 && (meq / wholeG) * 100 >= SOUR_MEQ;
  const changes = wholeG > 0 ? changesOf(portions, wholeG, sour, keeping.cold) : [];
  const total = changes.reduce((sum, { weight }) => sum + weight, 0);
  const valueAt = (minutes: number): number => {
    const room = atRoom(minutes, keeping.cold);
    return changes.reduce((sum, change) => sum + change.weight * worth(change, room), 0);
  };
  const most = keeping.days * DAY;
  const steps = KITCHEN_STEPS.filter((step) => step <= most);
  const values = steps.map(valueAt);
  const best = Math.max(...values);
  const at = (minutes: number): number => (total > 0 ? Math.min(1, valueAt(Math.max(0, minutes)) / best) : 1);
  const peak = values.indexOf(best);
  const good = (place: number): boolean => values[place]! >= best * WITHIN;
  let [from, to] = [peak, peak];
  while (from > 0 && good(from - 1)) from--;
  while (to < steps.length - 1 && good(to + 1)) to++;
  const [bestFromMin, bestToMin] = [steps[from] ?? 0, steps[to] ?? 0];
  const risesBy = at(bestFromMin) - at(0);
  return {
    changes,
    bestFromMin,
    bestToMin,
    at,
    tasteAgainMin: risesBy >= WORTH_TASTING ? bestFromMin : null,
  };
}

function changesOf(
  portions: readonly RipeningPortion[],
  wholeG: number,
  sour: boolean,
  cold: boolean,
): readonly FlavourChange[] {
  const change = (
    { code, weight, halfTimes = 1, afterMin = 0, untilMin = null }: Found,
    index: number | null,
  ): FlavourChange => {
    const course = COURSE[code];
    const rises = course.startsAt !== undefined;
    const halfMin = course.halfMin * halfTimes;
    const done = -Math.log2(rises ? 1 - NOTED.rise : 1 - NOTED.fall) * halfMin;
    const notedMin = byTheClock(Math.min(afterMin + done, untilMin ?? Infinity), cold);
    return {
      code,
      index,
      rises,
      halfMin,
      startsAt: course.startsAt ?? 1,
      afterMin,
      untilMin,
      weight,
      notedMin,
    };
  };
  const own = portions.flatMap((portion, index) => {
    const share = portion.massG.nominal / wholeG;
    return share > 0 ? foundIn(portion, share, sour).map((found) => change(found, index)) : [];
  });
  return [change({ code: 'melds', weight: MELDING_WEIGHT }, null), ...own];
}
