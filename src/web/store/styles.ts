/** Styles as this kitchen has them: built-in ones, some with windows the kitchen moved, and its own. */
import { useMemo } from 'react';
import type { Formula } from '#core/formula';
import { STYLES, withTypedRatio, type Style } from '#core/palate';
import { useStylesQuery } from '../api/kitchenApi';

export interface KitchenStyle extends Style {
  readonly kind: 'built-in' | 'adjusted' | 'own';
}

export function useStyles(): readonly KitchenStyle[] {
  const saved = useStylesQuery().data;
  return useMemo(() => {
    const byId = new Map((saved ?? []).map((style) => [style.id, style]));
    const builtIn = STYLES.map((style): KitchenStyle => {
      const adjusted = byId.get(style.id);
      byId.delete(style.id);
      return adjusted ? { ...adjusted, kind: 'adjusted' } : { ...style, kind: 'built-in' };
    });
    return [...builtIn, ...[...byId.values()].map((style): KitchenStyle => ({ ...style, kind: 'own' }))];
  }, [saved]);
}

/** The style aimed at, with the ratio the cook set as its target; null while none is chosen. */
export function aimOf(formula: Formula, styles: readonly KitchenStyle[]): Style | null {
  const style = styles.find(({ id }) => id === formula.styleId);
  return style ? withTypedRatio(style, formula.targetRatio) : null;
}
