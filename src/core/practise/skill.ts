/**
 * How sure a cook is of something, from rounds that were right or wrong: the rating of Elo (1978; as recalled),
 * by which two sides meet, a cook and a round.
 *
 *   expected = 1 / (1 + 10^((difficulty − rating) / 400)),   rating ← rating + k (score − expected)
 *
 * k falls with the number of rounds, so that the first ones find the cook and the later ones keep still. The next
 * round is a little easier than an even match, about three right in five; what went wrong comes back after three
 * rounds, and once it is right after eight, twenty and fifty. Estimate throughout.
 */
export const ROUND_KINDS = ['wrong', 'amount', 'hold', 'safe', 'pour'] as const;
export type RoundKind = (typeof ROUND_KINDS)[number];

export interface PractiseAnswer {
  readonly kind: RoundKind;
  /** What was asked: what comes back when it went wrong. */
  readonly item: string;
  /** On the scale of the rating. */
  readonly difficulty: number;
  /** 0 wrong, 1 right. */
  readonly score: number;
}

export const START_RATING = 1000;
/** So much easier than an even match: 0.6 right is expected. */
const EASIER = 70;
const FIRST_STEP = 140;
const LEAST_STEP = 20;

export const expectedScore = (rating: number, difficulty: number): number =>
  1 / (1 + 10 ** ((difficulty - rating) / 400));

export interface Skill {
  readonly rating: number;
  readonly rounds: number;
  /** Half a step either way: how far the next round may move it. */
  readonly doubt: number;
}

const stepAfter = (rounds: number): number => Math.max(LEAST_STEP, FIRST_STEP / (1 + rounds * 0.12));

/** @param answers oldest first; scores outside 0..1 count as the nearer end */
export function skillOf(answers: readonly PractiseAnswer[], kind: RoundKind): Skill {
  let [rating, rounds] = [START_RATING, 0];
  for (const answer of answers) {
    if (answer.kind !== kind) continue;
    const score = Math.min(1, Math.max(0, answer.score));
    rating += stepAfter(rounds) * (score - expectedScore(rating, answer.difficulty));
    rounds += 1;
  }
  return { rating, rounds, doubt: stepAfter(rounds) / 2 };
}

/** What the next round of a kind should be worth. */
export const wantedDifficulty = ({ rating }: Pick<Skill, 'rating'>): number => rating - EASIER;

export const SURENESS = ['new', 'not-yet', 'getting-there', 'sure'] as const;
export type Sureness = (typeof SURENESS)[number];

export interface ItemStanding {
  readonly item: string;
  readonly seen: number;
  readonly right: number;
  /** Right in a row, up to now. */
  readonly streak: number;
  /** Rounds of its kind until it comes back; 0 or less: now. */
  readonly dueIn: number;
  readonly sureness: Sureness;
}

/** From here on a round counts as right. */
export const RIGHT_FROM = 0.75;
const COMES_BACK_AFTER = [3, 8, 20, 50] as const;
const SURE_STREAK = 3;
/** What is so far beyond the cook waits, though it went wrong. */
const BEYOND = 150;

/** What has been asked of a kind, and when it comes back. */
export function itemsOf(answers: readonly PractiseAnswer[], kind: RoundKind): readonly ItemStanding[] {
  const own = answers.filter((answer) => answer.kind === kind);
  const items = new Map<string, { seen: number; right: number; streak: number; at: number }>();
  for (const [place, { item, score }] of own.entries()) {
    const known = items.get(item) ?? { seen: 0, right: 0, streak: 0, at: 0 };
    const right = score >= RIGHT_FROM;
    items.set(item, {
      seen: known.seen + 1,
      right: known.right + Number(right),
      streak: right ? known.streak + 1 : 0,
      at: place + 1,
    });
  }
  return [...items].map(([item, { seen, right, streak, at }]) => {
    const wait = COMES_BACK_AFTER[Math.min(streak, COMES_BACK_AFTER.length - 1)]!;
    const sureness = streak >= SURE_STREAK ? 'sure' : streak > 0 ? 'getting-there' : 'not-yet';
    return { item, seen, right, streak, dueIn: wait - (own.length - at), sureness };
  });
}

export interface Choosable {
  readonly item: string;
  readonly difficulty: number;
}

/**
 * What is asked next: what went wrong and is due, else what is nearest to what the cook can just do.
 *
 * @param chance 0 ≤ x < 1: which of the nearest
 * @returns null where there is nothing to ask
 */
export function nextOf<T extends Choosable>(
  choices: readonly T[],
  answers: readonly PractiseAnswer[],
  kind: RoundKind,
  chance: number,
): T | null {
  if (choices.length === 0) return null;
  const items = new Map(itemsOf(answers, kind).map((standing) => [standing.item, standing]));
  const last = answers.filter((answer) => answer.kind === kind).at(-1)?.item;
  // The same thing twice running is no question.
  const others = choices.filter(({ item }) => item !== last);
  const pool = others.length > 0 ? others : choices;
  const skill = skillOf(answers, kind);
  const due = pool
    .flatMap((choice) => {
      const standing = items.get(choice.item);
      const comes = standing && standing.streak < SURE_STREAK && standing.dueIn <= 0;
      return comes && choice.difficulty <= skill.rating + BEYOND ? [{ choice, standing }] : [];
    })
    .sort((a, b) => a.standing.dueIn - b.standing.dueIn);
  if (due[0]) return due[0].choice;
  const wanted = wantedDifficulty(skill);
  const nearest = [...pool].sort((a, b) => Math.abs(a.difficulty - wanted) - Math.abs(b.difficulty - wanted));
  return nearest[Math.floor(chance * Math.min(4, nearest.length))]!;
}
