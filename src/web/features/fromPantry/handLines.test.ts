import { describe, expect, it } from 'vitest';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { leaningsAsked, readLeanings } from '#core/balance';
import { STYLES } from '#core/palate';
import { onHandOf, readHandLine } from './handLines';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
const line = (text: string, useUp = false) => ({ id: text, text, useUp });

describe('what is on hand', () => {
  it('reads amounts as a limit and their absence as enough', () => {
    expect(readHandLine('half a lemon', context)).toMatchObject({ status: 'read', massG: 24 });
    expect(readHandLine('red wine vinegar', context)).toMatchObject({ status: 'read', massG: null });
    expect(readHandLine('yoghurt', context)).toMatchObject({ status: 'read', massG: null });
    expect(readHandLine('moonlight', context).status).toBe('unread');
  });

  it('adds up what is named twice, and makes what must be used up a must', () => {
    const found = onHandOf(
      [line('100 g yoghurt'), line('50 g yoghurt', true), line('olive oil'), line('moonlight')],
      context,
    );
    expect(found).toMatchObject([
      { minG: 50, maxG: 150 },
      { minG: 0, maxG: null },
    ]);
  });
});

describe('how it should be', () => {
  const onHand = onHandOf([line('half a lemon'), line('red wine vinegar'), line('olive oil')], context);
  const style = STYLES.find(({ id }) => id === 'lemon_oil')!;

  it('leans measures to an end of the window, and lets a named acid stand alone', () => {
    const { leanings, unread } = readLeanings('something lemony and light, blue', onHand);
    expect(leanings.map(({ word }) => word)).toEqual(['lemony', 'light']);
    expect(unread).toEqual(['blue']);
    const asked = leaningsAsked(leanings, onHand, style);
    expect(asked.onHand.map(({ ingredient }) => ingredient.id)).toEqual(['lemon_juice', 'olive_ev']);
    const { low, high } = style.windows.fat!;
    expect(asked.targets).toEqual([
      { measure: 'fat', value: expect.closeTo(low + 0.15 * (high - low), 9) as number },
    ]);
  });

  it('asks nothing of a measure that the style does not judge', () => {
    const { leanings } = readLeanings('light', onHand);
    expect(leaningsAsked(leanings, onHand, null).targets).toEqual([]);
  });
});
