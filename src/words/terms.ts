/** Words of the trade and of this house, as a cook would explain them to another. */
export type Term = 'band' | 'hold' | 'version' | 'proven';

export const TERM_WORDS: Readonly<Record<Term, { readonly word: string; readonly means: string }>> = {
  band: {
    word: 'band',
    means:
      'From where to where this style still tastes like itself. Inside it there is nothing to mend; outside it a tongue notices.',
  },
  hold: {
    word: 'hold',
    means:
      'How long it looks mixed after the last shake, until a layer of a few millimetres shows. An estimate from drop size, thickness and what binds it; a look at the real jar narrows it.',
  },
  version: {
    word: 'version',
    means:
      'The formula as it stood when you saved it under a number. It never changes again: jars, batches and labels are made from it, and you can always go back to it.',
  },
  proven: {
    word: 'proven',
    means:
      'So many jars of this version came out right as made, without a mend, that the next one may be trusted. Settings say how many.',
  },
};
