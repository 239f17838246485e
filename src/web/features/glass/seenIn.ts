/** What was measured, in heights and in the words of a look. */
import type { PictureRecord } from '#contract';
import type { Hold } from '#core/emulsion';
import type { GlassLayer, Marks } from '#core/glass';
import type { Sight } from '#core/trial';
import { volumeBelowMl, type Outline } from '#core/vessel';
import type { MeasuredLayers } from '../../parts/chart/HoldChart';

const ASIDE: ReadonlySet<GlassLayer['kind']> = new Set<GlassLayer['kind']>(['foam', 'floating', 'lying']);
export const isAside = ({ kind }: Pick<GlassLayer, 'kind'>): boolean => ASIDE.has(kind);

/** A layer of a tenth is no thin one any more; common practice. */
const THIN = 0.1;

export function sightOf(layers: readonly GlassLayer[]): Sight {
  const parted = layers.filter(
    (layer) => !isAside(layer) && (layer.kind === 'watery' || layer.kind === 'oil'),
  );
  if (parted.length === 0) return 'fine';
  return parted.some(({ from, to }) => to - from >= THIN) ? 'split' : 'thin-layer';
}

/** How much of the volume lies below a share of the height: a jar is no pipe. */
export type BelowAt = (share: number) => number;
export const belowIn =
  (outline: Outline, liquidMm: number): BelowAt =>
  (share) => {
    const whole = volumeBelowMl(outline, liquidMm);
    return whole > 0 ? volumeBelowMl(outline, share * liquidMm) / whole : share;
  };

const shareOf = (layers: readonly GlassLayer[], kind: GlassLayer['kind'], below: BelowAt): number =>
  layers.reduce((sum, { kind: own, from, to }) => sum + (own === kind ? below(to) - below(from) : 0), 0);

export const sharesOf = (layers: readonly GlassLayer[], below: BelowAt) => ({
  watery: shareOf(layers, 'watery', below),
  oil: shareOf(layers, 'oil', below),
});
export const measuredOf = (pictures: readonly PictureRecord[], below: BelowAt): readonly MeasuredLayers[] =>
  pictures.flatMap(({ seconds, seen: { layers } }) =>
    seconds === null ? [] : [{ seconds, ...sharesOf(layers, below) }],
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

/** Twice beyond the band of four in five: apart so early, or together so late. */
export function isFarOutside(
  hold: Pick<Hold, 'medianS' | 'bandFactor'> | null,
  pictures: readonly Pick<PictureRecord, 'seconds' | 'seen'>[],
): boolean {
  if (hold?.medianS == null) return false;
  const { medianS, bandFactor } = hold;
  return pictures.some(({ seconds, seen: { layers } }) => {
    if (seconds === null) return false;
    // Foam is no layer.
    const isApart = layers.filter((layer) => !isAside(layer)).length > 1;
    return isApart ? seconds < medianS / bandFactor ** 2 : seconds > medianS * bandFactor ** 2;
  });
}
