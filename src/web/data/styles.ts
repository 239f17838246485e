/**
 * Styles as this kitchen has them: built-in ones, some with windows the kitchen moved, and its own. What
 * its tasters said of jars in a style moves that style's windows further.
 */
import { useMemo } from 'react';
import type { Formula } from '#core/formula';
import { nearestStyles, STYLES, withTypedRatio, type PalatePortion, type Style } from '#core/palate';
import { shiftedStyle, type Observation, type Shift } from '#core/trial';
import { useSaidQuery, useStylesQuery } from './kitchenApi';
import { useKitchen } from './kitchen';
import { useOpenDocs, withOpen } from './openDocs';

export interface KitchenStyle extends Style {
  readonly kind: 'built-in' | 'adjusted' | 'own';
  /** Edges that this kitchen's tastings moved. */
  readonly shifts: readonly Shift[];
  /** Before the tastings moved them: what the kitchen set, or the style's own. */
  readonly setWindows: Style['windows'];
}

const NO_SHIFTS: readonly Shift[] = [];

export function useStyles(): readonly KitchenStyle[] {
  const listed = useStylesQuery().data;
  const open = useOpenDocs('style');
  const saved = useMemo(() => withOpen(listed, open), [listed, open]);
  const said = useSaid();
  return useMemo(() => {
    const byId = new Map((saved ?? []).map((style) => [style.id, style]));
    const learnt = (style: Style, kind: KitchenStyle['kind']): KitchenStyle => {
      const of = said.get(style.id);
      const moved = of ? shiftedStyle(style, of) : { style, shifts: NO_SHIFTS };
      return { ...moved.style, kind, shifts: moved.shifts, setWindows: style.windows };
    };
    const builtIn = STYLES.map((style): KitchenStyle => {
      const adjusted = byId.get(style.id);
      byId.delete(style.id);
      return adjusted ? learnt(adjusted, 'adjusted') : learnt(style, 'built-in');
    });
    return [...builtIn, ...[...byId.values()].map((style) => learnt(style, 'own'))];
  }, [saved, said]);
}

/** What tasters said, by the style their jars aimed at. */
function useSaid(): ReadonlyMap<string, readonly Observation[]> {
  const said = useSaidQuery().data;
  const { learning } = useKitchen().settings;
  return useMemo(() => {
    const found = new Map<string, Observation[]>();
    if (!learning.windows) return found;
    for (const { styleId, at, observations } of said ?? []) {
      if (learning.since !== null && at < learning.since) continue;
      found.set(styleId, [...(found.get(styleId) ?? []), ...observations]);
    }
    return found;
  }, [said, learning]);
}

/** The style aimed at, with the ratio the cook set as its target; null while none is chosen. */
export function aimOf(formula: Formula, styles: readonly KitchenStyle[]): Style | null {
  const style = styles.find(({ id }) => id === formula.styleId);
  return style ? withTypedRatio(style, formula.targetRatio) : null;
}

export interface JudgedBy {
  readonly style: Style | null;
  /** Nobody chose it: of all styles it fits best. */
  readonly fitted: boolean;
}

/** The style aimed at; without one, the style that fits best. Null where there is nothing to fit. */
export function judgedBy(
  formula: Formula,
  styles: readonly KitchenStyle[],
  portions: readonly PalatePortion[],
): JudgedBy {
  const aim = aimOf(formula, styles);
  if (aim) return { style: aim, fitted: false };
  const [best] = nearestStyles(portions, styles);
  return { style: best ? withTypedRatio(best.style, formula.targetRatio) : null, fitted: true };
}
