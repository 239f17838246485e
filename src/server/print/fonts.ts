/**
 * Shipped fonts for paper. The two faces of the interface come in subsets; what none of them draws (⅓, ≤) is
 * drawn by a face that knows nearly every sign. Only the signs used are embedded.
 */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { create, type Font } from 'fontkit';

export type Face = 'text' | 'bold' | 'name';

const fontFile = (path: string): string => createRequire(import.meta.url).resolve(path);
const atkinson = (subset: string, weight: number): string =>
  fontFile(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`,
  );
const bricolage = (subset: string): string =>
  fontFile(`@fontsource/bricolage-grotesque/files/bricolage-grotesque-${subset}-700-normal.woff`);
const dejavu = (name: string): string => fontFile(`dejavu-fonts-ttf/ttf/${name}.ttf`);

/** In the order they are asked for a sign. */
const FILES: Readonly<Record<Face, () => readonly string[]>> = {
  text: () => [atkinson('latin', 400), atkinson('latin-ext', 400), dejavu('DejaVuSans')],
  bold: () => [atkinson('latin', 700), atkinson('latin-ext', 700), dejavu('DejaVuSans-Bold')],
  name: () => [bricolage('latin'), bricolage('latin-ext'), dejavu('DejaVuSans-Bold')],
};

export interface FontPart {
  readonly file: string;
  readonly font: Font;
}

const loaded = new Map<Face, readonly FontPart[]>();
export function partsOf(face: Face): readonly FontPart[] {
  const known = loaded.get(face);
  if (known) return known;
  const parts = FILES[face]().map((file) => ({ file, font: create(readFileSync(file)) as Font }));
  loaded.set(face, parts);
  return parts;
}

export interface Run {
  readonly text: string;
  readonly file: string;
}

/** A text cut where another file has to draw the next sign; what no file draws is a question mark. */
export function runsOf(text: string, face: Face): readonly Run[] {
  const parts = partsOf(face);
  const runs: { text: string; file: string }[] = [];
  for (const sign of text) {
    const code = sign.codePointAt(0)!;
    const found = parts.find(({ font }) => font.hasGlyphForCodePoint(code));
    const [drawn, file] = found ? [sign, found.file] : ['?', parts[0]!.file];
    const last = runs.at(-1);
    if (last?.file === file) last.text += drawn;
    else runs.push({ text: drawn, file });
  }
  return runs;
}
