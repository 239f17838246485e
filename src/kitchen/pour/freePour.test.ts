import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS } from '#contract';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import type { VesselId } from '#core/formula';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { trialLines, stepStates, currentStep, type LoggedEvent } from '#core/trial';
import { STARTING_VESSELS } from '#core/vessel';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import {
  emptyPour,
  linesOf,
  massOf,
  named,
  portionsIn,
  pouredFormula,
  pouredJar,
  rested,
  takenOut,
  undone,
  unnamedIn,
  volumeOf,
  withThing,
  withWatched,
  withWhileAway,
  knownDressings,
  type FreePour,
  type PouredThing,
} from '.';

const kitchen: Kitchen = {
  settings: DEFAULT_SETTINGS,
  vessels: STARTING_VESSELS,
  catalogue: REFERENCE_CATALOGUE,
  pantry: {},
  own: { byId: new Map(), now: () => null },
};
const SCALE = { source: 'device', deviceId: 'scale-1' } as const;
const id = (text: string) => text as IngredientId;
let count = 0;
const newId = (): string => `id${++count}`;
const empty = (): FreePour => emptyPour('jam_370' as VesselId, newId);
const course = { id: 'course', startedAtMs: 1000, afterGap: false };
const pours = (...masses: readonly number[]) =>
  masses.map((massG, i) => ({ fromS: i * 5, toS: i * 5 + 2, massG, kind: 'stream' as const }));
const thing = (over: Partial<PouredThing>): PouredThing => ({
  id: newId(),
  fromMs: ++count,
  atMs: count,
  massG: 10,
  raisedMl: null,
  kind: 'spoonful',
  ingredientId: null,
  form: '',
  said: '',
  reading: SCALE,
  ...over,
});

describe('a jar that fills', () => {
  it('takes over what the scale says now, and keeps the names that were given', () => {
    const first = withWatched(empty(), course, pours(30), SCALE);
    const [vinegar] = first.things;
    const known = named(first, vinegar!.id, id('vin_redwine6'));
    const more = withWatched(known, course, pours(31.5, 80), SCALE);
    expect(more.things.map(({ massG, ingredientId }) => [massG, ingredientId])).toEqual([
      [31.5, 'vin_redwine6'],
      [80, null],
    ]);
    expect(withWatched(more, course, pours(31.5, 80), SCALE)).toBe(more);
    // A hand that leaned on it is gone again.
    expect(withWatched(more, course, pours(31.5), SCALE).things).toHaveLength(1);
    // The next course begins; what was before stays.
    expect(withWatched(more, { ...course, id: 'next' }, [], SCALE).things).toEqual(more.things);
  });

  it('knows each by when it was: one that becomes two, two that become one, keep their names', () => {
    const at = (fromS: number, toS: number, massG: number) => ({
      fromS,
      toS,
      massG,
      kind: 'stream' as const,
    });
    const ids = (one: FreePour) => one.things.map(({ massG, ingredientId }) => [massG, ingredientId]);
    const first = withWatched(empty(), course, [at(10, 14, 40)], SCALE);
    const known = named(first, first.things[0]!.id, id('vin_redwine6'));
    // Something before it is made out only now.
    const two = withWatched(known, course, [at(6, 7, 3), at(10.1, 14.2, 41)], SCALE);
    expect(ids(two)).toEqual([
      [3, null],
      [41, 'vin_redwine6'],
    ]);
    const one = withWatched(two, course, [at(6, 14.2, 44)], SCALE);
    expect(ids(one)).toEqual([[44, 'vin_redwine6']]);
    const out = takenOut(two, two.things[0]!.id);
    expect(ids(withWatched(out, course, [at(6.1, 7.1, 3.2), at(10.1, 14.2, 41)], SCALE))).toEqual([
      [41, 'vin_redwine6'],
    ]);
  });

  it('leaves out what is not in it, and undo takes back deed by deed, never a weight', () => {
    const both = withWatched(empty(), course, pours(30, 80), SCALE);
    const [a, b] = both.things;
    const out = takenOut(named(both, a!.id, id('vin_redwine6')), b!.id);
    expect(withWatched(out, course, pours(30, 80), SCALE).things).toHaveLength(1);
    const back = undone(out);
    expect(withWatched(back, course, pours(30, 80), SCALE).things).toHaveLength(2);
    const grown = withWatched(back, course, pours(33, 80), SCALE);
    const unnamed = undone(grown);
    expect(unnamed.things.map(({ massG, ingredientId }) => [massG, ingredientId])).toEqual([
      [33, null],
      [80, null],
    ]);
    expect(undone(unnamed)).toBe(unnamed);
    const added = withThing(unnamed, thing({ ingredientId: id('honey') }));
    expect(undone(added).things).toEqual(unnamed.things);
  });

  it('says what came in while nobody looked, not what was set down, nor a flicker', () => {
    const at = { id: 'away', fromMs: 1, atMs: 1, reading: SCALE };
    const before = rested(empty(), 400, 0.1);
    expect(withWhileAway(before, 425, 0.1, at).things).toMatchObject([{ massG: 25, ingredientId: null }]);
    expect(withWhileAway(before, 425, 0.1, at).restedAtG).toBe(425);
    for (const restsAtG of [400.4, 390, 0, 760])
      expect(withWhileAway(before, restsAtG, 0.1, at).things).toEqual([]);
    expect(withWhileAway(empty(), 300, 0.1, at).things).toEqual([]);
    expect(rested(before, 400.1, 0.1)).toBe(before);
    // The course that found it has nothing to say of it.
    const found = withWhileAway(before, 425, 0.1, { ...at, id: 'away-course' });
    expect(withWatched(found, course, [], SCALE).things).toEqual(found.things);
  });

  it('turns a level into a weight by what it turns out to be', () => {
    const level = thing({ massG: null, raisedMl: 100 });
    expect(massOf(level, REFERENCE_CATALOGUE)).toBe(100);
    const oil = { ...level, ingredientId: id('olive_ev') };
    // An oil of 0.91 g/ml; from memory (food chemistry handbook).
    expect(massOf(oil, REFERENCE_CATALOGUE)).toBeGreaterThan(90);
    expect(massOf(oil, REFERENCE_CATALOGUE)).toBeLessThan(93);
    expect(volumeOf({ things: [oil] }, REFERENCE_CATALOGUE)).toBeCloseTo(100, 6);
    expect(volumeOf({ things: [level] }, REFERENCE_CATALOGUE)).toBe(100);
  });

  it('loses no gram, however it was poured, named and summed', () => {
    const masses = fc.array(fc.double({ min: 0.2, max: 300, noNaN: true }), { minLength: 1, maxLength: 12 });
    const names = fc.array(fc.constantFrom(null, 'olive_ev', 'vin_redwine6', 'honey', 'salt_table'), {
      minLength: 12,
      maxLength: 12,
    });
    fc.assert(
      fc.property(masses, names, (all, called) => {
        const poured = withWatched(empty(), course, pours(...all), SCALE);
        const said = poured.things.reduce(
          (now, one, i) => named(now, one.id, called[i] ? id(called[i]) : null),
          poured,
        );
        const inLines = linesOf(said, REFERENCE_CATALOGUE).reduce((sum, { massG }) => sum + massG, 0);
        const unnamed = unnamedIn(said).reduce((sum, one) => sum + massOf(one, REFERENCE_CATALOGUE), 0);
        expect(inLines + unnamed).toBeCloseTo(
          all.reduce((a, b) => a + b, 0),
          6,
        );
        const ids = portionsIn(said, REFERENCE_CATALOGUE).map(({ ingredient }) => ingredient.id);
        expect(new Set(ids).size).toBe(ids.length);
      }),
    );
  });
});

const logged = (events: readonly Pick<LoggedEvent, 'id' | 'event'>[]): readonly LoggedEvent[] =>
  events.map((one) => ({ ...one, at: '2026-01-05T10:00:00.000Z' }));

describe('what was poured, written down', () => {
  const salted = thing({ massG: 1.4, ingredientId: id('salt_table'), kind: 'pinch' });
  const spoon = thing({ massG: 21, ingredientId: id('honey'), said: '1 tbsp' });
  const pour: FreePour = {
    ...empty(),
    things: [
      thing({ massG: 30, ingredientId: id('vin_redwine6') }),
      salted,
      spoon,
      thing({ massG: 40, ingredientId: id('olive_ev') }),
      thing({ massG: 25, ingredientId: id('olive_ev') }),
    ],
  };
  const written = (from: FreePour) => {
    const formula = pouredFormula(from, 'Poured', kitchen, 'without a name yet');
    const vessel = vesselOf(formula, kitchen.vessels);
    const reckoning = reckonFormula(formula, vessel, contextFor(formula, kitchen));
    return { formula, reckoning, judgement: judgeFormula(reckoning) };
  };

  it('is a formula whose amounts a cook measures: within a tenth of what went in', () => {
    const { formula, reckoning } = written(pour);
    expect(formula.additions.map(({ amountText }) => amountText)).toContain('1 tbsp');
    for (const { ingredient, massG } of linesOf(pour, REFERENCE_CATALOGUE)) {
      const line = reckoning.portions.find((one) => one.ingredient.id === ingredient.id)!;
      expect(Math.abs(line.massG.nominal / massG - 1)).toBeLessThan(0.1);
    }
  });

  it('is a jar with what really went in, pour by pour, and nothing left to do', () => {
    const { formula } = written(pour);
    const { making, events } = pouredJar(formula, pour, 'shake', kitchen);
    const log = logged(events);
    const lines = trialLines([], log);
    const massOfId = (wanted: string): number =>
      lines.reduce((sum, line) => (line.ingredientId === wanted ? sum + line.massG : sum), 0);
    expect(massOfId('olive_ev')).toBeCloseTo(65, 9);
    expect(massOfId('honey')).toBeCloseTo(21, 9);
    expect(massOfId('vin_redwine6')).toBeCloseTo(30, 9);
    const states = stepStates(making.steps, log);
    expect(currentStep(states)).toBeNull();
    expect(states.some(({ status }) => status === 'disputed')).toBe(false);
    // Put down twice, it is the same.
    expect(pouredJar(formula, pour, 'shake', kitchen).events).toEqual(events);
  });

  it('keeps what nobody named as a line that cannot be read: no allergen is ruled out', () => {
    const { judgement, formula } = written({ ...pour, things: [...pour.things, thing({ massG: 12 })] });
    expect(judgement.allergens.missing).toEqual(['12.0 g without a name yet']);
    expect(judgement.keeping.days ?? 0).toBeLessThanOrEqual(3);
    const { making, events } = pouredJar(formula, pour, 'shake', kitchen);
    expect(currentStep(stepStates(making.steps, logged(events)))).toBeNull();
  });

  it('knows the dressings of a kitchen before those of the styles', () => {
    const { formula } = written(pour);
    const known = knownDressings([formula], kitchen);
    expect(known[0]!.weight).toBeGreaterThan(Math.max(...known.slice(1).map(({ weight }) => weight)));
    expect(known[0]!.lines.map(({ ingredientId }) => ingredientId)).toContain('olive_ev');
    expect(known.length).toBeGreaterThan(20);
  });
});
