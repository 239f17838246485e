import { beforeAll, describe, expect, it } from 'vitest';
import { extractText, getDocumentProxy, getResolvedPDFJS } from 'unpdf';
import { openSync, type Font } from 'fontkit';
import { CHECK_BAR_MM, LABEL_SIZES, labelSizeOf, stripOf, type LabelWords, type Sheet } from '#core/paper';
import { STARTING_VESSELS } from '#core/vessel';
import { partsOf, runsOf } from './fonts';
import { printLabels, SIZES_PT } from './label';
import { printSheet } from './sheet';
import { printStrip } from './strip';

const AT = new Date('2026-11-26T10:40:00Z');
const MM_PER_PT = 25.4 / 72;

// The reader wants a method of a newer engine.
beforeAll(() => {
  const buffer = ArrayBuffer.prototype as { transferToFixedLength?: (length?: number) => ArrayBuffer };
  buffer.transferToFixedLength ??= function (this: ArrayBuffer) {
    return this.slice(0);
  };
});

const open = (pdf: Buffer) => getDocumentProxy(new Uint8Array(pdf));
async function textOf(pdf: Buffer): Promise<string> {
  const { text } = await extractText(await open(pdf), { mergePages: true });
  return text.replace(/\s+/g, ' ');
}

interface Segment {
  readonly from: readonly [x: number, y: number];
  readonly to: readonly [x: number, y: number];
}
/** Straight strokes of the first page, mm from its lower left corner: as another program reads them. */
async function segmentsOf(pdf: Buffer): Promise<{ segments: readonly Segment[]; sizeMm: readonly number[] }> {
  const page = await (await open(pdf)).getPage(1);
  const { OPS } = await getResolvedPDFJS();
  const { fnArray, argsArray } = await page.getOperatorList();
  const segments: Segment[] = [];
  let flip = 0;
  fnArray.forEach((fn, i) => {
    const args = argsArray[i] as unknown[];
    if (fn === OPS.transform && args[3] === -1) flip = args[5] as number;
    if (fn !== OPS.constructPath) return;
    const path = Object.values((args[1] as [Record<number, number>])[0]);
    // 0 x y: move; 1 x y: line.
    if (path.length !== 6 || path[0] !== 0 || path[3] !== 1) return;
    const point = (x: number, y: number): readonly [number, number] => [
      x * MM_PER_PT,
      (flip - y) * MM_PER_PT,
    ];
    segments.push({ from: point(path[1]!, path[2]!), to: point(path[4]!, path[5]!) });
  });
  return { segments, sizeMm: page.view.slice(2).map((pt: number) => pt * MM_PER_PT) };
}

const WORDS: LabelWords = {
  name: 'Walnut & cider house',
  version: 'v4',
  madeAt: '26 November 2026, 10:40',
  useBy: '29 November 2026',
  keepAt: '5 °C or below',
  allergens: 'mustard, nuts (walnut)',
  cautions: ['Raw egg: not for young, old, pregnant or ill guests', 'Honey: not under 12 months'],
  batchNumber: '20261126-02',
  kitchen: 'Tarn House',
};

describe('the jar strip on paper', () => {
  const jar = STARTING_VESSELS.find(({ id }) => id === 'jam_jar_350')!;
  const additions = [
    { name: 'cider vinegar', said: '60 ml', mixedVolumeMl: 60 },
    { name: 'salt', said: '1 tsp', mixedVolumeMl: 1.9 },
    { name: 'rapeseed oil', said: '⅓ cup', mixedVolumeMl: 120 },
  ];
  const print = async (glassMm: number) => {
    const strip = stripOf(jar, additions, glassMm);
    if (strip.status !== 'strip') throw new Error(strip.status);
    const lines = additions.map(({ name, said }) => `${name}, ${said}`);
    const pdf = await printStrip(strip, { name: 'House', version: 'v4', vessel: jar.name, lines }, AT);
    return { strip, pdf };
  };

  it('is at true size: every line where it was reckoned, to half a millimetre', async () => {
    for (const glassMm of [4, 2.5]) {
      const { strip, pdf } = await print(glassMm);
      const { segments, sizeMm } = await segmentsOf(pdf);
      expect(sizeMm[0]).toBeCloseTo(210, 1);
      expect(sizeMm[1]).toBeCloseTo(297, 1);
      // Lines across the strip are 30 mm long; the lowest is the inside floor.
      const across = segments.filter(
        ({ from, to }) => Math.abs(to[0] - from[0] - 30) < 0.05 && Math.abs(to[1] - from[1]) < 0.01,
      );
      const heights = across.map(({ from }) => from[1]).sort((a, b) => a - b);
      expect(heights).toHaveLength(4);
      const foot = heights[0]! - glassMm;
      strip.lines.forEach(({ alongMm }, i) => {
        expect(Math.abs(heights[i + 1]! - foot - alongMm)).toBeLessThan(0.5);
      });
      const bar = segments.filter(
        ({ from, to }) => Math.abs(to[0] - from[0] - CHECK_BAR_MM) < 0.5 && to[1] === from[1],
      );
      expect(bar).toHaveLength(1);
    }
  });

  it('says how to print and to use it, in fonts of its own', async () => {
    const { pdf } = await print(4);
    const text = await textOf(pdf);
    for (const said of [
      '100 %',
      '50 mm',
      '4 mm of glass',
      'rapeseed oil, ⅓ cup',
      'salt, 1 tsp',
      '0 inside floor',
    ])
      expect(text).toContain(said);
    expect(pdf.toString('latin1')).not.toContain('/BaseFont /Helvetica');
    expect(pdf.toString('latin1').match(/\/FontFile2/g)?.length).toBeGreaterThan(2);
  });
});

describe('labels on paper', () => {
  it('say everything a container has to say, in every size', async () => {
    for (const size of LABEL_SIZES) {
      const pdf = await printLabels(WORDS, size, 1, 0, AT);
      const text = await textOf(pdf);
      for (const said of [
        'Walnut & cider',
        'v4',
        '20261126-02',
        '29 November 2026',
        '5 °C or below',
        'Raw egg',
        'Honey',
        'nuts (walnut)',
      ])
        expect(text, `${size.id}: ${said}`).toContain(said);
      const page = await (await open(pdf)).getPage(1);
      const [, , width] = page.view;
      expect(width! * MM_PER_PT).toBeCloseTo(size.sheet ? 210 : size.widthMm, 1);
    }
  });

  it('fit 60 × 40 mm with a list that is not complete and two cautions, in letters that can be read', async () => {
    const full = {
      ...WORDS,
      name: 'Lean herb and white-bean dressing of the terrace',
      allergens:
        'not complete (“60 g almond spread”), cereals containing gluten (barley), eggs, mustard, probably nuts (almond)',
    };
    const pdf = await printLabels(full, labelSizeOf('roll-60')!, 1, 0, AT);
    const text = await textOf(pdf);
    expect(text).not.toContain('More on the batch sheet');
    for (const said of ['almond spread', 'Raw egg', 'Honey', 'Tarn House']) expect(text).toContain(said);
    expect(text.match(/Contains/)).toBeNull();
    const font = openSync(partsOf('text')[0]!.file) as Font;
    expect((font.xHeight / font.unitsPerEm) * SIZES_PT.at(-1)! * MM_PER_PT).toBeGreaterThanOrEqual(0.9);
  });

  it('fill a sheet, begin where it is used up, and go on with the next', async () => {
    const size = LABEL_SIZES[0]!;
    expect((await open(await printLabels(WORDS, size, 8, 0, AT))).numPages).toBe(1);
    expect((await open(await printLabels(WORDS, size, 8, 3, AT))).numPages).toBe(2);
    expect((await open(await printLabels(WORDS, LABEL_SIZES[2]!, 3, 3, AT))).numPages).toBe(3);
  });

  it('never lose a word without saying so', async () => {
    const long = { ...WORDS, allergens: `mustard, ${'nuts (walnut), '.repeat(50)}` };
    const text = await textOf(await printLabels(long, labelSizeOf('roll-60')!, 1, 0, AT));
    expect(text).toContain('More on the batch sheet.');
    expect(text).toContain('29 November 2026');
  });
});

describe('a sheet on paper', () => {
  const sheet: Sheet = {
    title: 'Batch 20261126-02',
    subtitle: 'Walnut & cider house v4, 12 l',
    facts: [
      ['Made by', ''],
      ['Tool', 'stick blender'],
      ['Temperature', ''],
    ],
    tables: [
      {
        title: 'Load 1',
        note: 'Oil last, in a thin stream.',
        ticks: true,
        columns: [
          { title: 'What', share: 3, align: 'left' },
          { title: 'Amount', share: 1, align: 'right' },
          { title: 'Weighed', share: 1, align: 'left' },
        ],
        rows: Array.from({ length: 90 }, (_, i) => [`Line ${i + 1}, ⅓ of it`, `${i + 1} g`, '']),
      },
    ],
    notes: ['Keep at ≤ 5 °C.'],
    signatures: ['Recorded by, and when'],
  };

  it('breaks over pages, repeats its head, and keeps every row', async () => {
    const pdf = await printSheet(sheet, AT);
    expect((await open(pdf)).numPages).toBe(3);
    const text = await textOf(pdf);
    for (let i = 1; i <= 90; i++) expect(text).toContain(`Line ${i}, ⅓ of it`);
    expect(text.match(/Weighed/g)).toHaveLength(3);
    expect(text).toContain('Recorded by, and when');
  });
});

it('draws each sign with a face that has it, and never a box', () => {
  const runs = runsOf('⅓ ≤ 5 °C, Łódź, 10 µm → ok', 'text');
  expect(runs.map(({ text }) => text).join('')).toBe('⅓ ≤ 5 °C, Łódź, 10 µm → ok');
  expect(new Set(runs.map(({ file }) => file)).size).toBe(3);
  expect(
    runsOf('a\u{1F9C4}b', 'bold')
      .map(({ text }) => text)
      .join(''),
  ).toMatch(/^a.b$/u);
});
