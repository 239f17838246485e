/**
 * Simulated tasters with a window of their own near a style. What is asked of the answer stood here before it ran: the
 * style found holds the whole of theirs in at least 9 of 10 after five jars, and is narrower than after none.
 */
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { SeededRandom } from '#core/numeric';
import { finish } from '#core/balance';
import {
  PALATE,
  palateValue,
  STYLE_IDS,
  stylePortions,
  type PalateKey,
  type PalatePortion,
} from '#core/palate';
import { exactly } from '#core/quantity';
import { jarsToMake } from './jarsToMake';
import { bitsOf, learnLiking } from './liking';
import { SAID, type Chip, type LikedJar } from './taster';

const COUNT = Number(process.env.TASTERS ?? 10);
const BALANCE: readonly PalateKey[] = ['acid', 'salt', 'sweet', 'fat', 'body'];
const SHELF = STYLE_IDS.map((id) => stylePortions(id, REFERENCE_CATALOGUE));
const HARSH: Partial<Record<PalateKey, number>> = { garlic: 0.05, heat: 0.008, mustard: 0.1, bitter: 1.2 };

interface Simulated {
  readonly windows: Readonly<Record<string, { readonly low: number; readonly high: number }>>;
  readonly home: number;
}
const valueOf = (portions: readonly PalatePortion[], key: PalateKey): number =>
  palateValue(portions, key) ?? 0;
const pick = <T>(of: readonly T[], random: SeededRandom): T => of[Math.floor(random.next() * of.length)]!;

/** Their middle is a dressing of a style and a step around it; their window 0.8 to 2 steps to either side. */
function simulated(random: SeededRandom): Simulated {
  const home = Math.floor(random.next() * SHELF.length);
  const near = pick(SHELF[home]!, random);
  const own = BALANCE.map((key) => {
    const { step } = PALATE[key];
    const middle = Math.max(0, valueOf(near, key) + step * random.normal());
    const half = step * (0.8 + 1.2 * random.next());
    return [key, { low: Math.max(0, middle - half), high: middle + half }] as const;
  });
  const seasoning = Object.entries(HARSH).map(
    ([key, high]) => [key, { low: 0, high: high * (0.3 + 0.7 * random.next()) }] as const,
  );
  return { home, windows: Object.fromEntries([...own, ...seasoning]) };
}

function says({ windows }: Simulated, portions: readonly PalatePortion[], random: SeededRandom) {
  const off = Object.entries(windows).map(([key, { low, high }]) => {
    const measure = key as PalateKey;
    const value = valueOf(portions, measure);
    const steps = (value < low ? value - low : Math.max(0, value - high)) / PALATE[measure].step;
    return { measure, steps };
  });
  const loss = off.reduce(
    (sum, { measure, steps }) => sum + PALATE[measure].weight * Math.min(3, Math.abs(steps)) ** 2,
    0,
  );
  const slips = random.next() < 0.05;
  const chips = off.flatMap(({ measure, steps }): Chip[] =>
    Math.abs(steps) >= 1 && random.next() < 0.8
      ? [{ measure, says: steps > 0 ? 'too-much' : 'too-little' }]
      : [],
  );
  return { loss, jar: { portions, said: loss <= 1.5 !== slips ? 'liked' : 'not', chips } as LikedJar };
}

function tasted(taster: Simulated, jars: readonly (readonly PalatePortion[])[], random: SeededRandom) {
  const said = jars.map((portions) => says(taster, portions, random));
  const best = said.reduce((a, b) => (b.loss < a.loss ? b : a));
  return said.map(({ jar }) =>
    jar === best.jar && jar.said === 'liked' ? { ...jar, said: 'more' as const } : jar,
  );
}
/** Three of the style they are at home in, two of others. */
const fiveJars = ({ home }: Simulated, random: SeededRandom) => [
  ...Array.from({ length: 3 }, () => pick(SHELF[home]!, random)),
  ...Array.from({ length: 2 }, () => pick(pick(SHELF, random), random)),
];

describe('a liking', () => {
  it('is found as a style that holds the whole of theirs, for 9 of 10 tasters after five jars', () => {
    let [held, sum] = [0, 0];
    for (let seed = 1; seed <= COUNT; seed++) {
      const random = new SeededRandom(seed);
      const taster = simulated(random);
      const { windows, learnt } = finish(
        learnLiking(tasted(taster, fiveJars(taster, random), random), [], seed),
      );
      held += Number(
        Object.entries(taster.windows).every(([key, { low, high }]) => {
          const found = windows[key as PalateKey]!;
          return found.low <= low + 1e-9 && found.high >= high - 1e-9;
        }),
      );
      sum += learnt;
    }
    expect(held / COUNT).toBeGreaterThanOrEqual(0.9);
    // Windows that hold everything would teach nothing.
    expect(sum / COUNT).toBeGreaterThan(0.3);
  }, 300_000);

  it('learns more from the jars it asks for than from jars taken at random', () => {
    let [asked, random] = [0, 0];
    const count = Math.ceil(COUNT / 2);
    for (let seed = 501; seed <= 500 + count; seed++) {
      const dice = new SeededRandom(seed);
      const taster = simulated(dice);
      const start = fiveJars(taster, dice).slice(1, 4);
      const heard = tasted(taster, start, dice);
      const pool = jarsToMake(start[0]!, REFERENCE_CATALOGUE, () => true);
      const { next } = finish(
        learnLiking(
          heard,
          pool.map(({ portions }) => portions),
          seed,
        ),
      );
      const five = (more: readonly (readonly PalatePortion[])[]): number =>
        finish(learnLiking([...heard, ...more.map((one) => says(taster, one, dice).jar)], [], seed)).learnt;
      asked += five(next.slice(0, 2).map(({ index }) => pool[index]!.portions));
      random += five([pick(pool, dice).portions, pick(pool, dice).portions]);
    }
    expect(asked).toBeGreaterThan(random);
  }, 300_000);

  const plain = (...of: readonly (readonly [string, number])[]): readonly PalatePortion[] =>
    of.map(([id, g]) => ({
      ingredient: REFERENCE_CATALOGUE.get(id as IngredientId)!,
      form: '',
      massG: exactly(g),
    }));
  const OILY = plain(['olive_ev', 90], ['vin_whitewine6', 20], ['salt_table', 1.5]);
  const SHARP = plain(['olive_ev', 60], ['vin_whitewine6', 60], ['salt_table', 1.5]);

  it('says the direction that was liked', () => {
    const { direction, windows } = finish(
      learnLiking(
        [
          { portions: OILY, said: 'not', chips: [{ measure: 'acid', says: 'too-little' }] },
          { portions: SHARP, said: 'more', chips: [] },
        ],
        [],
      ),
    );
    expect(direction.find(({ measure }) => measure === 'acid')!.steps).toBeGreaterThan(0);
    expect(windows.acid!.high).toBeGreaterThan(palateValue(SHARP, 'acid')!);
  });

  it('says no direction where every jar was liked alike', () => {
    const liked = [OILY, SHARP].map((portions): LikedJar => ({ portions, said: 'liked', chips: [] }));
    expect(finish(learnLiking(liked, [])).direction).toEqual([]);
    const [one, other] = liked as [LikedJar, LikedJar];
    const not = finish(learnLiking([{ ...one, said: 'not' }, other], [])).direction;
    expect(not.length).toBeGreaterThan(0);
  });

  it('proposes three different jars of what is there, the most telling first', () => {
    const there = new Set(['olive_ev', 'vin_whitewine6', 'salt_table', 'honey', 'mustard_dijon', 'garlic']);
    const pool = jarsToMake(OILY, REFERENCE_CATALOGUE, (id) => there.has(id));
    for (const { portions } of pool)
      for (const { ingredient } of portions) expect([...there, 'water']).toContain(ingredient.id);
    const jars: readonly LikedJar[] = [
      { portions: OILY, said: 'liked', chips: [] },
      { portions: SHARP, said: 'not', chips: [{ measure: 'acid', says: 'too-much' }] },
    ];
    const ask = () =>
      finish(
        learnLiking(
          jars,
          pool.map(({ portions }) => portions),
        ),
      );
    const { next } = ask();
    expect(new Set(next.map(({ index }) => index)).size).toBe(3);
    expect(next[0]!.bits).toBeGreaterThan(0.1);
    for (let i = 1; i < 3; i++) expect(next[i]!.bits).toBeLessThanOrEqual(next[i - 1]!.bits + 1e-9);
    expect(ask()).toEqual(ask());
  });

  // By hand: two tasters who answer yes and no for sure are told apart by one bit; who answer alike, by none.
  it('reckons what an answer tells', () => {
    expect(
      bitsOf([
        [1, 0],
        [0, 1],
      ]),
    ).toBeCloseTo(1, 12);
    expect(
      bitsOf([
        [0.5, 0.5],
        [0.5, 0.5],
      ]),
    ).toBeCloseTo(0, 12);
    expect(bitsOf([])).toBe(0);
  });

  it('refuses too few, too many, and an empty jar', () => {
    const jar = { portions: OILY, said: SAID[0], chips: [] };
    expect(() => finish(learnLiking([jar], []))).toThrow(RangeError);
    expect(() =>
      finish(
        learnLiking(
          Array.from({ length: 6 }, () => jar),
          [],
        ),
      ),
    ).toThrow(RangeError);
    expect(() => finish(learnLiking([jar, { ...jar, portions: [] }], []))).toThrow(RangeError);
  });
});
