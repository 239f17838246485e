/**
 * What core/safety says comes back over HTTP as it was said: ingredients entered by hand with what was
 * answered of them, a meter's reading of a jar, formulas inside, batches with the words of their day,
 * labels with two cautions.
 */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  DEFAULT_SETTINGS,
  type BatchRecord,
  type MadeRecord,
  type OwnIngredient,
  type TrialRecord,
} from '#contract';
import { loadMaking, snapshotOf } from '#core/batch';
import {
  ingredientFromLabel,
  measuringWith,
  ownIngredientFromRow,
  REFERENCE_CATALOGUE,
  madeId,
} from '#core/ingredient';
import { exactly } from '#core/quantity';
import { judgePortions, withMade, type JudgedPortion, type Judgement } from '#core/reckoning';
import { labelOf } from '#kitchen/paper';
import { recordSafety } from '#core/safety';
import { labelCautions, saySafetyOfTheDay } from '#words/safety';
import { measuredPh, trialPortions } from '#core/trial';
import { lineOf, planOf, requestOf, thing, vesselOf } from '../core/batch/testing';
import type { RunningKitchen } from './start';
import { addition, Client, sampleFormula, tempFolder, closeDown, openHouse } from './testing/kitchen';
import { PLAIN_LABEL } from '../core/ingredient/testing';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;
const by = { cookId: 'ida', deviceId: 'tablet' };

beforeAll(async () => {
  ({ kitchen, client } = await openHouse(folder));
});
afterAll(() => closeDown(kitchen, folder));

type Amounts = readonly (readonly [id: string, massG: number])[];
const portions = (amounts: Amounts): readonly JudgedPortion[] =>
  amounts.map(([id, massG]) => ({ ingredient: thing(id), form: '', massG: exactly(massG) }));
const grave = ({ cautions }: Judgement): readonly string[] =>
  cautions.filter(({ tier }) => tier === 1).map(({ code }) => code);

describe('an ingredient entered by hand', () => {
  const label = {
    ...PLAIN_LABEL,
    ph: 3.4,
    keepsUnopened: true,
    thickness: null,
  };
  const put = async (id: string, allergensAnswered: boolean): Promise<Judgement> => {
    const read = ingredientFromLabel({
      ...label,
      id,
      name: 'Almond relish',
      allergensEu14: [],
      allergensAnswered,
    });
    if (read.status !== 'read') throw new Error('the label was not read');
    expect((await client.put(`ingredients/${id}`, read.row)).status).toBe(200);
    const rows = (await client.get<OwnIngredient[]>('ingredients')).body;
    const own = ownIngredientFromRow(rows.find((row) => row.id === id)!);
    return judgePortions([
      ...portions([
        ['vin_white5', 30],
        ['olive_ev', 60],
      ]),
      { ingredient: own, form: '', massG: exactly(20) },
    ]);
  };

  it('keeps what was answered: an open list stays open, a closed one closed, and it is always cold', async () => {
    const open = await put('own_open', false);
    expect(open.allergens.missing).toEqual(['Almond relish']);
    expect(open.allergens.probableEu14.map(({ allergen }) => allergen)).toEqual(['nuts (almond)']);
    expect(grave(open)).toEqual(['allergen_unknown']);
    const closed = await put('own_closed', true);
    expect(closed.allergens.missing).toEqual([]);
    expect(grave(closed)).toEqual([]);
    expect([open.keeping.cold, closed.keeping.cold]).toEqual([true, true]);
  });
});

describe('a meter’s reading of a jar', () => {
  it('adds and shortens, and never lengthens or lifts', async () => {
    const lines = [
      { ingredientId: 'garlic', form: 'grated', massG: 6 },
      { ingredientId: 'olive_ev', form: '', massG: 90 },
      { ingredientId: 'water', form: '', massG: 5 },
    ];
    const jar = {
      id: 'metered',
      formulaId: 'house',
      version: 1,
      vesselId: 'swing_top_500',
      lines,
      by,
    };
    await client.post('trials', jar);
    const event = {
      kind: 'measured',
      what: 'ph',
      value: 2.4,
      reading: { source: 'typed', deviceId: '' },
    };
    expect((await client.post('trials/metered/events', { id: 'ph-1', event, by })).status).toBe(201);
    const record = (await client.get<TrialRecord[]>('formulas/house/trials')).body.find(
      ({ id }) => id === 'metered',
    )!;
    const reading = measuredPh(record.events);
    if (reading.status !== 'counts') throw new Error(reading.status);
    const inJar = trialPortions(record.lines, record.events, REFERENCE_CATALOGUE);
    const [plain, metered] = [judgePortions(inJar), judgePortions(inJar, [], reading.value)];
    expect(grave(plain)).toContain('infused_oil');
    expect(grave(metered)).toEqual(grave(plain));
    expect(metered.keeping).toEqual(plain.keeping);
    expect(metered.ph.value).toBe(2.4);
  });
});

describe('a formula inside a formula', () => {
  it('brings its unread lines, its egg and its days, whatever it is stirred into', async () => {
    const mayo = {
      ...sampleFormula('Yolk sauce'),
      additions: [
        addition('a', '17 g', 'egg_yolk', 0),
        addition('b', '20 g', 'vin_white5', 1),
        { ...addition('c', '5 g', 'salt_table', 2), ingredientId: null, ingredientText: 'moonlight' },
      ],
    };
    await client.post('formulas', { id: 'yolk', formula: mayo });
    await client.post('formulas/yolk/versions', { revision: 0 });
    const versions = (await client.get<MadeRecord[]>('formulas/made')).body;
    const catalogue = withMade(REFERENCE_CATALOGUE, versions, (_formula, known) => ({
      catalogue: known,
      measuring: measuringWith('metric'),
      decimalSign: 'point' as const,
    }));
    const inside = catalogue.get(madeId('yolk', 1))!;
    const judged = judgePortions([
      { ingredient: inside, form: '', massG: exactly(5) },
      ...portions([
        ['vin_white5', 60],
        ['sunflower', 60],
      ]),
    ]);
    expect(judged.keeping).toMatchObject({ days: 2, limit: 'raw_egg', cold: true });
    expect(grave(judged)).toEqual(expect.arrayContaining(['raw_egg', 'allergen_unknown']));
    expect(judged.allergens.missing).toEqual(['5 g moonlight']);
  });
});

/** The same formula before and after what may make it milder, as batches: each keeps the words of its day. */
const PAIRS: readonly (readonly [name: string, before: Amounts, added: Amounts])[] = [
  [
    'L1',
    [
      ['soy_sauce', 60],
      ['water', 60],
    ],
    [['vin_white5', 120]],
  ],
  [
    'L2',
    [
      ['lemon_juice', 10],
      ['mustard_dijon', 60],
    ],
    [['lemon_juice', 60]],
  ],
  [
    'L3',
    [
      ['vin_white5', 10],
      ['water', 90],
    ],
    [['vin_white5', 100]],
  ],
  [
    'L4',
    [
      ['olive_ev', 90],
      ['garlic', 5],
    ],
    [['vin_redwine6', 30]],
  ],
  [
    'L5',
    [
      ['egg_yolk', 17],
      ['sunflower', 160],
      ['vin_whitewine6', 6],
    ],
    [['vin_whitewine6', 40]],
  ],
  [
    'L6',
    [
      ['water', 200],
      ['vin_white5', 5],
    ],
    [['vin_white5', 120]],
  ],
  [
    'L7',
    [
      ['water', 100],
      ['salt_table', 5],
    ],
    [['salt_table', 29]],
  ],
];

describe('batches', () => {
  const take = async (
    id: string,
    amounts: Amounts,
  ): Promise<{ sent: Judgement; kept: BatchRecord['plan'] }> => {
    const lines = amounts.map(([ingredientId, massG], i) =>
      lineOf(ingredientId, massG, { id: `${ingredientId}-${i}` }),
    );
    const setting = {
      lines,
      target: { kind: 'volume', volumeMl: 6000 } as const,
      mixingVessel: vesselOf(10_000),
    };
    const [plan, request] = [planOf(setting), requestOf(setting)];
    const sent = judgePortions(portions(amounts));
    const snapshot = snapshotOf(plan, request, {
      target: '6 l',
      toTaste: [],
      styleId: null,
      versionState: 'draft' as const,
      found: recordSafety(sent),
    });
    const loads = plan.loads.map((load, i) => ({
      trialId: `${id}-${i}`,
      making: loadMaking(plan, load, {
        tool: 'stick-pro',
        roomC: 20,
        bottles: {},
        vessel: vesselOf(10_000),
        unread: [],
      }),
    }));
    const about = { id, formulaId: 'house', version: 1, day: '2026-11-26', plan: snapshot, loads, by };
    expect((await client.post('batches', about)).status).toBe(201);
    return { sent, kept: (await client.get<BatchRecord>(`batches/${id}`)).body.plan };
  };

  it.each(PAIRS)('%s: what is said goes into the book and comes back', async (name, before, added) => {
    const one = await take(`${name}-before`, before);
    const other = await take(`${name}-after`, [...before, ...added]);
    for (const { sent, kept } of [one, other]) {
      expect(kept.keeping).toMatchObject({ days: sent.keeping.days, cold: sent.keeping.cold });
      expect(saySafetyOfTheDay(kept.safety).onLabel).toEqual(labelCautions(sent.cautions));
    }
    const milder =
      other.sent.keeping.days > one.sent.keeping.days ||
      (one.sent.keeping.cold && !other.sent.keeping.cold) ||
      grave(one.sent).some((code) => !grave(other.sent).includes(code));
    expect(milder, `${name} needs its rule`).toBe(true);
  });

  it('a label of a batch carries two cautions at most, the eater’s first, and what is not complete', async () => {
    const sent = judgePortions(
      portions([
        ['egg_yolk', 17],
        ['honey', 10],
        ['garlic', 5],
        ['sunflower', 160],
      ]),
      ['60 g almond spread'],
    );
    const label = labelOf({
      batch: {
        plan: recordSafety(sent),
        events: [],
        day: '2026-11-26',
        whole: null,
      } as unknown as BatchRecord,
      settings: DEFAULT_SETTINGS,
    });
    expect(label.cautions).toEqual([
      'Raw egg: not for young, old, pregnant or ill guests',
      'Honey: not under 12 months',
    ]);
    expect(label.allergens).toMatch(
      /^Allergens not complete \(“60 g almond spread”\), eggs, probably nuts \(almond\)/,
    );
    expect(label.useBy).toContain('27');
  });
});
