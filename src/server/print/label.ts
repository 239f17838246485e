/** Labels: everything a container has to say, as large as its size allows. */
import qrcode from 'qrcode-generator';
import type { LabelSize, LabelWords } from '#core/paper';
import { labelWords } from '#words/screens/label';
import { lineHeightMm, Pages, type TextStyle } from './page';

const MARGIN_MM = 2.5;
/** The least has an x-height of 0.9 mm: Regulation (EU) 1169/2011 Art. 13 for surfaces under 80 cm² (recalled). */
export const SIZES_PT = [11, 10, 9, 8, 7.5, 7, 6.5, 6, 5.5];

/** @param copies labels, at least one @param skip places of the sheet that are used up */
export const printLabels = (
  words: LabelWords,
  size: LabelSize,
  copies: number,
  skip: number,
  at: Date,
): Promise<Buffer> =>
  printEach(
    Array.from({ length: copies }, () => words),
    size,
    skip,
    at,
  );

/** @param all one a label, at least one @param skip places of the sheet that are used up */
export async function printEach(
  all: readonly LabelWords[],
  size: LabelSize,
  skip: number,
  at: Date,
): Promise<Buffer> {
  const [{ batchNumber, name }] = all as readonly [LabelWords];
  const title = batchNumber || name;
  const { sheet } = size;
  const pages = sheet
    ? new Pages(210, 297, { title: labelWords.labelsBatchnumber(title), at })
    : new Pages(size.widthMm, size.heightMm, { title: labelWords.labelBatchnumber(title), at });
  const perPage = sheet ? sheet.columns * sheet.rows : 1;
  for (const [i, words] of all.entries()) {
    const place = (i + (sheet ? skip : 0)) % perPage;
    if (i === 0 || place === 0) pages.addPage();
    const [column, row] = sheet ? [place % sheet.columns, Math.floor(place / sheet.columns)] : [0, 0];
    const x = sheet ? sheet.leftMm + column * sheet.stepXMm : 0;
    const y = sheet ? sheet.topMm + row * sheet.stepYMm : 0;
    drawLabel(pages, words, x, y, size);
  }
  return pages.finish();
}

interface Block {
  readonly text: string;
  readonly bold?: boolean;
}

function drawLabel(
  pages: Pages,
  words: LabelWords,
  x: number,
  y: number,
  { widthMm, heightMm }: LabelSize,
): void {
  const inner = widthMm - 2 * MARGIN_MM;
  // A jar of no batch has no number to be read.
  const codeMm = words.batchNumber ? Math.min(18, heightMm * 0.3) : 0;
  const beside = inner - codeMm - 2;
  const tall = heightMm - 2 * MARGIN_MM;
  for (const size of SIZES_PT) {
    const last = size === SIZES_PT.at(-1);
    if (layOut(pages, words, x + MARGIN_MM, y + MARGIN_MM, { inner, beside, codeMm, tall }, size, last))
      break;
  }
  if (words.batchNumber)
    drawCode(pages, words.batchNumber, x + widthMm - MARGIN_MM - codeMm, y + MARGIN_MM, codeMm);
}

/** Draws it where it fits at this size; at the last size in any case, and says where the rest stands. */
function layOut(
  pages: Pages,
  words: LabelWords,
  x: number,
  y: number,
  { inner, beside, codeMm, tall }: { inner: number; beside: number; codeMm: number; tall: number },
  size: number,
  anyway: boolean,
): boolean {
  const name: TextStyle = { face: 'name', size: size * 1.45 };
  const widthAt = (top: number): number => (top < codeMm + 1 ? beside : inner);
  const rows: { text: string; style: TextStyle; top: number }[] = [];
  let top = 0;
  const put = (text: string, style: TextStyle): void => {
    // Beside the code a line is shorter: each is broken where it starts.
    let rest = text;
    while (rest !== '') {
      const [first] = pages.linesOf(rest, widthAt(top), style);
      rows.push({ text: first!, style, top });
      top += lineHeightMm(style.size);
      rest = rest.slice(first!.length).trimStart();
    }
  };
  put(words.name, name);
  const blocks: readonly Block[] = [
    {
      text: words.batchNumber
        ? labelWords.versionBatchBatchnumber(words.version, words.batchNumber)
        : words.version,
    },
    { text: labelWords.madeMadeat(words.madeAt) },
    { text: labelWords.useByUsebyKeepat(words.useBy, words.keepAt), bold: true },
    {
      text: words.allergens,
      bold: true,
    },
    ...words.cautions.map((text) => ({ text })),
    { text: words.kitchen },
  ];
  for (const { text, bold } of blocks) if (text !== '') put(text, { face: bold ? 'bold' : 'text', size });
  if (top > tall && !anyway) return false;
  const fits = rows.filter((row) => row.top + lineHeightMm(row.style.size) <= tall + 1e-6);
  const cut = fits.length < rows.length;
  for (const row of cut ? fits.slice(0, -1) : fits) {
    pages.line(row.text, x, y + row.top + lineHeightMm(row.style.size) * 0.78, row.style);
  }
  const end = fits.at(-1);
  if (cut && end)
    pages.line(labelWords.moreOnTheBatchSheet, x, y + end.top + lineHeightMm(size) * 0.78, {
      face: 'bold',
      size,
    });
  return true;
}

/** The batch number as a QR code (ISO/IEC 18004), drawn as squares. */
function drawCode(pages: Pages, text: string, x: number, y: number, sideMm: number): void {
  const code = qrcode(0, 'M');
  code.addData(text);
  code.make();
  const count = code.getModuleCount();
  const module = sideMm / count;
  for (let row = 0; row < count; row++) {
    for (let column = 0; column < count; column++) {
      // A hair larger, or white lines show between them.
      if (code.isDark(row, column))
        pages.box(x + column * module, y + row * module, module + 0.02, module + 0.02, '#000000');
    }
  }
}
