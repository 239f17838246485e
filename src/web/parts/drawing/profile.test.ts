import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PALATE, STYLES } from '#core/palate';
import { judgePortions } from '#core/reckoning';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import { profileRows } from '../palateProfile';
import { BELT, placeOf } from './profilePlace';

const window = { low: 0.01, high: 0.02 };
const step = 0.002;
const value = fc.double({ min: 0, max: 1, noNaN: true });

describe('the drawn palate', () => {
  it('lies on one scale: in the belt exactly where it is in its band, further out the further it is off, never off the page', () => {
    fc.assert(
      fc.property(value, value, (one, other) => {
        const [x, y] = [placeOf({ value: one, window, step })!, placeOf({ value: other, window, step })!];
        for (const at of [x, y]) expect(at >= 0 && at <= 1).toBe(true);
        expect(x >= BELT.from && x <= BELT.to).toBe(one >= window.low && one <= window.high);
        if (one < other) expect(x).toBeLessThanOrEqual(y);
      }),
    );
    expect(placeOf({ value: 0.015, window, step })).toBeCloseTo(0.5, 9);
  });

  it('has no place where nothing is known or the style asks for nothing', () => {
    expect(placeOf({ value: null, window, step })).toBeNull();
    expect(placeOf({ value: 0.01, window: undefined, step })).toBeNull();
    // A band that is a line is met in the middle.
    expect(placeOf({ value: 0.01, window: { low: 0.01, high: 0.01 }, step })).toBeCloseTo(0.5, 9);
  });

  it('says in a word what is outside, and reads it aloud; a hair outside is no word', () => {
    const style = STYLES.find(({ id }) => id === 'classic_3_1')!;
    const jar = (salt: number) =>
      judgePortions(
        Object.entries({ olive_ev: 90, vin_redwine6: 33, salt_table: salt }).map(([id, massG]) => ({
          ingredient: REFERENCE_CATALOGUE.get(id as IngredientId)!,
          massG: exactly(massG),
          form: '',
        })),
      ).palate;
    const saltOf = (salt: number) =>
      profileRows(jar(salt), style, 'point').find(({ measure }) => measure === 'salt')!;
    expect(saltOf(8)).toMatchObject({ off: 'salty', state: 'salty' });
    expect(saltOf(0.1)).toMatchObject({ off: 'flat' });
    const { low, high } = style.windows.salt!;
    const middle = saltOf((124 * (low + high)) / 2);
    expect(middle).toMatchObject({ off: '', state: 'right' });
    const palate = jar(8);
    const hair = { ...palate, salt: { ...palate.salt, value: high + PALATE.salt.step / 8 } };
    expect(profileRows(hair, style, 'point').find(({ measure }) => measure === 'salt')!.off).toBe('');
  });
});
