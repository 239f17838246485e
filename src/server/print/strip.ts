/** The jar strip at true size: cut out, taped upright on the jar, filled line by line. */
import { CHECK_BAR_MM, spreadLabels, type Strip } from '#core/paper';
import { labelWords } from '#words/screens/label';
import { Pages, type TextStyle } from './page';

const [WIDTH_MM, HEIGHT_MM] = [210, 297];
const STRIP_MM = 30;
const LEFT_MM = 20;
const BOTTOM_MM = HEIGHT_MM - 10;
const NOTES_MM = LEFT_MM + STRIP_MM + 80;
const WORDS: TextStyle = { size: 9 };
const LABEL_GAP_MM = 4.2;

export interface StripWords {
  readonly name: string;
  readonly version: string;
  readonly vessel: string;
  /** Of each line: what it is, and to where it goes. */
  readonly lines: readonly string[];
}

export async function printStrip(strip: Strip, words: StripWords, at: Date): Promise<Buffer> {
  const pages = new Pages(WIDTH_MM, HEIGHT_MM, { title: labelWords.jarStripName(words.name), at });
  pages.addPage();
  const y = (alongMm: number): number => BOTTOM_MM - alongMm;
  // The strip itself, from where the jar stands to its brim.
  pages.box(LEFT_MM, y(strip.brimMm), STRIP_MM, strip.brimMm);
  pages.rule(LEFT_MM, y(strip.floorMm), LEFT_MM + STRIP_MM, y(strip.floorMm), 0.3, true);
  pages.line(labelWords.n0InsideFloor, LEFT_MM + STRIP_MM + 3, y(strip.floorMm) + 1.2, { size: 7.5 });
  const labels = spreadLabels(
    strip.lines.map(({ alongMm }) => alongMm),
    LABEL_GAP_MM,
    strip.floorMm + LABEL_GAP_MM,
    Math.max(strip.brimMm, strip.floorMm + LABEL_GAP_MM * (strip.lines.length + 1)),
  );
  strip.lines.forEach(({ alongMm, bySpoon }, i) => {
    pages.rule(LEFT_MM, y(alongMm), LEFT_MM + STRIP_MM, y(alongMm), 0.35, bySpoon);
    // Beside each other, or the numbers of near lines would lie on one another.
    pages.line(String(i + 1), LEFT_MM + 1 + (i % 5) * 6, y(alongMm) - 0.6, { face: 'bold', size: 8 });
    pages.rule(LEFT_MM + STRIP_MM, y(alongMm), LEFT_MM + STRIP_MM + 8, y(labels[i]!), 0.12);
    pages.line(`${i + 1}  ${words.lines[i]!}`, LEFT_MM + STRIP_MM + 9, y(labels[i]!) + 1.1, WORDS);
  });
  let top = 14;
  const put = (text: string, style: TextStyle): void => {
    top = pages.paragraph(text, NOTES_MM, top, WIDTH_MM - NOTES_MM - 12, style) + 1.5;
  };
  put(words.name, { face: 'name', size: 15 });
  put(`${words.version} · ${words.vessel}`, WORDS);
  put(labelWords.printAt100NeverFit, { face: 'bold', size: 10 });
  top += 6;
  const bar = top;
  pages.rule(NOTES_MM, bar, NOTES_MM + CHECK_BAR_MM, bar, 0.5);
  for (const x of [0, CHECK_BAR_MM]) pages.rule(NOTES_MM + x, bar - 2, NOTES_MM + x, bar + 2, 0.3);
  top += 3;
  put(labelWords.checkThisBarIsCheckbarmm(CHECK_BAR_MM), WORDS);
  put(labelWords.cutTheStripOutAnd(strip.floorMm), WORDS);
  if (strip.slopes) put(labelWords.theWallIsNotStraight, WORDS);
  put(labelWords.fillInOrderEachUp, WORDS);
  return pages.finish();
}
