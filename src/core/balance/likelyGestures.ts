/** What a cook most likely puts in next by hand, one gesture each: the jar's own seasoning first, then what most kitchens have. */
import { rolesOf, type Role } from './candidates';
import { gesturesNear, ladder, type Gesture } from './gestures';
import { doseG, type MayAdd } from './program';

export interface LikelyGesture {
  readonly mayAdd: MayAdd;
  readonly gesture: Gesture;
}

/** In the order a taster reaches for them. */
const ORDER: readonly Role[] = ['salt', 'acid', 'sweet', 'oil', 'water', 'mustard', 'creamy', 'savoury'];
/** Of what is not in the jar yet one of a kind is enough, and only of these. */
const MISSED: ReadonlySet<Role> = new Set<Role>(['salt', 'acid', 'sweet', 'oil', 'water']);
const MOST = 8;

/** @param mayAdd with a hand, in the order of how near they are. @param jarMassG what is in the jar */
export function likelyGestures(mayAdd: readonly MayAdd[], jarMassG: number): readonly LikelyGesture[] {
  const found: LikelyGesture[] = [];
  for (const role of ORDER) {
    const of = mayAdd.filter((one) => rolesOf(one.ingredient)[0] === role);
    const own = of.filter(({ from = 'jar' }) => from === 'jar');
    const chosen = own.length > 0 ? own : MISSED.has(role) ? of.slice(0, 1) : [];
    for (const one of chosen) {
      if (!one.hand || found.length >= MOST) continue;
      const gesture = ladder(one.hand)[0] ?? gesturesNear(doseG(one.ingredient, jarMassG), one.hand, 1)[0]!;
      found.push({ mayAdd: one, gesture });
    }
  }
  return found;
}
