import { labOf, type Lab, type Photo } from './photo';

/** The picture in few cells, line by line, each the mean of what lies in it. */
export function inCells(
  { width, height, rgba }: Photo,
  columns: number,
  lines: number,
  /** Along each side of a cell: a few of many pixels are enough, more of them still the grain. */
  samples = 4,
): readonly (readonly Lab[])[] {
  return Array.from({ length: lines }, (_, line) =>
    Array.from({ length: columns }, (_unused, column) => {
      let [red, green, blue, count] = [0, 0, 0, 0];
      const [x0, x1] = [Math.floor((column * width) / columns), Math.ceil(((column + 1) * width) / columns)];
      const [y0, y1] = [Math.floor((line * height) / lines), Math.ceil(((line + 1) * height) / lines)];
      const [dx, dy] = [x1 - x0, y1 - y0].map((px) => Math.max(1, Math.floor(px / samples))) as [
        number,
        number,
      ];
      for (let y = y0; y < y1; y += dy)
        for (let x = x0; x < x1; x += dx) {
          const at = 4 * (y * width + x);
          red += rgba[at]!;
          green += rgba[at + 1]!;
          blue += rgba[at + 2]!;
          count += 1;
        }
      return labOf(Math.round(red / count), Math.round(green / count), Math.round(blue / count));
    }),
  );
}
