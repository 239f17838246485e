/**
 * Remedies by addition: nothing comes out of a jar again. Each plan of a complaint is searched
 * (./planSearch); what is not linear (pH) is judged afterwards, and where it turns a caution on, the
 * program runs again with 10 % more acid asked. Where a plan cannot be done whole, it is said why, and
 * what goes part of the way is offered.
 */
import type { PalateKey } from '#core/palate';
import { ROOM_C, emulsionState, holdRequest, USUAL_HEIGHT_M } from '#core/emulsion';
import type { JudgedPortion } from '#core/reckoning';
import { withRoles } from './candidates';
import { PLANS, type Complaint } from './complaints';
import { lessAcidThanAllowed, stateOf, type State } from './effect';
import { diagnose, type Impossible } from './impossible';
import { nearest } from './nearest';
import { PlanSearch, ranked, withDoses, type Dose, type Remedy, type RemedyRequest } from './planSearch';
import type { Work } from './steps';

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
}

/** @throws RangeError where there is nothing in the jar */
export function* searchRemedies(request: RemedyRequest): Work<RemedyAnswer> {
  const before = stateOf(request.portions, request.unread ?? []);
  if (!(before.massG > 0)) throw new RangeError('There is nothing in the jar to mend.');
  const windows = request.style?.windows ?? {};
  const now = (key: PalateKey): number | null => before.judgement.palate[key].value;
  const specs = PLANS[request.complaint];
  const remedies: Remedy[] = [];
  const impossible: Impossible[] = [];
  let [meaningful, met] = [false, false];
  for (const [index, spec] of specs.entries()) {
    const targets = spec.targets(now, windows, request.severity);
    if (!targets) continue;
    meaningful = true;
    const mayAdd = request.allowAll ? request.mayAdd : withRoles(request.mayAdd, spec.roles);
    const search = new PlanSearch(request, before, spec, targets, mayAdd);
    const tried = yield* search.run(index / specs.length, 1 / specs.length);
    const found = tried.filter(({ doses }) => thicknessFollows(request, doses));
    if (found.length > 0) remedies.push(...found);
    else if (search.alreadyMet) met = true;
    else {
      impossible.push(diagnose(search));
      // Half a dose of gum does harm, not half the good.
      const part = spec.gum ? null : yield* nearest(search, index / specs.length, 1 / specs.length);
      const remedy = part && search.remedyFor(part.used, part.y, part.cost);
      if (remedy && !lessAcidThanAllowed(remedy.effect) && thicknessFollows(request, remedy.doses))
        remedies.push({ ...remedy, partial: true, burden: remedy.burden + PART_BURDEN });
    }
  }
  return {
    complaint: request.complaint,
    before,
    remedies: ranked(remedies),
    impossible,
    meaningless: !meaningful,
    alreadyMet: met,
  };
}

/** Half a way comes after a whole one; in kitchen steps, estimate. */
const PART_BURDEN = 10;

/** Thinner or thicker must be so in the thickness model too, not only by the body index; by a tenth at least. */
const THICKNESS_MOVES = 1.1;

function thicknessFollows(request: RemedyRequest, doses: readonly Dose[]): boolean {
  const { complaint, portions } = request;
  if (complaint !== 'too-thin' && complaint !== 'too-thick') return true;
  const before = apparentViscosity(portions);
  const after = apparentViscosity(withDoses(portions, doses));
  if (before === null || after === null) return true;
  return complaint === 'too-thin' ? after >= before * THICKNESS_MOVES : after * THICKNESS_MOVES <= before;
}

/** Null where nothing in it is an emulsion: then the body index is all there is. */
function apparentViscosity(portions: readonly JudgedPortion[]): number | null {
  const volumeMl = portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
  const setting = {
    tool: 'whisk',
    seconds: 60,
    volumeMl,
    heightM: USUAL_HEIGHT_M,
    temperatureC: ROOM_C,
  } as const;
  return emulsionState(holdRequest(portions, setting))?.thickness.apparentViscosityPaS ?? null;
}
