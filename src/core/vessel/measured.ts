/** A vessel from a ruler: inside widths at heights, and, where it was filled with water, what it really holds. */
import { brimHeightMm, volumeBelowMl, type Outline } from './shape';

export interface MeasuredWidth {
  /** From the inside bottom, mm. */
  readonly heightMm: number;
  /** Inside width there, mm. */
  readonly widthMm: number;
}

export type MeasureProblem =
  | { readonly code: 'too-few' }
  | { readonly code: 'no-bottom' }
  | { readonly code: 'heights-not-rising'; readonly row: number }
  | { readonly code: 'no-width'; readonly row: number };

export type MeasuredOutline =
  | { readonly status: 'measured'; readonly outline: Outline; readonly brimfulVolumeMl: number }
  | { readonly status: 'wrong'; readonly problem: MeasureProblem };

/**
 * @param waterToBrimMl what it holds by weighing water (1 g is 1 ml), or null; widths are then
 *   scaled by √(measured/ruled) so that the volume is right and the heights stay as ruled
 */
export function outlineFromMeasures(
  rows: readonly MeasuredWidth[],
  waterToBrimMl: number | null,
): MeasuredOutline {
  const wrong = (problem: MeasureProblem): MeasuredOutline => ({ status: 'wrong', problem });
  if (rows.length < 2) return wrong({ code: 'too-few' });
  if (rows[0]!.heightMm !== 0) return wrong({ code: 'no-bottom' });
  for (const [row, { heightMm, widthMm }] of rows.entries()) {
    if (!(widthMm > 0)) return wrong({ code: 'no-width', row: row + 1 });
    if (row > 0 && !(heightMm > rows[row - 1]!.heightMm))
      return wrong({ code: 'heights-not-rising', row: row + 1 });
  }
  const ruled = rows.map(({ heightMm, widthMm }) => ({ heightMm, radiusMm: widthMm / 2 }));
  const ruledMl = volumeBelowMl(ruled, brimHeightMm(ruled));
  const widen = waterToBrimMl === null ? 1 : Math.sqrt(waterToBrimMl / ruledMl);
  return {
    status: 'measured',
    outline: ruled.map(({ heightMm, radiusMm }) => ({ heightMm, radiusMm: radiusMm * widen })),
    brimfulVolumeMl: waterToBrimMl ?? ruledMl,
  };
}
