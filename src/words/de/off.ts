/** What is off, by how much. */
import type { Degree } from '#core/balance';
import type { PalateKey } from '#core/palate';

/** "zu sauer" by degree; "braucht mehr Salz" by degree. */
const too = (word: string) => (degree: Degree) =>
  ({ 'a-touch': `etwas zu ${word}`, clearly: `zu ${word}`, far: `viel zu ${word}` })[degree];
const less = (word: string) => (degree: Degree) =>
  ({ 'a-touch': `könnte ${word} sein`, clearly: `dürfte ${word} sein`, far: `müsste viel ${word} sein` })[
    degree
  ];
const wants = (what: string) => (degree: Degree) =>
  ({
    'a-touch': `braucht noch etwas ${what}`,
    clearly: `braucht mehr ${what}`,
    far: `braucht viel mehr ${what}`,
  })[degree];
const overdone = (what: string) => (degree: Degree) =>
  ({ 'a-touch': `etwas zu viel ${what}`, clearly: `zu viel ${what}`, far: `viel zu viel ${what}` })[degree];
export const OFF: Readonly<
  Record<PalateKey, readonly [low: (degree: Degree) => string, high: (degree: Degree) => string]>
> = {
  acid: [less('saurer'), too('sauer')],
  ratio: [wants('Öl'), overdone('Öl')],
  salt: [wants('Salz'), too('salzig')],
  sweet: [less('süßer'), too('süß')],
  sugarToAcid: [too('herb'), too('süß')],
  fat: [less('fülliger'), too('füllig')],
  body: [too('dünn'), too('dick')],
  garlic: [wants('Knoblauch oder Zwiebel'), overdone('Knoblauch oder Zwiebel')],
  heat: [less('schärfer'), too('scharf')],
  mustard: [wants('Senf'), overdone('Senf')],
  bitter: [wants('kräftiges Öl'), too('bitter')],
};
