/** A sheet on A4 that works on paper alone: facts, tables with boxes to tick, lines to sign on. */
import type { Sheet, SheetTable } from '#core/paper';
import { labelWords } from '#words/screens/label';
import { lineHeightMm, Pages, type TextStyle } from './page';

const [WIDTH_MM, HEIGHT_MM] = [210, 297];
const MARGIN_MM = 15;
const INNER_MM = WIDTH_MM - 2 * MARGIN_MM;
const TEXT: TextStyle = { size: 10 };
const BOLD: TextStyle = { face: 'bold', size: 10 };
const SMALL: TextStyle = { size: 8.5, color: '#4a534d' };
const TICK_MM = 7;
const ROW_PAD_MM = 1.1;

export async function printSheet(sheet: Sheet, at: Date): Promise<Buffer> {
  const pages = new Pages(WIDTH_MM, HEIGHT_MM, { title: sheet.title, at });
  const pen = new Pen(pages, sheet.title);
  pen.text(sheet.title, { face: 'name', size: 18 });
  if (sheet.subtitle) pen.text(sheet.subtitle, TEXT);
  pen.space(2);
  pen.facts(sheet.facts);
  for (const table of sheet.tables) pen.table(table);
  if (sheet.notes.length > 0) pen.space(3);
  for (const note of sheet.notes) pen.text(note, TEXT);
  for (const words of sheet.signatures) pen.signature(words);
  return pages.finish();
}

class Pen {
  private y = 0;
  private page = 0;

  constructor(
    private readonly pages: Pages,
    private readonly title: string,
  ) {
    this.turn();
  }

  private turn(): void {
    this.pages.addPage();
    this.page += 1;
    this.y = MARGIN_MM;
    const foot = labelWords.titlePagePage(this.title, this.page);
    this.pages.line(foot, MARGIN_MM, HEIGHT_MM - 8, { ...SMALL, align: 'right' }, INNER_MM);
  }

  /** A new page where less than this is left. */
  private need(mm: number): void {
    if (this.y + mm > HEIGHT_MM - MARGIN_MM) this.turn();
  }

  space(mm: number): void {
    this.y += mm;
  }

  text(text: string, style: TextStyle): void {
    const lines = this.pages.linesOf(text, INNER_MM, style);
    for (const line of lines) {
      this.need(lineHeightMm(style.size));
      this.y = this.pages.paragraph(line, MARGIN_MM, this.y, INNER_MM, style);
    }
  }

  facts(facts: Sheet['facts']): void {
    const half = INNER_MM / 2;
    for (let i = 0; i < facts.length; i += 2) {
      this.need(8);
      const ends = facts.slice(i, i + 2).map(([name, value], place) => {
        const x = MARGIN_MM + place * half;
        const nameMm = this.pages.widthOf(name, SMALL) + 2;
        this.pages.paragraph(name, x, this.y + 0.4, half, SMALL);
        if (value !== '') return this.pages.paragraph(value, x + nameMm, this.y, half - nameMm - 3, BOLD);
        this.pages.rule(x + nameMm, this.y + 5, x + half - 4, this.y + 5);
        return this.y + 6;
      });
      this.y = Math.max(...ends) + 0.6;
    }
  }

  table({ title, note, columns, rows, ticks }: SheetTable): void {
    this.space(4);
    this.need(22);
    this.text(title, { face: 'name', size: 13 });
    if (note) this.text(note, SMALL);
    const room = INNER_MM - (ticks ? TICK_MM : 0);
    const shares = columns.reduce((sum, { share }) => sum + share, 0);
    const widths = columns.map(({ share }) => (room * share) / shares);
    const left = MARGIN_MM + (ticks ? TICK_MM : 0);
    const xs = widths.map((_, i) => left + widths.slice(0, i).reduce((a, b) => a + b, 0));
    const head = (): void => {
      columns.forEach(({ title: name, align }, i) => {
        this.pages.line(name, xs[i]!, this.y + 4, { ...SMALL, align }, widths[i]! - 2);
      });
      this.y += 5.5;
      this.pages.rule(MARGIN_MM, this.y, WIDTH_MM - MARGIN_MM, this.y, 0.3);
    };
    head();
    for (const row of rows) {
      const cells = row.map((cell, i) => this.pages.linesOf(cell, widths[i]! - 2, TEXT));
      const height =
        Math.max(...cells.map(({ length }) => length)) * lineHeightMm(TEXT.size) + 2 * ROW_PAD_MM;
      if (this.y + height > HEIGHT_MM - MARGIN_MM) {
        this.turn();
        head();
      }
      if (ticks) this.pages.box(MARGIN_MM + 1, this.y + ROW_PAD_MM + 0.4, 3.6, 3.6);
      row.forEach((cell, i) => {
        const { align } = columns[i]!;
        if (cell === '') {
          this.pages.rule(
            xs[i]!,
            this.y + height - ROW_PAD_MM,
            xs[i]! + widths[i]! - 3,
            this.y + height - ROW_PAD_MM,
            0.15,
          );
        } else this.pages.paragraph(cell, xs[i]!, this.y + ROW_PAD_MM, widths[i]! - 2, { ...TEXT, align });
      });
      this.y += height;
      this.pages.rule(MARGIN_MM, this.y, WIDTH_MM - MARGIN_MM, this.y, 0.08);
    }
  }

  signature(words: string): void {
    this.space(9);
    this.need(12);
    this.pages.rule(MARGIN_MM, this.y + 5, MARGIN_MM + 90, this.y + 5);
    this.y = this.pages.paragraph(words, MARGIN_MM, this.y + 5.6, INNER_MM, SMALL);
  }
}
