/** A picture of a jar, from its pixels to its layers, against turning each of its pixels into a colour; goal: 150 ms. */
import { lookAtGlass } from '../src/core/glass';
import { labOf, type Photo } from '../src/core/glass/photo';
import { photoOfJar } from '../src/core/glass/testing';
import { medianMs, printLine } from './measure';

function everyPixel({ rgba }: Photo): number {
  let light = 0;
  for (let at = 0; at < rgba.length; at += 4) light += labOf(rgba[at]!, rgba[at + 1]!, rgba[at + 2]!)[0];
  return light;
}

export function benchGlass(): void {
  for (const [name, width, height] of [
    ['2 megapixels', 1224, 1632],
    ['12 megapixels', 3024, 4032],
  ] as const) {
    const { photo, marks } = photoOfJar(8, 'drawn', width, height);
    printLine({
      name: `A jar looked at, ${name}, ${(photo.rgba.length / 1024 / 1024).toFixed(0)} MB of pixels`,
      oursMs: medianMs(() => lookAtGlass(photo, marks), { runs: 9, warmup: 2 }),
      otherMs: medianMs(() => everyPixel(photo), { runs: 3, warmup: 1 }),
      other: 'every pixel as a colour',
    });
  }
}
