import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { REFERENCE_INGREDIENTS } from '#core/ingredient';
import { brimHeightMm, STARTING_VESSELS } from '#core/vessel';
import { inkOn, liquidColour } from './colours';
import { frameJar, glassPath, halfWidthAt, slicePath, spreadLabels, stackLayers, yAt } from './jarGeometry';
import { trackEnd } from './Track';

describe('the drawn jar', () => {
  it.each(STARTING_VESSELS.map((vessel) => [vessel.name, vessel] as const))(
    '%s fits its box and stands on its floor',
    (_name, { outline }) => {
      const frame = frameJar(outline, { width: 120, height: 300, centreX: 80, bottomY: 310 });
      expect(yAt(frame, 0)).toBe(310);
      expect(yAt(frame, brimHeightMm(outline))).toBeGreaterThanOrEqual(10 - 1e-9);
      for (const { heightMm } of outline) expect(halfWidthAt(frame, heightMm)).toBeLessThanOrEqual(60 + 1e-9);
      expect(`${glassPath(frame)}${slicePath(frame, 0, brimHeightMm(outline))}`).not.toContain('NaN');
    },
  );

  it('stacks layers without gaps, and cuts off at the brim', () => {
    const { outline, brimfulVolumeMl } = STARTING_VESSELS[1]!;
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 300, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (volumes) => {
          const layers = stackLayers(
            outline,
            volumes.map((volumeMl) => ({ data: volumeMl, volumeMl })),
          );
          layers.forEach(({ fromMm, toMm }, i) => {
            expect(toMm).toBeGreaterThanOrEqual(fromMm - 1e-5);
            if (i > 0) expect(fromMm).toBe(layers[i - 1]!.toMm);
            expect(toMm).toBeLessThanOrEqual(brimHeightMm(outline) + 1e-9);
          });
          const total = volumes.reduce((a, b) => a + b, 0);
          if (total >= brimfulVolumeMl) expect(layers.at(-1)!.toMm).toBeCloseTo(brimHeightMm(outline), 6);
        },
      ),
    );
  });

  it('keeps labels apart and in order', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 300 }), { maxLength: 12 }), (heights) => {
        const wanted = [...heights].sort((a, b) => b - a);
        const placed = spreadLabels(wanted, 15, 300);
        placed.slice(1).forEach((y, i) => {
          expect(placed[i]! - y).toBeGreaterThanOrEqual(15);
        });
      }),
    );
  });
});

describe('colours', () => {
  const luminance = (hex: string): number => {
    const [r = 0, g = 0, b = 0] = [1, 3, 5]
      .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
      .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const contrast = (a: string, b: string): number => {
    const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
    return (light + 0.05) / (dark + 0.05);
  };
  const css = readFileSync(join(import.meta.dirname, '../../styles.css'), 'utf8');
  const colour = (name: string): string => new RegExp(`--color-${name}: (#[0-9a-f]{6})`).exec(css)![1]!;

  // WCAG 2.2, success criterion 1.4.3: 4.5 for text; 1.4.11: 3 for what tells something by its colour.
  it.each([
    ['ink', 'porcelain', 4.5],
    ['ink', 'card', 4.5],
    ['ink', 'tape', 4.5],
    ['ink', 'mint', 4.5],
    ['quiet', 'card', 4.5],
    ['quiet', 'porcelain', 4.5],
    ['quiet', 'mint', 4.5],
    ['white', 'bottle', 4.5],
    ['white', 'bottle-soft', 4.5],
    ['bottle', 'porcelain', 4.5],
    ['acid-ink', 'card', 4.5],
    ['acid-ink', 'acid-wash', 4.5],
    ['ink', 'acid-wash', 4.5],
    ['edge', 'paper', 3],
    ...(['oil', 'acid', 'salt', 'sweet', 'aroma', 'body', 'water'] as const).map(
      (component) => [`${component}-ink`, 'track', 3] as const,
    ),
  ] as const)('%s on %s reaches %d : 1', (front, back, least) => {
    expect(contrast(colour(front), colour(back))).toBeGreaterThanOrEqual(least);
  });

  it('a name in a layer is readable on every liquid', () => {
    for (const ingredient of REFERENCE_INGREDIENTS) {
      const back = liquidColour(ingredient);
      expect(contrast(inkOn(back), back), ingredient.id).toBeGreaterThanOrEqual(4.5);
    }
  });
});

it('a track has room beyond its band and its needle, and never no length', () => {
  expect(trackEnd({ value: null, window: undefined })).toBeGreaterThan(0);
  expect(trackEnd({ value: 0.03, window: { low: 0.01, high: 0.02 } })).toBeGreaterThan(0.03);
  expect(trackEnd({ value: 0.01, window: { low: 0.01, high: 0.02 }, mark: 0.05 })).toBeGreaterThan(0.05);
});
