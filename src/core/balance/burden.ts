/** What an answer costs beside what goes in: what it newly brings, how it lands, what it does to hold and body, its price. */
import { verdictOf, type Style } from '#core/palate';
import type { Effect, State } from './effect';
import type { Limits, MayAdd } from './program';

interface About {
  readonly before: State;
  readonly style: Style | null;
  /** What was asked for. */
  readonly targets: Limits;
  /** All of the band was asked for, no single measure. */
  readonly wholeBand: boolean;
  /** The thickness is what is to move. */
  readonly forBody: boolean;
  /** In the kitchen's money; null: not known. */
  readonly jarCost: number | null;
}

/** Longer than this a hold is for good, s. */
const FOR_GOOD_S = 14 * 86_400;

/** To take a thing at all, the more the farther a cook reaches for it; in kitchen steps, estimate. */
const REACHES = { jar: 1, pantry: 2.5, staple: 3 } as const;
export const reachOf = ({ from = 'jar' }: MayAdd): number => REACHES[from];
/** A dressing that held for less than this is shaken again anyway, s. */
const HELD_S = 600;
/** What it newly brings weighs as much as this many kitchen steps; rule: estimate. */
const WEIGHS = { grave: 20, allergen: 8, point: 1 / 3, halvedHold: 1.5, doubledBody: 0.7, dearer: 2 };
const MOST_HALVINGS = 4;

/** The taster wins over the window: what was complained of is not held against the answer. */
function scoreBesides({ style, targets, wholeBand }: About, { palate }: Effect): number | null {
  if (!style || wholeBand) return style && verdictOf(palate, style).score;
  const asked = new Set(Object.keys(targets));
  if (asked.has('sweet') || asked.has('sugarToAcid'))
    for (const key of ['sweet', 'sugarToAcid']) asked.add(key);
  const windows = Object.fromEntries(Object.entries(style.windows).filter(([key]) => !asked.has(key)));
  return verdictOf(palate, { ...style, windows }).score;
}

/** Lower comes first. @returns kitchen steps, beside those of what goes in */
export function burdenOf(
  about: About,
  doses: readonly { readonly mayAdd: MayAdd; readonly massG: number }[],
  effect: Effect,
): number {
  const { before, forBody, jarCost } = about;
  const score = scoreBesides(about, effect);
  const grave = effect.newCautions.filter(({ tier }) => tier === 1).length;
  const [was, is] = [before.hold, effect.hold];
  const heldS = Math.min(was?.medianS ?? Infinity, FOR_GOOD_S);
  const lost =
    was && is && heldS >= HELD_S ? Math.log2(heldS / Math.min(is.medianS ?? Infinity, FOR_GOOD_S)) : 0;
  const body =
    was && is && !forBody
      ? Math.abs(
          Math.log2(is.state.thickness.apparentViscosityPaS / was.state.thickness.apparentViscosityPaS),
        )
      : 0;
  const cost = doses.reduce((sum, { mayAdd, massG }) => sum + (mayAdd.pricePerG ?? 0) * massG, 0);
  return (
    WEIGHS.grave * grave +
    WEIGHS.allergen * effect.newAllergens.length +
    (score === null ? 0 : (100 - score) * WEIGHS.point) +
    WEIGHS.halvedHold * Math.min(MOST_HALVINGS, Math.max(0, lost)) +
    WEIGHS.doubledBody * (Number.isFinite(body) ? Math.min(MOST_HALVINGS, body) : 0) +
    (jarCost ? (WEIGHS.dearer * cost) / jarCost : 0)
  );
}
