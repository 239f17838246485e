/** Lists of a kitchen, a window at a time. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type {
  BatchList,
  BatchRecord,
  KitchenNews,
  MadeRecord,
  ShelfAnswer,
  ShelfChoices,
  ShelfRecord,
  StyleSaid,
} from '#contract';
import { madeId, type IngredientId } from '#core/ingredient';
import type { HoldLesson } from '#core/trial';
import type { RunningKitchen } from './start';
import {
  addition,
  allFormulas,
  Client,
  closeDown,
  openKitchen,
  sampleFormula,
  tempFolder,
} from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;
beforeAll(async () => {
  kitchen = await openKitchen(folder, { demo: true });
  client = new Client(kitchen.address);
});
afterAll(() => closeDown(kitchen, folder));

/** Asked until all of it was looked into. */
async function shelf(query: string): Promise<ShelfAnswer> {
  for (;;) {
    const { status, body } = await client.get<ShelfAnswer>(`formulas?${query}`);
    expect(status).toBe(200);
    if (body.pending === 0) return body;
  }
}
const ids = ({ records }: ShelfAnswer): string[] => records.map(({ id }) => id);
const names = ({ records }: ShelfAnswer): string[] => records.map(({ formula }) => formula.name);

describe('the shelf, over HTTP', () => {
  it('in windows that make up the whole, each once', async () => {
    const whole = await shelf('limit=100');
    expect(whole.total).toBe(whole.records.length);
    const found: string[] = [];
    for (let offset = 0; offset < whole.total; offset += 3) {
      const part = await shelf(`offset=${offset}&limit=3`);
      expect([part.total, part.offset]).toEqual([whole.total, offset]);
      found.push(...ids(part));
    }
    expect(found).toEqual(ids(whole));
    expect(ids(await shelf(`offset=${whole.total + 5}`))).toEqual([]);
  });

  it('by words of name and ingredients, whatever their case and accents', async () => {
    const all = (await shelf('limit=100')).records;
    const word = all[0]!.formula.additions[0]!.ingredientText.split(/[\s,]+/).at(-1)!;
    const found = await shelf(`q=${encodeURIComponent(word.toUpperCase())}`);
    expect(ids(found)).toContain(all[0]!.id);
    expect(found.total).toBeLessThanOrEqual(found.here);
    expect(ids(await shelf('q=nothing-is-called-so'))).toEqual([]);
  });

  it('clear and creamy ones part the shelf, and an allergen avoided is in none', async () => {
    const all = ids(await shelf('limit=100'));
    const [clear, creamy] = [ids(await shelf('kind=clear')), ids(await shelf('kind=creamy'))];
    expect(clear.filter((id) => creamy.includes(id))).toEqual([]);
    expect([...clear, ...creamy].every((id) => all.includes(id))).toBe(true);
    const { allergens, acids } = (await client.get<ShelfChoices>('formulas/choices')).body;
    expect([allergens, acids]).toEqual([expect.arrayContaining(['mustard']), expect.any(Array)]);
    const without = await shelf('avoid=mustard&limit=100');
    const mustard = without.records.filter(({ formula }) =>
      formula.additions.some(({ ingredientText }) => /mustard|dijon/i.test(ingredientText)),
    );
    expect(mustard).toEqual([]);
    const acid = acids[0]!;
    expect(ids(await shelf(`acid=${encodeURIComponent(acid)}`)).every((id) => all.includes(id))).toBe(true);
  });

  it('in the order that is asked for', async () => {
    const byName = names(await shelf('sort=name&limit=100'));
    expect(byName).toEqual([...byName].sort((a, b) => a.localeCompare(b)));
    const changed = (await shelf('sort=changed&limit=100')).records.map(({ updatedAt }) => updatedAt);
    expect(changed).toEqual([...changed].sort().reverse());
    expect(ids(await shelf('sort=largest&limit=100')).sort()).toEqual(ids(await shelf('limit=100')).sort());
  });

  it('says how each stands, and finds those that stand so', async () => {
    const all = await allFormulas(client);
    const byState = new Map<string, string[]>();
    for (const { state, id, shelf: place } of all)
      if (place === 'shelf') byState.set(state, [...(byState.get(state) ?? []), id]);
    expect(byState.size).toBeGreaterThan(1);
    for (const [state, wanted] of byState)
      expect(ids(await shelf(`state=${state}&limit=100`)).sort()).toEqual(wanted.sort());
  });

  it('by ids wherever they stand, and only those with a version', async () => {
    const [one] = (await shelf('')).records;
    await client.post(`formulas/${one!.id}/shelf`, { shelf: 'archive' });
    expect(ids(await shelf('limit=100'))).not.toContain(one!.id);
    const asked = await shelf(`ids=${one!.id},nobody`);
    expect([ids(asked), asked.total]).toEqual([[one!.id], 1]);
    await client.post(`formulas/${one!.id}/shelf`, { shelf: 'shelf' });
    await client.post('formulas', { id: 'unfrozen', formula: sampleFormula('Never frozen') });
    const frozen = await shelf('frozen=1&limit=100');
    expect(frozen.records.every(({ latestNumber }) => latestNumber > 0)).toBe(true);
    expect([ids(frozen).includes('unfrozen'), ids(await shelf('limit=100')).includes('unfrozen')]).toEqual([
      false,
      true,
    ]);
  });

  it('sees what was changed since, by whatever way', async () => {
    await client.post('formulas', { id: 'fresh', formula: sampleFormula('Fresh as paint') });
    expect(ids(await shelf('q=paint'))).toEqual(['fresh']);
    await client.post('formulas/fresh/changes', {
      baseRevision: 0,
      idempotencyKey: 'a-walnut-in-it',
      diff: { added: [addition('w', '20 g', 'walnut', 9)], removed: [], updated: [] },
    });
    expect(ids(await shelf('q=paint walnut'))).toEqual(['fresh']);
    await client.post('formulas/fresh/shelf', { shelf: 'bin' });
    expect(ids(await shelf('q=paint'))).toEqual([]);
    expect(ids(await shelf('q=paint&place=bin'))).toEqual(['fresh']);
  });

  it.each(['place=attic', 'limit=0', 'limit=1000', 'offset=-1', 'sort=luck', 'ids=a%2Fb', 'page=2'])(
    'refuses %s',
    async (query) => {
      expect((await client.get(`formulas?${query}`)).status).toBe(400);
    },
  );
});

describe('what may go into a formula', () => {
  const keysOf = (records: readonly MadeRecord[]) =>
    records.map(({ formulaId, number }) => `${formulaId} ${number}`);
  const freeze = async (id: string): Promise<void> => {
    const { body } = await client.get<ShelfRecord>(`formulas/${id}`);
    await client.post(`formulas/${id}/versions`, { revision: body.revision });
  };

  it('is the latest sixty, what is in use, and what is asked for by name with all that lies in it', async () => {
    await client.post('formulas', { id: 'inner', formula: sampleFormula('Oldest of all, inside') });
    await freeze('inner');
    const inner: IngredientId = madeId('inner', 1);
    const outer = sampleFormula('Oldest of all, outside 100% _');
    await client.post('formulas', {
      id: 'outer',
      formula: { ...outer, additions: [...outer.additions, addition('nested', '50 g', inner, 9)] },
    });
    await freeze('outer');
    for (let n = 0; n < 61; n++) {
      await client.post('formulas', { id: `later-${n}`, formula: sampleFormula(`Later ${n}`) });
      await freeze(`later-${n}`);
    }
    const atHand = keysOf((await client.get<MadeRecord[]>('formulas/made')).body);
    expect(atHand).toContain('later-60 1');
    expect(atHand).toContain('inner 1');
    expect(atHand).not.toContain('outer 1');
    const named = async (q: string) =>
      keysOf((await client.get<MadeRecord[]>(`formulas/made?q=${encodeURIComponent(q)}`)).body);
    expect((await named('OLDEST outside')).sort()).toEqual(['inner 1', 'outer 1']);
    expect((await named('100% _')).sort()).toEqual(['inner 1', 'outer 1']);
    expect(await named('%')).toEqual(await named('100%'));
    expect(await named('nothing is called so')).toEqual([]);
  });
});

describe('what happened, in short', () => {
  it('news name their formulas; lessons and tastings are of the latest jars', async () => {
    const news = (await client.get<KitchenNews>('log/news')).body;
    const named = [...news.week, ...news.failing, ...news.drifting, ...news.bottles];
    expect(named.length).toBeGreaterThan(0);
    for (const { formulaId } of named) expect(news.names[formulaId]).toBeTruthy();
    const said = (await client.get<StyleSaid[]>('log/said')).body;
    expect(said.flatMap(({ observations }) => observations).length).toBeGreaterThan(0);
    expect((await client.get<HoldLesson[]>('log/lessons')).status).toBe(200);
  });

  it('batches by days, by a day, and of a formula', async () => {
    const days = (await client.get<string[]>('batches/days')).body;
    expect(days).toEqual([...days].sort().reverse());
    const of = async (query: string) => (await client.get<BatchRecord[]>(`batches?${query}`)).body;
    const first = await of(`day=${days[0]!}`);
    expect(first.length).toBeGreaterThan(0);
    const since =
      days.find(
        (day) =>
          Date.parse(days[0]!) - Date.parse(day) > 0 &&
          Date.parse(days[0]!) - Date.parse(day) <= 31 * 86_400_000,
      ) ?? days[0]!;
    const month = await of(`from=${since}&to=${days[0]!}`);
    expect(month.map(({ id }) => id)).toEqual(expect.arrayContaining(first.map(({ id }) => id)));
    expect((await client.get('batches?from=2026-01-01&to=2026-12-31')).status).toBe(400);
    expect((await client.get('batches?day=2026-02-31')).status).toBe(400);
    const { batches, more } = (await client.get<BatchList>(`formulas/${first[0]!.formulaId}/batches`)).body;
    expect(batches.map(({ id }) => id)).toContain(first[0]!.id);
    expect(more).toBe(false);
    const beyond = `formulas/${first[0]!.formulaId}/batches?offset=${batches.length}`;
    expect((await client.get<BatchList>(beyond)).body).toEqual({ batches: [], more: false });
  });
});
