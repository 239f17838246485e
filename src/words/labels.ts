/** Sizes of labels by name. */
import type { LabelSize } from '#core/paper';

/** "99.1 × 67.7 mm, 8 on A4"; "100 × 62 mm, roll". */
export const sayLabelSize = ({ widthMm, heightMm, sheet }: LabelSize): string =>
  `${widthMm} × ${heightMm} mm, ${sheet ? `${sheet.columns * sheet.rows} on A4` : 'roll'}`;
