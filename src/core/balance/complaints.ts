/**
 * What a taster complains of, and which plans answer it: what becomes hard, and what may go in.
 * Steps: the full one (severity 2) is 15 %, severity 1 takes half. Tag: common practice for what is
 * reached for, estimate for the steps.
 */
import { PALATE, type PalateKey } from '#core/palate';
import type { Role } from './candidates';
import type { Limit, Limits } from './program';

export const COMPLAINTS = [
  ...(['into-band', 'too-sharp', 'needs-acid', 'flat', 'too-salty', 'needs-salt'] as const),
  ...(['too-sweet', 'needs-sweet', 'too-oily', 'lean', 'too-thin', 'too-thick'] as const),
  ...(['harsh-garlic', 'too-hot', 'strong-mustard', 'bitter'] as const),
] as const;
export type Complaint = (typeof COMPLAINTS)[number];
export type Severity = 1 | 2;

/** What a plan does; ids stay. */
export const PLAN_IDS = [
  ...(['acid', 'salt', 'savoury', 'cover', 'band', 'dilute', 'thin'] as const),
  ...(['balance', 'sweeten', 'cut', 'enrich', 'thicken', 'gum', 'together'] as const),
] as const;
export type PlanId = (typeof PLAN_IDS)[number];

export interface PlanSpec {
  readonly id: PlanId;
  readonly roles: readonly Role[];
  /** What has to be reached; null where it cannot be said of this dressing. */
  readonly targets: (now: Now, windows: Limits, severity: Severity) => Limits | null;
  /** Answers kept, of different ingredients. */
  readonly answers: number;
  /** Xanthan only works within a share of the water: 0.1 to 0.2 %. */
  readonly gum?: boolean;
  /** It is the thickness that moves: found by the thickness model, not by rows. */
  readonly body?: 'thinner' | 'thicker';
}
export type Now = (key: PalateKey) => number | null;

const cut =
  (full: number) =>
  (severity: Severity): number =>
    1 - (severity === 2 ? full : Math.floor(full * 50) / 100);
const lift =
  (full: number) =>
  (severity: Severity): number =>
    1 + (severity === 2 ? full : Math.floor(full * 50) / 100);

/** At most the step below now, and inside the window where it is clearly too much. */
function lowered(key: PalateKey, full: number) {
  return (now: Now, windows: Limits, severity: Severity): Limits | null => {
    const value = now(key);
    if (value === null || value <= 0) return null;
    // "A little" is a step and then a taste; "clearly" goes into the window.
    const most = severity === 2 ? (windows[key]?.high ?? Infinity) : Infinity;
    return { [key]: { high: Math.min(most, cut(full)(severity) * value) } };
  };
}

/** At least the step above now, or a noticeable amount where there is next to none; inside the window where it clearly lacks. */
function raised(key: PalateKey, full: number, leastStep: number) {
  return (now: Now, windows: Limits, severity: Severity): Limits | null => {
    const value = now(key) ?? 0;
    const wanted = Math.max(lift(full)(severity) * value, value + (leastStep * severity) / 2);
    const least = severity === 2 ? (windows[key]?.low ?? 0) : 0;
    return { [key]: { low: Math.max(least, wanted) } };
  };
}

const both =
  (...parts: readonly PlanSpec['targets'][]): PlanSpec['targets'] =>
  (now, windows, severity) => {
    const limits = parts.map((part) => part(now, windows, severity));
    return limits.some((limit) => limit === null)
      ? null
      : limits.reduce<Partial<Record<PalateKey, Limit>>>((all, limit) => ({ ...all, ...limit }), {});
  };

const notAbove =
  (key: PalateKey): PlanSpec['targets'] =>
  (now) => {
    const value = now(key);
    return value === null ? {} : { [key]: { high: value } };
  };
const notBelow =
  (key: PalateKey): PlanSpec['targets'] =>
  (now) => {
    const value = now(key);
    return value === null ? {} : { [key]: { low: value } };
  };

const SALT_STEP = 0.001;
const SWEET_STEP = 0.0075;

const plan = (id: PlanId, roles: readonly Role[], targets: PlanSpec['targets'], answers = 1): PlanSpec => ({
  id,
  roles,
  targets,
  answers,
});

const acidUp = plan('acid', ['acid'], raised('acid', 0.12, 0.001), 2);
const saltUp = plan('salt', ['salt'], raised('salt', 0.15, SALT_STEP));
const savouryUp = plan('savoury', ['savoury', 'mustard'], raised('salt', 0.15, SALT_STEP));
/** Sweetness hides what is a little too much, not what is far beyond what people eat. */
const hidden =
  (key: PalateKey): PlanSpec['targets'] =>
  (now, windows) => {
    const [value, high] = [now(key), windows[key]?.high];
    const far = value !== null && high !== undefined && value > high + HIDES_STEPS * PALATE[key].step;
    return far ? null : notAbove(key)(now, windows, 1);
  };
const HIDES_STEPS = 2;
const cover = (key: PalateKey): PlanSpec =>
  plan('cover', ['sweet'], both(raised('sweet', 0.15, SWEET_STEP), hidden(key)));
const nothing = (): Limits => ({});
const body = (id: PlanId, roles: readonly Role[], way: 'thinner' | 'thicker', answers = 2): PlanSpec => ({
  ...plan(id, roles, nothing, answers),
  body: way,
});
const dilute = (roles: readonly Role[], key: PalateKey, full: number): PlanSpec =>
  plan('dilute', roles, lowered(key, full), 2);

/** In the order of the trade: what a cook reaches for first comes first. */
export const PLANS: Readonly<Record<Complaint, readonly PlanSpec[]>> = {
  'into-band': [
    plan(
      'band',
      ['oil', 'acid', 'water', 'salt', 'sweet', 'mustard', 'creamy'],
      (_now, windows) => windows,
      3,
    ),
  ],
  'too-sharp': [
    plan('cover', ['sweet', 'salt'], both(raised('sugarToAcid', 0.3, 0.6), hidden('acid'))),
    dilute(['oil', 'creamy', 'salt'], 'acid', 0.15),
    plan('thin', ['water', 'salt'], both(lowered('acid', 0.15), notBelow('salt'))),
  ],
  'needs-acid': [acidUp],
  flat: [saltUp, acidUp, savouryUp],
  'too-salty': [dilute(['oil', 'acid', 'water', 'creamy', 'sweet'], 'salt', 0.15), cover('salt')],
  'needs-salt': [saltUp, savouryUp],
  'too-sweet': [
    plan('balance', ['acid', 'salt', 'mustard'], lowered('sugarToAcid', 0.15), 2),
    plan('dilute', ['oil', 'acid', 'creamy', 'water', 'salt'], lowered('sweet', 0.15)),
  ],
  'needs-sweet': [plan('sweeten', ['sweet'], raised('sweet', 0.15, SWEET_STEP), 2)],
  'too-oily': [
    plan(
      'cut',
      ['acid', 'water', 'mustard', 'creamy', 'salt'],
      both(lowered('fat', 0.08), notAbove('ratio')),
      2,
    ),
  ],
  lean: [plan('enrich', ['oil', 'creamy'], raised('fat', 0.08, 0.02), 2)],
  'too-thin': [
    body('thicken', ['mustard', 'creamy', 'oil'], 'thicker', 3),
    { ...body('gum', ['thickener'], 'thicker', 1), gum: true },
  ],
  'too-thick': [
    body('thin', ['water', 'thin creamy', 'oil'], 'thinner'),
    body('thin', ['acid'], 'thinner', 1),
  ],
  'harsh-garlic': [
    dilute(['oil', 'creamy', 'sweet', 'salt', 'acid'], 'garlic', 0.3),
    dilute(['water', 'acid', 'salt', 'mustard'], 'garlic', 0.3),
  ],
  'too-hot': [
    dilute(['oil', 'creamy', 'sweet', 'acid', 'salt'], 'heat', 0.3),
    dilute(['water', 'acid', 'salt', 'sweet'], 'heat', 0.3),
  ],
  'strong-mustard': [
    dilute(['oil', 'acid', 'sweet', 'salt', 'creamy'], 'mustard', 0.3),
    dilute(['water', 'acid', 'salt'], 'mustard', 0.3),
  ],
  bitter: [cover('bitter'), dilute(['neutral oil', 'acid', 'sweet', 'salt'], 'bitter', 0.25)],
};
