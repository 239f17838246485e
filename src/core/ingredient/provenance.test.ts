import { describe, expect, it } from 'vitest';
import { FIGURES, provenanceOf, spreadOfFigure } from './provenance';
import { REFERENCE_INGREDIENTS } from './reference';

describe('how far a figure may be off', () => {
  it('is said of every figure that a row has, and of none that it has not', () => {
    for (const row of REFERENCE_INGREDIENTS)
      for (const figure of FIGURES)
        expect(spreadOfFigure(row, figure) !== null, `${row.id} ${figure}`).toBe(
          provenanceOf(row)[figure] !== undefined,
        );
  });

  it('is nothing only where a thing is one thing by definition', () => {
    const defined = REFERENCE_INGREDIENTS.filter(
      (row) => spreadOfFigure(row, 'composition')!.kind === 'definition',
    );
    expect(defined.map(({ id }) => id as string)).toEqual(expect.arrayContaining(['water', 'olive_ev']));
    for (const row of defined) expect(Math.max(...Object.values(row.composition))).toBeGreaterThan(0.999);
    for (const row of REFERENCE_INGREDIENTS)
      for (const figure of FIGURES) {
        const spread = spreadOfFigure(row, figure);
        if (spread?.kind === 'share') {
          expect(spread.fraction, `${row.id} ${figure}`).toBeGreaterThan(0);
          expect(spread.fraction, `${row.id} ${figure}`).toBeLessThanOrEqual(1.5);
        }
        if (figure === 'acidsAndPh' && spread) expect(spread).toMatchObject({ kind: 'ph' });
      }
  });

  it('is the wider the less is known', () => {
    const share = (id: string): number => {
      const spread = spreadOfFigure(
        REFERENCE_INGREDIENTS.find((row) => row.id === id)!,
        'composition',
      );
      return spread?.kind === 'share' ? spread.fraction : 0;
    };
    const [published, guessed] = [
      REFERENCE_INGREDIENTS.find((row) => row.comparedWith && share(row.id) > 0)!,
      REFERENCE_INGREDIENTS.find((row) => row.tag === 'estimate' && share(row.id) > 0)!,
    ];
    expect(share(published.id)).toBeLessThan(share(guessed.id));
  });
});
