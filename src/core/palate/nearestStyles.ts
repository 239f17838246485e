/**
 * Which style a dressing fits best: first by what lies outside its windows, then by what defines it (a sauce without yolk
 * is no mayonnaise, one with tahini most likely a tahini sauce), then by how near the middle of its balance it sits.
 */
import { DEFINED_BY } from './defines';
import { PALATE, PALATE_KEYS, palateOf, type PalateKey, type PalatePortion } from './measures';
import type { Style } from './styles';
import { verdictOf, type Verdict } from './verdict';

export interface Fit<S extends Style> {
  readonly style: S;
  readonly verdict: Verdict;
  /** Lower fits better; comparable within one dressing only. */
  readonly distance: number;
}

/** What a missing thing that defines the style weighs, and one that is there; in the unit of the loss, estimate. */
const LACKS = 6;
const HOLDS = 0.8;
const MIDDLE = 0.3;
const BREADTH = 0.04;
const BALANCE: readonly PalateKey[] = PALATE_KEYS.filter(
  (key) => !['garlic', 'heat', 'mustard', 'bitter'].includes(key),
);

/** @returns best first; none where there is nothing in it */
export function nearestStyles<S extends Style>(
  portions: readonly PalatePortion[],
  styles: readonly S[],
): readonly Fit<S>[] {
  const massG = portions.reduce((sum, portion) => sum + portion.massG.nominal, 0);
  if (!(massG > 0)) return [];
  const palate = palateOf(portions);
  return styles
    .map((style): Fit<S> => {
      const verdict = verdictOf(palate, style);
      const held = (DEFINED_BY[style.id] ?? []).map(
        ({ is, least }) =>
          portions.reduce((sum, one) => sum + (is(one.ingredient) ? one.massG.nominal : 0), 0) >=
          LENIENT * least * massG,
      );
      const lacking = held.filter((has) => !has).length;
      const telling = (DEFINED_BY[style.id] ?? []).some(({ common }) => !common);
      const bonus = telling && lacking === 0 ? HOLDS : 0;
      // A measure with a window and no value says that it is another kind of dressing.
      const strange = verdict.notJudged.length;
      return {
        style,
        verdict,
        distance:
          verdict.loss +
          LACKS * lacking +
          strange -
          bonus +
          MIDDLE * offMiddle(style, palate) +
          BREADTH * breadthOf(style),
      };
    })
    .sort((a, b) => a.distance - b.distance);
}

/** A little less than what defines a style still is it. */
const LENIENT = 0.8;

/** Mean square of how far from the middle the balance sits, in half windows, 0..1 inside. */
function offMiddle({ windows }: Style, palate: ReturnType<typeof palateOf>): number {
  const off = BALANCE.flatMap((key) => {
    const window = windows[key];
    const { value } = palate[key];
    if (!window || value === null) return [];
    const half = Math.max((window.high - window.low) / 2, PALATE[key].step / 2);
    return [Math.min(1, Math.abs(value - (window.low + window.high) / 2) / half) ** 2];
  });
  return off.length === 0 ? 1 : off.reduce((sum, value) => sum + value, 0) / off.length;
}

/** A style into which much fits says little: half a window in steps, mean over the balance. */
function breadthOf({ windows }: Style): number {
  const halves = BALANCE.flatMap((key) => {
    const window = windows[key];
    return window ? [Math.min(MOST_BREADTH, (window.high - window.low) / (2 * PALATE[key].step))] : [];
  });
  return halves.reduce((sum, half) => sum + half, 0) / Math.max(1, halves.length);
}
const MOST_BREADTH = 20;
