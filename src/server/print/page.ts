/** A page measured in millimetres from its top left corner. Text is broken and placed here, so that all faces share a baseline. */
import PDFDocument from 'pdfkit';
import { partsOf, runsOf, type Face } from './fonts';

const PT_PER_MM = 72 / 25.4;
const INK = '#17201b';

export interface TextStyle {
  readonly face?: Face;
  /** Points. */
  readonly size: number;
  readonly color?: string;
  readonly align?: 'left' | 'right' | 'center';
}

export class Pages {
  private readonly doc: PDFKit.PDFDocument;
  private readonly chunks: Buffer[] = [];

  constructor(
    readonly widthMm: number,
    readonly heightMm: number,
    about: { readonly title: string; readonly at: Date },
  ) {
    this.doc = new PDFDocument({
      size: [widthMm * PT_PER_MM, heightMm * PT_PER_MM],
      margin: 0,
      autoFirstPage: false,
      // Named, or the standard fonts' files would be looked for.
      font: partsOf('text')[0]!.file,
      lang: 'en',
      info: { Title: about.title, Creator: 'Ygrana', CreationDate: about.at },
    });
    this.doc.on('data', (chunk: Buffer) => this.chunks.push(chunk));
  }

  addPage(): void {
    this.doc.addPage({ size: [this.widthMm * PT_PER_MM, this.heightMm * PT_PER_MM], margin: 0 });
  }

  /** mm. */
  widthOf(text: string, { face = 'text', size }: TextStyle): number {
    const runs = runsOf(text, face);
    return (
      runs.reduce((sum, run) => sum + this.doc.font(run.file).fontSize(size).widthOfString(run.text), 0) /
      PT_PER_MM
    );
  }

  /** Broken at spaces, and inside a word only where it is wider than the line. */
  linesOf(text: string, widthMm: number, style: TextStyle): readonly string[] {
    const lines: string[] = [];
    for (const paragraph of text.split('\n')) {
      let line = '';
      for (const word of paragraph.split(' ').flatMap((part) => this.fitting(part, widthMm, style))) {
        const longer = line === '' ? word : `${line} ${word}`;
        if (line !== '' && this.widthOf(longer, style) > widthMm) {
          lines.push(line);
          line = word;
        } else line = longer;
      }
      lines.push(line);
    }
    return lines;
  }

  private fitting(word: string, widthMm: number, style: TextStyle): readonly string[] {
    if (this.widthOf(word, style) <= widthMm) return [word];
    const pieces: string[] = [];
    let piece = '';
    for (const sign of word) {
      if (piece !== '' && this.widthOf(piece + sign, style) > widthMm) {
        pieces.push(piece);
        piece = sign;
      } else piece += sign;
    }
    return [...pieces, piece];
  }

  /** One line; `yMm` is its baseline. */
  line(text: string, xMm: number, yMm: number, style: TextStyle, widthMm = 0): void {
    const { face = 'text', size, color = INK, align = 'left' } = style;
    const slack = widthMm - (align === 'left' ? 0 : this.widthOf(text, style));
    let x = (xMm + (align === 'left' ? 0 : align === 'right' ? slack : slack / 2)) * PT_PER_MM;
    for (const run of runsOf(text, face)) {
      this.doc.font(run.file).fontSize(size).fillColor(color);
      this.doc.text(run.text, x, yMm * PT_PER_MM, { lineBreak: false, baseline: 'alphabetic' });
      x += this.doc.widthOfString(run.text);
    }
  }

  /** A paragraph; `yMm` is its upper edge. @returns its lower edge */
  paragraph(text: string, xMm: number, yMm: number, widthMm: number, style: TextStyle): number {
    const step = lineHeightMm(style.size);
    let y = yMm;
    for (const line of this.linesOf(text, widthMm, style)) {
      this.line(line, xMm, y + step * 0.78, style, widthMm);
      y += step;
    }
    return y;
  }

  rule(x1: number, y1: number, x2: number, y2: number, weightMm = 0.2, dashed = false): void {
    this.doc
      .lineWidth(weightMm * PT_PER_MM)
      .strokeColor(INK)
      .moveTo(x1 * PT_PER_MM, y1 * PT_PER_MM)
      .lineTo(x2 * PT_PER_MM, y2 * PT_PER_MM);
    if (dashed) this.doc.dash(1.2 * PT_PER_MM, { space: 1 * PT_PER_MM });
    this.doc.stroke();
    this.doc.undash();
  }

  box(x: number, y: number, width: number, height: number, fill: string | null = null): void {
    this.doc.lineWidth(0.2 * PT_PER_MM).strokeColor(INK);
    this.doc.rect(x * PT_PER_MM, y * PT_PER_MM, width * PT_PER_MM, height * PT_PER_MM);
    if (fill) this.doc.fill(fill);
    else this.doc.stroke();
  }

  finish(): Promise<Buffer> {
    return new Promise((resolve) => {
      this.doc.on('end', () => {
        resolve(Buffer.concat(this.chunks));
      });
      this.doc.end();
    });
  }
}

export const lineHeightMm = (sizePt: number): number => (sizePt * 1.24) / PT_PER_MM;
