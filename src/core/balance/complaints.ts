/**
 * What a taster complains of, and which plans answer it: what becomes hard, and what may go in.
 * Steps: the full one (severity 2) is 15 %, severity 1 takes half. Tag: common practice for what is
 * reached for, estimate for the steps.
 */
import type { PalateKey } from '#core/palate';
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
  ...(['balance', 'sweeten', 'cut', 'enrich', 'thicken', 'gum'] as const),
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

/** At most the step below now, and inside the window. */
function lowered(key: PalateKey, full: number) {
  return (now: Now, windows: Limits, severity: Severity): Limits | null => {
    const value = now(key);
    if (value === null || value <= 0) return null;
    return { [key]: { high: Math.min(windows[key]?.high ?? Infinity, cut(full)(severity) * value) } };
  };
}

/** At least the step above now, or a noticeable amount where there is next to none; and inside the window. */
function raised(key: PalateKey, full: number, leastStep: number) {
  return (now: Now, windows: Limits, severity: Severity): Limits | null => {
    const value = now(key) ?? 0;
    const wanted = Math.max(lift(full)(severity) * value, value + (leastStep * severity) / 2);
    return { [key]: { low: Math.max(windows[key]?.low ?? 0, wanted) } };
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

/** Body moves by a step of its index. */
const bodyBy =
  (direction: 1 | -1): PlanSpec['targets'] =>
  (now, _windows, severity) => {
    const wanted = (now('body') ?? 0) + direction * BODY_STEP * (severity / 2);
    if (wanted < 0) return null;
    return { body: direction === 1 ? { low: wanted } : { high: wanted } };
  };

const BODY_STEP = 6;
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
const cover = (key: PalateKey): PlanSpec =>
  plan('cover', ['sweet', 'acid', 'salt'], both(raised('sweet', 0.15, 2 * SWEET_STEP), notAbove(key)));

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
    plan('dilute', ['oil', 'sweet', 'creamy', 'salt'], lowered('acid', 0.15), 2),
    plan('cover', ['sweet', 'salt'], both(raised('sugarToAcid', 0.3, 1), notAbove('acid'))),
    plan('thin', ['water', 'salt'], both(lowered('acid', 0.15), notBelow('salt'))),
  ],
  'needs-acid': [acidUp],
  flat: [saltUp, savouryUp, acidUp],
  'too-salty': [
    plan('dilute', ['oil', 'acid', 'water', 'creamy', 'sweet'], lowered('salt', 0.15), 2),
    cover('salt'),
  ],
  'needs-salt': [saltUp, savouryUp],
  'too-sweet': [
    plan(
      'balance',
      ['acid', 'oil', 'salt', 'mustard'],
      both(lowered('sweet', 0.15), lowered('sugarToAcid', 0.15)),
      2,
    ),
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
    plan('thicken', ['mustard', 'creamy'], bodyBy(1), 2),
    { ...plan('gum', ['thickener'], bodyBy(1)), gum: true },
  ],
  'too-thick': [plan('thin', ['water', 'acid', 'thin creamy', 'salt'], bodyBy(-1), 2)],
  'harsh-garlic': [
    plan('dilute', ['oil', 'acid', 'water', 'salt', 'sweet', 'creamy', 'mustard'], lowered('garlic', 0.3), 2),
  ],
  'too-hot': [plan('dilute', ['oil', 'acid', 'water', 'salt', 'sweet', 'creamy'], lowered('heat', 0.3), 2)],
  'strong-mustard': [
    plan('dilute', ['oil', 'acid', 'water', 'salt', 'sweet', 'creamy'], lowered('mustard', 0.3), 2),
  ],
  bitter: [
    plan('dilute', ['neutral oil', 'acid', 'sweet', 'salt'], lowered('bitter', 0.25), 2),
    cover('bitter'),
  ],
};
