/**
 * Remedies by addition: nothing comes out of a jar again. Each plan of a complaint is searched
 * (./planSearch, ./bodyWays) and done in gestures; what is not linear (pH) is judged afterwards, and where it turns a
 * caution on, the program runs again with 10 % more acid asked. Where a plan cannot be done whole, it is said why, and
 * what goes part of the way is offered.
 */
import type { PalateKey } from '#core/palate';
import { bodyWays } from './bodyWays';
import { withRoles } from './candidates';
import { PLANS, type Complaint, type PlanSpec } from './complaints';
import { effectOf, lessAcidThanAllowed, stateOf, type State } from './effect';
import { outsideOf } from './inHand';
import { diagnose, type Impossible } from './impossible';
import { nearest } from './nearest';
import { PlanSearch, ranked, withDoses } from './planSearch';
import type { Remedy, RemedyRequest } from './remedyRequest';
import type { Work } from './steps';
import { togetherSpec, type Asked } from './together';

export interface RemedyAnswer {
  readonly complaint: Complaint;
  readonly before: State;
  /** Best first. */
  readonly remedies: readonly Remedy[];
  readonly impossible: readonly Impossible[];
  /** Plans that say nothing of this dressing: there is no garlic to be too harsh. */
  readonly meaningless: boolean;
  /** Nothing has to be added. */
  readonly alreadyMet: boolean;
  /** Nothing goes beyond a quarter of what is there, because nobody asked for more. */
  readonly aQuarter: boolean;
  /** Of several complaints, what each would take by itself: what serving them all costs. Empty where there is one. */
  readonly alone: readonly Alone[];
}
export interface Alone {
  readonly complaint: Complaint;
  /** Null: nothing helps. */
  readonly remedy: Remedy | null;
}

/** Nobody pours more into a jar to mend it, unless asked: a share of what is there. Common practice, estimate. */
const MOST_SHARE = 0.25;
/** @param volumeMl of what is in the jar. @returns ml that a mend may add unasked */
export const aQuarterMl = (volumeMl: number): number => MOST_SHARE * volumeMl;

/** @throws RangeError where there is nothing in the jar */
export function* searchRemedies(request: RemedyRequest): Work<RemedyAnswer> {
  const before = stateOf(request.portions, request.unread ?? []);
  if (!(before.massG > 0)) throw new RangeError('There is nothing in the jar to mend.');
  const found = yield* searchAll(request, before);
  const alone: Alone[] = [];
  const { also = [], complaint, severity } = request;
  for (const one of also.length > 0 ? [{ complaint, severity }, ...also] : []) {
    const { remedies } = yield* searchPlans({ ...request, ...one, also: [] }, before, PLANS[one.complaint]);
    alone.push({ complaint: one.complaint, remedy: ranked(remedies)[0] ?? null });
  }
  return {
    complaint: request.complaint,
    before,
    remedies: withoutTwins(ranked(found.remedies)),
    // What one plan cannot do is nobody's concern where another does it.
    impossible: found.remedies.some(({ partial }) => !partial) ? [] : found.impossible,
    meaningless: !found.meaningful,
    alreadyMet: found.met,
    aQuarter: request.aQuarter ?? false,
    alone,
  };
}

interface Found {
  readonly remedies: readonly Remedy[];
  readonly impossible: readonly Impossible[];
  readonly meaningful: boolean;
  readonly met: boolean;
}

/** Several complaints: what is too thin or too thick is mended first, the tastes after it, as one answer. */
function* searchAll(request: RemedyRequest, before: State): Work<Found> {
  const { also = [], complaint, severity } = request;
  const asked: readonly Asked[] = [{ complaint, severity }, ...also];
  if (asked.length === 1) return yield* searchPlans(request, before, PLANS[complaint]);
  const [body, ...rest] = [...asked].sort((a, b) => Number(isBody(b)) - Number(isBody(a)));
  if (!body || !isBody(body))
    return yield* searchPlans(request, before, [togetherSpec(asked, 1), togetherSpec(asked, 2)]);
  const [first, ...others] = rest;
  const thickness = yield* searchPlans({ ...request, ...body, also: [] }, before, PLANS[body.complaint]);
  const remedies: Remedy[] = [];
  for (const remedy of thickness.remedies.slice(0, BODY_STARTS)) {
    const tasted = yield* searchAll(
      {
        ...request,
        ...first!,
        also: others,
        portions: withDoses(request.portions, remedy.doses),
        roomMl: request.roomMl === null ? null : request.roomMl - remedy.effect.grownMl,
      },
      stateOf(withDoses(request.portions, remedy.doses), before.unread),
    );
    if (tasted.remedies.length > 0)
      remedies.push(...tasted.remedies.map((after) => joined(remedy, after, before, request)));
    // What the tastes ask for is there already, or cannot be had: the thickness is mended all the same.
    else remedies.push(tasted.met ? remedy : { ...remedy, partial: true });
  }
  return { ...thickness, remedies };
}

/** Ways to another thickness that are gone on from. */
const BODY_STARTS = 2;
const isBody = ({ complaint }: Asked): boolean => PLANS[complaint].some(({ body }) => body);

function joined(first: Remedy, second: Remedy, before: State, { portions, style }: RemedyRequest): Remedy {
  const doses = [...first.doses, ...second.doses];
  return {
    status: 'possible',
    planId: 'together',
    doses,
    effect: effectOf(before, withDoses(portions, doses), style),
    burden: first.burden + second.burden,
    ...(first.partial || second.partial ? { partial: true } : {}),
  };
}

function* searchPlans(request: RemedyRequest, before: State, specs: readonly PlanSpec[]): Work<Found> {
  const windows = request.style?.windows ?? {};
  const now = (key: PalateKey): number | null => before.judgement.palate[key].value;
  const remedies: Remedy[] = [];
  const impossible: Impossible[] = [];
  let [meaningful, met] = [false, false];
  for (const [index, spec] of specs.entries()) {
    const targets = spec.targets(now, windows, request.severity);
    if (!targets) continue;
    meaningful = true;
    const mayAdd = request.allowAll ? request.mayAdd : withRoles(request.mayAdd, spec.roles);
    const search = new PlanSearch(request, before, spec, targets, mayAdd);
    const found = spec.body ? byBody(search) : yield* search.run(index / specs.length, 1 / specs.length);
    remedies.push(...found.map((remedy) => later(asReached(remedy, search), index)));
    if (found.length > 0) continue;
    if (search.alreadyMet) met = true;
    else if (spec.body) impossible.push(nothingDoes(spec));
    else {
      impossible.push(diagnose(search));
      const part = yield* nearest(search, index / specs.length, 1 / specs.length);
      const remedy = part && search.remedyFor(part.used, part.y, part.cost);
      if (remedy && !lessAcidThanAllowed(remedy.effect) && search.reached(remedy) >= WORTH_IT)
        remedies.push(later({ ...remedy, partial: true, burden: remedy.burden + PART_BURDEN }, index));
    }
  }
  return { remedies, impossible, meaningful, met };
}

/** Half a way comes after a whole one; in kitchen steps, estimate. */
const PART_BURDEN = 10;
/** A later plan of the trade has to be better by so much to come before an earlier one; in kitchen steps, estimate. */
const ORDER = 4;
/** What leaves its limits in passing, by w steps²; in kitchen steps, estimate. */
const OUTSIDE = 2;
/** Less of the way than this is no help. */
const WORTH_IT = 0.2;
/** What gestures leave of the way is nobody's to notice. */
const REACHED = 0.7;

const later = (remedy: Remedy, index: number): Remedy => ({
  ...remedy,
  burden: remedy.burden + ORDER * index,
});

/** Gestures are coarse: what falls clearly short says so. */
function asReached(remedy: Remedy, search: PlanSearch): Remedy {
  if (remedy.partial || search.reached(remedy) >= REACHED) return remedy;
  return { ...remedy, partial: true, burden: remedy.burden + PART_BURDEN };
}

function byBody(search: PlanSearch): readonly Remedy[] {
  const { request, before, spec, mayAdd } = search;
  const asked = {
    portions: request.portions,
    massG: before.massG,
    roomMl: request.roomMl,
    way: spec.body!,
    severity: request.severity,
    gum: spec.gum ?? false,
  };
  const found = bodyWays(asked, mayAdd).map(({ handed, partial }): Remedy => {
    const exact = search.remedyOf([handed]);
    const masses = new Map([[mayAdd.indexOf(handed.mayAdd), handed.massG]]);
    const remedy = {
      ...exact,
      burden: exact.burden + OUTSIDE * outsideOf(search.rows, search.limits, masses),
    };
    return partial ? { ...remedy, partial, burden: remedy.burden + PART_BURDEN } : remedy;
  });
  return ranked(found.filter(({ effect }) => !lessAcidThanAllowed(effect))).slice(0, spec.answers);
}

const nothingDoes = ({ id }: PlanSpec): Impossible => ({
  status: 'impossible',
  planId: id,
  moreRoom: null,
  dilution: null,
  inTheWay: [],
});

/** Two plans that come to the same gestures are one answer. */
function withoutTwins(remedies: readonly Remedy[]): readonly Remedy[] {
  const seen = new Set<string>();
  return remedies.filter(({ doses }) => {
    const key = doses.map(({ mayAdd, massG }) => `${mayAdd.ingredient.id} ${massG.toFixed(3)}`).join();
    return !seen.has(key) && seen.add(key);
  });
}
