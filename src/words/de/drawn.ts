/** What stands in drawings. */
import type { drawingWords } from '../screens/drawing';

export const drawing: Partial<typeof drawingWords> = {
  profileState: (off, judged) => off || (judged ? 'passt' : 'kein Zielbereich in diesem Stil'),
  whoBringsIt: 'Wer es mitbringt.',
  fromASpoonThickness: (said) => `Vom Löffel: ${said}`,
  shakeLine: 'Schüttellinie',
  notRead: 'nicht gelesen',
  wateryLayer: 'wässrige Schicht',
  oilOnTop: 'Öl oben',
  oil: 'Öl',
  acid: 'Säure',
  salt: 'Salz',
  sweet: 'Süße',
  aroma: 'Aroma',
  body: 'Körper',
  water: 'Wasser',
};
