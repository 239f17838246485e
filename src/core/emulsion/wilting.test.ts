import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS, type IngredientId } from '#core/ingredient';
import { hold } from './hold';
import { askPantry } from './testFixture';
import { drawnBy, wiltedAfterS, WILTING_S, wiltsOf } from './wilting';

const get = (id: string) => REFERENCE_CATALOGUE.get(id as IngredientId)!;

describe('water from what is cut', () => {
  it('comes from cucumber most, from leaves and onion some, from juice, oil and dried things none', () => {
    expect(wiltsOf(get('cucumber'))).toBeGreaterThan(wiltsOf(get('onion_red')));
    for (const id of ['parsley', 'onion_red', 'strawberry'])
      expect(wiltsOf(get(id)), id).toBeGreaterThan(0.05);
    for (const id of ['lemon_juice', 'olive_ev', 'raisins', 'oregano_dry', 'salt_table', 'yoghurt_whole'])
      expect(wiltsOf(get(id)), id).toBe(0);
    for (const row of REFERENCE_INGREDIENTS) expect(wiltsOf(row), row.id).toBeLessThanOrEqual(0.25);
  });

  it('comes with salt, and with time', () => {
    expect(drawnBy(0)).toBeLessThan(drawnBy(0.005));
    expect(drawnBy(0.02)).toBe(1);
    expect(wiltedAfterS(0)).toBeCloseTo(0, 9);
    expect(wiltedAfterS(1 - Math.exp(-1))).toBeCloseTo(WILTING_S, 6);
    expect(wiltedAfterS(1)).toBe(Infinity);
  });

  it('a salted cucumber in yoghurt waters it within hours, and says so; a little chive does not', () => {
    const yoghurt = '200 g yoghurt_whole, 2.5 g salt_table';
    const plain = hold(askPantry(yoghurt, 'fork', 5))!;
    const cucumber = hold(askPantry(`${yoghurt}, 150 g cucumber_raw`, 'fork', 5))!;
    expect(cucumber.medianS!).toBeLessThan(plain.medianS! / 3);
    expect(cucumber.medianS! / 3600).toBeGreaterThan(0.1);
    expect([cucumber.limitedBy, cucumber.firstLayer]).toEqual(['pieces', 'watery']);
    const chives = hold(askPantry(`${yoghurt}, 4 g chives`, 'fork', 5))!;
    expect(chives.medianS! / plain.medianS!).toBeGreaterThan(0.7);
  });
});
