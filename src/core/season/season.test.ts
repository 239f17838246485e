/** What may never be: a worse band, a shorter hold, a dearer batch, more than there is. Checked on sums made here. */
import { describe, expect, it } from 'vitest';
import { finish, stateOf } from '#core/balance';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { SeededRandom } from '#core/numeric';
import { bandOfScore, STYLES, STYLE_IDS, stylePortions, verdictOf } from '#core/palate';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import { seasonWays } from './season';
import type { SeasonRequest, Stock } from './stock';

const id = (name: string) => name as IngredientId;
const plain = (...of: readonly (readonly [string, number])[]): readonly JudgedPortion[] =>
  of.map(([name, g]) => ({ ingredient: REFERENCE_CATALOGUE.get(id(name))!, form: '', massG: exactly(g) }));
const has = (onHandG: number | null, pricePerG: number | null, mustGo = false): Stock => ({
  onHandG,
  pricePerG,
  mustGo,
});
const CLASSIC = STYLES.find((style) => style.id === 'classic_3_1')!;
const HOUSE = plain(
  ['olive_ev', 60],
  ['walnut_oil', 30],
  ['vin_whitewine6', 30],
  ['mustard_dijon', 8],
  ['salt_table', 1.6],
);
const ask = (of: Partial<SeasonRequest> & Pick<SeasonRequest, 'stock'>) =>
  finish(
    seasonWays({
      ...{
        portions: HOUSE,
        locked: new Set<IngredientId>(),
        calledAfter: new Set<IngredientId>(),
        style: CLASSIC,
        catalogue: REFERENCE_CATALOGUE,
        times: 10,
      },
      ...of,
    }),
  );
const massOf = (portions: readonly JudgedPortion[], name: string): number =>
  portions.reduce((sum, { ingredient, massG }) => sum + (ingredient.id === name ? massG.nominal : 0), 0);

describe('season and price', () => {
  it('takes the cheap oil for the dear one, and says by hand-reckoned sums what it saves', () => {
    const stock = new Map([
      [id('olive_ev'), has(5000, 0.012)],
      [id('walnut_oil'), has(5000, 0.03)],
      [id('rapeseed'), has(5000, 0.003)],
      [id('vin_whitewine6'), has(5000, 0.004)],
      [id('mustard_dijon'), has(500, 0.01)],
      [id('salt_table'), has(500, 0.001)],
    ]);
    const [best] = ask({ stock });
    expect(best!.changes[0]!.to.id).toBe('rapeseed');
    const cost = (portions: readonly JudgedPortion[]): number =>
      portions.reduce(
        (sum, { ingredient, massG }) => sum + massG.nominal * 10 * stock.get(ingredient.id)!.pricePerG!,
        0,
      );
    expect(best!.saving).toBeCloseTo(cost(HOUSE) - cost(best!.portions), 6);
    expect(best!.saving).toBeGreaterThan(4);
    // No measure speaks of walnut: what is less in it is said.
    expect(best!.loses.map(({ ingredient }) => ingredient.id)).toContain('walnut_oil');
    // Nothing is known of it: no answer.
    expect(ask({ stock: new Map() })).toEqual([]);
  });

  it('uses up what must go, no more of it than there is', () => {
    const stock = new Map([
      [id('vin_whitewine6'), has(5000, 0.004)],
      [id('lemon_juice'), has(90, 0.006, true)],
    ]);
    const ways = ask({ stock, times: 2 });
    const [{ usesUp, changes, portions }] = ways as [(typeof ways)[number]];
    expect(changes.some(({ to }) => to.id === 'lemon_juice')).toBe(true);
    expect(usesUp[0]!.massG).toBeGreaterThan(20);
    expect(massOf(portions, 'lemon_juice') * 2).toBeLessThanOrEqual(90 + 1e-6);
    // For a batch of forty there is not enough of it even for half.
    expect(ask({ stock, times: 40 })).toEqual([]);
  });

  it('takes nothing out that it is called after, but for half where something must go', () => {
    const stock = new Map([
      [id('olive_ev'), has(5000, 0.012)],
      [id('walnut_oil'), has(5000, 0.03)],
      [id('rapeseed'), has(5000, 0.003)],
    ]);
    const calledAfter = new Set([id('walnut_oil'), id('olive_ev')]);
    expect(ask({ stock }).length).toBeGreaterThan(0);
    expect(ask({ stock, calledAfter })).toEqual([]);
    const due = new Map(stock).set(id('rapeseed'), { ...stock.get(id('rapeseed'))!, mustGo: true });
    const ways = ask({ stock: due, calledAfter });
    expect(ways.length).toBeGreaterThan(0);
    for (const { portions } of ways) {
      expect(massOf(portions, 'walnut_oil')).toBeGreaterThan(14);
      expect(massOf(portions, 'olive_ev')).toBeGreaterThan(29);
    }
  });

  it('leaves alone what is locked', () => {
    const stock = new Map([
      [id('olive_ev'), has(5000, 0.012)],
      [id('walnut_oil'), has(5000, 0.03)],
      [id('rapeseed'), has(5000, 0.003)],
    ]);
    for (const { portions } of ask({ stock, locked: new Set([id('olive_ev'), id('walnut_oil')]) })) {
      expect(massOf(portions, 'walnut_oil') / massOf(portions, 'olive_ev')).toBeCloseTo(0.5, 6);
    }
  });

  it('never leaves a worse band, a shorter hold, a dearer batch or a stock below nothing', () => {
    const all = [...REFERENCE_CATALOGUE.values()].filter(({ category }) => category !== 'water');
    let found = 0;
    const count = Number(process.env.SEASONS ?? 16);
    for (let seed = 1; seed <= count; seed++) {
      const random = new SeededRandom(seed);
      const styleId = STYLE_IDS[Math.floor(random.next() * STYLE_IDS.length)]!;
      const style = STYLES.find((one) => one.id === styleId)!;
      const recipes = stylePortions(styleId, REFERENCE_CATALOGUE);
      const portions = recipes[Math.floor(random.next() * recipes.length)]!;
      const stock = new Map<IngredientId, Stock>(
        portions.map(({ ingredient }) => [ingredient.id, has(4000 * random.next(), 0.05 * random.next())]),
      );
      for (let i = 0; i < 25; i++) {
        const one = all[Math.floor(random.next() * all.length)]!;
        const price = random.next() < 0.2 ? null : 0.05 * random.next();
        if (!stock.has(one.id)) stock.set(one.id, has(2000 * random.next(), price, random.next() < 0.3));
      }
      const times = 1 + Math.floor(10 * random.next());
      const before = stateOf(portions);
      const band = (of: typeof before): number =>
        ['off', 'doubtful', 'served', 'inside'].indexOf(
          bandOfScore(verdictOf(of.judgement.palate, style).score),
        );
      for (const way of ask({ portions, stock, style, times })) {
        found += 1;
        const after = stateOf(way.portions);
        expect(band(after), `seed ${seed}`).toBeGreaterThanOrEqual(band(before));
        const holds = (of: typeof before): number =>
          ['temporary', 'short', 'semi-stable', 'stable'].indexOf(of.hold?.class ?? 'stable');
        expect(holds(after)).toBeGreaterThanOrEqual(holds(before));
        if (way.usesUp.length === 0) expect(way.effect.newAllergens).toEqual([]);
        expect(after.mixedVolumeMl).toBeCloseTo(before.mixedVolumeMl, 6);
        let dearer: number | null = 0;
        for (const name of new Set([...portions, ...way.portions].map(({ ingredient }) => ingredient.id))) {
          const { onHandG, pricePerG, mustGo } = stock.get(name) ?? has(null, name === 'water' ? 0 : null);
          const [was, is] = [massOf(portions, name) * times, massOf(way.portions, name) * times];
          if (is > was + 1e-6 && name !== 'water') expect(is).toBeLessThanOrEqual((onHandG ?? 0) + 1e-6);
          const paid = mustGo ? (onHandG ?? 0) : 0;
          const more = Math.max(0, is - paid) - Math.max(0, was - paid);
          dearer =
            dearer === null || (pricePerG === null && Math.abs(more) > 1e-9)
              ? null
              : dearer + more * (pricePerG ?? 0);
        }
        if (dearer === null) expect(way.usesUp.length).toBeGreaterThan(0);
        else expect(dearer).toBeLessThanOrEqual(1e-6);
      }
    }
    expect(found).toBeGreaterThan(count / 4);
  }, 240_000);

  it('refuses a batch of nothing', () => {
    expect(() => ask({ stock: new Map(), times: 0 })).toThrow(RangeError);
    expect(ask({ stock: new Map(), portions: [] })).toEqual([]);
  });
});
