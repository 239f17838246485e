/** What was measured, in heights and in the words of a look. */
import type { PictureRecord } from '#contract';
import type { GlassLayer, Marks } from '#core/glass';
import type { Sight } from '#core/trial';
import type { MeasuredLayers } from '../../parts/chart/HoldChart';

const ASIDE: ReadonlySet<GlassLayer['kind']> = new Set<GlassLayer['kind']>(['foam', 'floating', 'lying']);
export const isAside = ({ kind }: GlassLayer): boolean => ASIDE.has(kind);

/** A layer of a tenth is no thin one any more; common practice. */
const THIN = 0.1;

export function sightOf(layers: readonly GlassLayer[]): Sight {
  const parted = layers.filter(
    (layer) => !isAside(layer) && (layer.kind === 'watery' || layer.kind === 'oil'),
  );
  if (parted.length === 0) return 'fine';
  return parted.some(({ from, to }) => to - from >= THIN) ? 'split' : 'thin-layer';
}

const shareOf = (layers: readonly GlassLayer[], kind: GlassLayer['kind']): number =>
  layers.reduce((sum, layer) => sum + (layer.kind === kind ? layer.to - layer.from : 0), 0);

export const measuredOf = (pictures: readonly PictureRecord[]): readonly MeasuredLayers[] =>
  pictures.flatMap(({ seconds, seen: { layers } }) =>
    seconds === null ? [] : [{ seconds, watery: shareOf(layers, 'watery'), oil: shareOf(layers, 'oil') }],
  );

/** Where the jar most likely stands: in the middle, most of the height; a jar before it stood says it better. */
export function usualMarks(width: number, height: number): Marks {
  const [left, right] = [width * 0.3, width * 0.7];
  return {
    floor: [
      { x: left, y: height * 0.85 },
      { x: right, y: height * 0.85 },
    ],
    surface: [
      { x: left, y: height * 0.3 },
      { x: right, y: height * 0.3 },
    ],
  };
}

/** Borders moved by hand: the kinds stay, as far as there are as many. */
export const withBorder = (
  layers: readonly GlassLayer[],
  border: number,
  at: number,
): readonly GlassLayer[] => {
  const [below, above] = [layers[border - 1]!, layers[border]!];
  const put = Math.min(above.to - LEAST, Math.max(below.from + LEAST, at));
  return layers.map((layer, i) => {
    if (i === border - 1) return { ...layer, to: put, doubt: [layer.doubt[0], 0] as const };
    if (i === border) return { ...layer, from: put, doubt: [0, layer.doubt[1]] as const };
    return layer;
  });
};
const LEAST = 0.005;
