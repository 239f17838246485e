/** What is to be said of a dressing first: one thing, the gravest. */
import type { Remedy } from './remedyRequest';
import type { Hold } from '#core/emulsion';
import { A_HAIR, PALATE, verdictOf, type Style, type Verdict, type VerdictReason } from '#core/palate';
import type { Judgement } from '#core/reckoning';
import type { Caution, CautionCode } from '#core/safety';
import { CLEARLY_STEPS, complaintOf } from './advice';
import type { Asked } from './together';

/** Cautions that ask for the dressing itself to be changed; the others say how it is kept and who may eat it. */
const CHANGE_IT: ReadonlySet<CautionCode> = new Set<CautionCode>([
  'infused_oil',
  'raw_egg_acid',
  'boil_dried_beans',
]);

/** How far outside, as a mouth would say it. */
export type Degree = 'a-touch' | 'clearly' | 'far';
/** From so many noticeable steps outside; estimate. */
const FAR_STEPS = 5;

export type Finding =
  | { readonly kind: 'empty' }
  | { readonly kind: 'unsafe'; readonly caution: Caution }
  | { readonly kind: 'split' }
  /** Lines nobody could read: what is said of the rest would not be true of the whole. */
  | { readonly kind: 'unread'; readonly words: readonly string[] }
  | { readonly kind: 'unjudged' }
  | {
      readonly kind: 'off';
      readonly style: Style;
      readonly verdict: Verdict;
      readonly reason: VerdictReason;
      readonly degree: Degree;
      /** What a cook would do about it; null: no addition answers it. */
      readonly asked: Asked | null;
    }
  | { readonly kind: 'right'; readonly style: Style; readonly verdict: Verdict };

interface FindingOf {
  readonly judgement: Judgement;
  readonly hold: Hold | null;
  readonly style: Style | null;
  /** Lines that could not be read, as typed. */
  readonly unread: readonly string[];
}

/**
 * What leads: that there is nothing, then what may hurt, what has come apart, what is not known, and at last the
 * weightiest thing that is outside the style.
 */
export function findingOf({ judgement, hold, style, unread }: FindingOf): Finding {
  if (judgement.portions.length === 0 && unread.length === 0) return { kind: 'empty' };
  // A plant under oil that only an unread line may bring is mended by saying the line; every other danger leads.
  const unsafe = judgement.cautions.find(
    ({ code, ingredients }) =>
      CHANGE_IT.has(code) && !(code === 'infused_oil' && unread.length > 0 && ingredients.length === 0),
  );
  if (unsafe) return { kind: 'unsafe', caution: unsafe };
  if (hold?.state.split) return { kind: 'split' };
  if (unread.length > 0) return { kind: 'unread', words: unread };
  if (!style) return { kind: 'unjudged' };
  const verdict = verdictOf(judgement.palate, style);
  const [first] = verdict.reasons;
  if (!first || verdict.score >= A_HAIR) return { kind: 'right', style, verdict };
  // What an addition can mend leads among equals: it is what a cook can act on.
  const reason = verdict.reasons.find((one) => complaintOf(one) !== null) ?? first;
  return { kind: 'off', style, verdict, reason, degree: degreeOf(reason), asked: complaintOf(reason) };
}

/** How far outside a reason says it is. */
export function degreeOf({ measure, moveBy }: VerdictReason): Degree {
  const steps = moveBy / PALATE[measure].step;
  return steps >= FAR_STEPS ? 'far' : steps >= CLEARLY_STEPS ? 'clearly' : 'a-touch';
}

/** After it there is nothing more to mend in the style aimed at. */
export const landsRight = ({ effect }: Pick<Remedy, 'effect'>): boolean =>
  effect.score !== null && effect.score >= A_HAIR;

/** What is said first to be done: the least that lands right; where nothing does, the least that helps. Null: nothing helps. */
export const adviceOf = (remedies: readonly Remedy[]): Remedy | null =>
  remedies.find((remedy) => remedy.partial !== true && landsRight(remedy)) ?? remedies[0] ?? null;
