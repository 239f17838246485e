import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { formulateJsonSchema } from '#contract';
import { reckon } from './testing';

const KEYS = [
  ...['additions', 'unread', 'massG', 'mixedVolumeMl', 'oilToAcidVolumeRatio', 'oilToAcidMassRatio'],
  ...['oilMassFraction', 'fatMassFraction', 'oilVolumeFraction', 'waterMassFraction'],
  ...['saltEquivalentMassFraction', 'sugarMassFraction', 'ranges'],
  ...['titratableAcidityMeqPer100G', 'tastedAcidityAsAceticMassFraction', 'ph', 'waterActivity'],
  ...['sucroseEquivalentMassFraction', 'sugarToAcidRatio', 'energyKcalPer100G'],
  ...['allergens', 'cautions', 'keepingDays'],
];

describe('reckon', () => {
  it('prints one object with the agreed keys', () => {
    const { status, stdout } = reckon(
      '90 ml extra-virgin olive oil\n30 ml vin_redwine6\na pinch of salt\n',
      '--json',
    );
    const result = JSON.parse(stdout) as Record<string, unknown>;
    expect(status).toBe(0);
    for (const key of KEYS) expect(result).toHaveProperty(key);
    // 90 ml × 0.913 g/ml to 30 ml × 1.010 g/ml, table densities.
    expect(result.oilToAcidMassRatio).toBeCloseTo(2.712, 3);
    expect(result.additions).toMatchObject([
      { ingredientId: 'olive_ev', massG: { nominal: 82.17 } },
      { ingredientId: 'vin_redwine6' },
      { text: 'a pinch of salt', ingredientId: 'salt_table', massG: { low: 0.244 } },
    ]);
  });

  it('keeps what it cannot read, prints the rest, and exits 1', () => {
    const { status, stdout } = reckon('90 ml olive oil\nsome moonlight\n', '--json');
    const result = JSON.parse(stdout) as { unread: unknown[]; massG: number };
    expect(status).toBe(1);
    expect(result.unread).toMatchObject([{ line: 2, text: 'some moonlight' }]);
    expect(result.massG).toBeCloseTo(82.17, 2);
  });

  it('measures in the spoons it is told to, and refuses those it does not know', () => {
    const tablespoon = (spoons: string): number =>
      (JSON.parse(reckon('1 tbsp water', '--json', '--spoons', spoons).stdout) as { massG: number }).massG;
    expect(tablespoon('au') / tablespoon('metric')).toBeCloseTo(20 / 15, 9);
    const wrong = reckon('', '--spoons', 'roman');
    expect([wrong.status, wrong.stderr.includes('us|metric|imperial|au')]).toEqual([2, true]);
    expect(reckon('', 'no-such-file.txt').status).toBe(2);
  });

  it('judges against a style, and says cautions and keeping', () => {
    const { stdout } = reckon(
      '90 ml olive oil\n30 ml white vinegar\n4 g salt\n1 yolk\n',
      '--json',
      '--style',
      'classic_3_1',
    );
    const result = JSON.parse(stdout) as Record<string, unknown>;
    const verdict = result.verdict as { style: string; reasons: unknown[] };
    expect(verdict.style).toBe('classic_3_1');
    expect(verdict.reasons[0]).toMatchObject({ measure: 'salt', direction: 'high' });
    expect(result.keepingDays).toMatchObject({ days: 2, reason: 'raw_egg' });
    expect(result.cautions).toContainEqual(expect.objectContaining({ code: 'raw_egg', limit: null }));
    expect(result.ph).toMatchObject({
      status: expect.any(String) as string,
      reasons: expect.any(Array) as string[],
    });
    expect(reckon('', '--style', 'nobody').status).toBe(2);
  });

  it('prints a table for people', () => {
    const { stdout } = reckon('90 ml olive oil\n30 ml cider vinegar');
    expect(stdout).toMatch(/oil to acid by volume\s+3\.00 : 1/);
  });
});

describe('reckon, the way into the band', () => {
  const SHARP = '60 ml olive oil\n40 ml red wine vinegar\n1.7 g salt\n';
  const json = (stdout: string) => JSON.parse(stdout) as Record<string, unknown>;

  it('ranks remedies that fit the room, and refuses what is no complaint', () => {
    const { stdout } = reckon(
      SHARP,
      '--json',
      '--style',
      'classic_3_1',
      '--mend',
      'too-sharp',
      '--room',
      '100ml',
    );
    const remedies = json(stdout).remedies as {
      plan: string;
      additions: { ingredientId: string; massG: number }[];
      growsByMl: number;
      partial: boolean;
      burden: number;
    }[];
    // Far too sharp: sweetness would hide nothing, and water alone goes part of the way.
    expect(remedies[0]).toMatchObject({ plan: 'dilute', partial: false });
    expect(remedies.map(({ plan }) => plan)).not.toContain('cover');
    expect(remedies.find(({ plan }) => plan === 'thin')).toMatchObject({ partial: true });
    expect(json(stdout).impossible).toEqual([]);
    expect([...remedies].sort((a, b) => a.burden - b.burden)).toEqual(remedies);
    for (const { growsByMl } of remedies) expect(growsByMl).toBeLessThanOrEqual(100);
    const wrong = reckon(SHARP, '--mend', 'too-blue');
    expect([wrong.status, wrong.stderr.includes('too-sharp')]).toEqual([2, true]);
    expect(reckon('', '--mend', 'too-sharp').status).toBe(2);
    expect(reckon(SHARP, '--mend', 'too-sharp', '--room', 'plenty').status).toBe(2);
  });

  it('uses only what is allowed, and takes half a step for severity 1', () => {
    const grams = (severity: string): number => {
      const { stdout } = reckon(SHARP, '--mend', 'too-sharp', '--severity', severity, '--allow', 'olive_ev');
      const [first] = json(stdout).remedies as { additions: { ingredientId: string; massG: number }[] }[];
      expect(first!.additions.map(({ ingredientId }) => ingredientId)).toEqual(['olive_ev']);
      return first!.additions[0]!.massG;
    };
    expect(grams('1')).toBeLessThan(grams('2'));
    expect(reckon(SHARP, '--mend', 'too-sharp', '--allow', 'moonlight').status).toBe(2);
  });

  it('swaps and rounds', () => {
    const { stdout } = reckon(
      '90 ml olive oil\n30 ml lemon juice\n1.5 g salt',
      '--swap',
      'lemon_juice=vin_whitewine6',
      '--round',
      'spoons',
    );
    const { swaps, rounded } = json(stdout) as {
      swaps: {
        changes: { ingredientId: string; replaces: string | null; toG: number }[];
        newAllergens: string[];
      }[];
      rounded: { loss: number; naiveLoss: number; proven: boolean };
    };
    expect(swaps[0]!.changes[0]).toMatchObject({ ingredientId: 'vin_whitewine6', replaces: 'lemon_juice' });
    expect(swaps[0]!.newAllergens).toEqual(['sulphites']);
    expect(rounded.proven).toBe(true);
    expect(rounded.loss).toBeLessThanOrEqual(rounded.naiveLoss);
    expect(reckon('90 ml olive oil', '--swap', 'lemon_juice=').status).toBe(2);
    expect(reckon('90 ml olive oil', '--round', 'handfuls').status).toBe(2);
  });

  it('formulates from a JSON file whose form is published', () => {
    const ask = {
      volumeMl: 300,
      styleId: 'creamy_yoghurt',
      onHand: [
        { ingredientId: 'yoghurt_whole', maxG: 250 },
        { ingredientId: 'olive_ev' },
        { ingredientId: 'salt_table' },
        { ingredientId: 'water' },
      ],
      locks: [{ ingredientId: 'lemon_juice', massG: 15 }],
    };
    const { stdout, status } = reckon(JSON.stringify(ask), '--formulate', '-');
    const { formulate } = json(stdout) as {
      formulate: {
        answers: { additions: { ingredientId: string; massG: number }[]; mixedVolumeMl: number }[];
      };
    };
    expect(status).toBe(0);
    expect(formulate.answers[0]!.mixedVolumeMl).toBeCloseTo(300, 3);
    expect(formulate.answers[0]!.additions).toContainEqual({
      ingredientId: 'lemon_juice',
      massG: expect.closeTo(15, 6) as number,
    });
    const wrong = reckon(JSON.stringify({ ...ask, volumeMl: -1 }), '--formulate', '-');
    expect([wrong.status, wrong.stderr.includes('volumeMl')]).toEqual([2, true]);
    const published = JSON.parse(
      readFileSync(join(import.meta.dirname, '../../docs/formulate.schema.json'), 'utf8'),
    ) as unknown;
    expect(published).toEqual(formulateJsonSchema());
  });
});

describe('reckon, the hold', () => {
  it('says how long it holds, in SI keys, with what keeping allows', () => {
    const text = '123.4 g extra-virgin olive oil\n45.5 g red wine vinegar\n1 g salt\n5 g dijon mustard\n';
    const { stdout } = reckon(
      text,
      '--json',
      '--tool',
      'shake',
      '--mix',
      '30s',
      '--height',
      '80mm',
      '--temperature',
      '21C',
    );
    const result = JSON.parse(stdout) as {
      hold: {
        medianS: number;
        lowS: number;
        highS: number;
        firstLayer: string;
        class: string;
        keepingLimitS: number;
        bandFactor: number;
        freeOilFraction: number;
      };
      drops: { population: string }[];
      sauterMeanDiameterM: number;
      outsidePhase: string;
      thickness: { class: string };
    };
    // A shaken 3 : 1 with a teaspoon of mustard: within the hours of a lunch; common practice.
    expect(result.hold.medianS / 60).toBeGreaterThan(30);
    expect(result.hold.medianS / 60).toBeLessThan(220);
    expect(result.hold.bandFactor).toBe(2.5);
    expect(result.hold.freeOilFraction).toBe(0);
    expect(result.drops.map(({ population }) => population)).toEqual(['fresh', 'bought']);
    expect(result.hold).toMatchObject({
      firstLayer: 'watery',
      class: 'semi-stable',
      keepingLimitS: 14 * 86_400,
    });
    expect([result.outsidePhase, result.thickness.class]).toEqual(['water', 'pours-like-cream']);
    expect(result.sauterMeanDiameterM * 1e6).toBeGreaterThan(40);
    // Raw garlic must be cold: computed at 5 °C unless said otherwise.
    const cold = JSON.parse(reckon(`${text}1 clove garlic\n`, '--tool', 'shake').stdout) as {
      hold: { temperatureC: number };
    };
    expect(cold.hold.temperatureC).toBe(5);
    expect(reckon(text, '--tool', 'spoon').status).toBe(2);
    expect(reckon(text, '--tool', 'shake', '--height', 'tall').status).toBe(2);
    expect(JSON.parse(reckon('50 ml water', '--tool', 'shake').stdout)).toMatchObject({
      hold: null,
      thickness: { class: 'runny' },
    });
  });
});

describe('reckon, to a batch', () => {
  const WALNUT =
    '90 ml cider vinegar\n5 g fine sea salt\n20 g shallot, grated\n60 ml walnut oil\n180 ml rapeseed oil\n';
  const batchOf = (...args: string[]) => {
    const { status, stdout, stderr } = reckon(WALNUT, '--json', ...args);
    return { status, stderr, batch: status === 0 ? (JSON.parse(stdout) as { batch: Batch }).batch : null };
  };
  interface Batch {
    readonly scaleFactor: number;
    readonly yieldMl: number;
    readonly mixedVolumeMl: number;
    readonly tool: string;
    readonly additions: readonly {
      ingredientId: string;
      exactG: number;
      plannedG: number;
      heldBackG?: number;
    }[];
    readonly loads: readonly {
      volumeMl: number;
      additions: readonly { massG: number; pours: readonly number[] }[];
    }[];
    readonly drift: readonly { measure: string; steps: number }[];
    readonly pullList: readonly { ingredientId: string; neededG: number; unit: string }[];
  }

  it('scales, rounds, loads and pulls, with stable keys', () => {
    const { batch } = batchOf(
      '--scale-to',
      '12 l',
      '--round',
      'mixed',
      '--vessel',
      '10l',
      '--hold-back',
      '--loss',
      '2%',
    );
    expect(Object.keys(batch!)).toEqual([
      ...[
        'scaleFactor',
        'mixedVolumeMl',
        'yieldMl',
        'massG',
        'tool',
        'additions',
        'loads',
        'rounding',
        'drift',
      ],
      ...['hold', 'pullList'],
    ]);
    expect(batch!.yieldMl).toBeCloseTo(12_000, 6);
    expect(batch!.mixedVolumeMl).toBeCloseTo(12_000 / 0.98, 6);
    expect(batch!.loads).toHaveLength(2);
    const salt = batch!.additions.find(({ ingredientId }) => ingredientId === 'salt_sea_fine')!;
    expect(salt.heldBackG! / salt.exactG).toBeCloseTo(0.15, 9);
    expect(salt.exactG).toBeCloseTo(5 * batch!.scaleFactor, 6);
    const poured = batch!.loads.reduce((sum, load) => sum + load.additions[0]!.massG, 0);
    expect(poured).toBeCloseTo(batch!.additions[0]!.plannedG, 6);
    expect(batch!.drift.every(({ steps }) => Math.abs(steps) < 0.5)).toBe(true);
    expect(batch!.pullList.map(({ unit }) => unit)).toEqual([
      'litres',
      'grams',
      'shallot',
      'litres',
      'litres',
    ]);
  });

  it('reads sizes as a cook says them, and says what is wrong with others', () => {
    expect(batchOf('--scale-to', '60 portions').batch!.yieldMl).toBeCloseTo(1800, 6);
    expect(batchOf('--scale-to', '24 jars x 250 ml').batch!.yieldMl).toBeCloseTo(6000, 6);
    expect(batchOf('--scale-to', '500 g').batch!.tool).toBe('stick');
    for (const [args, says] of [
      [['--scale-to', 'a lot'], 'is no size'],
      [['--scale-to', '12 l', '--loss', '90%'], '--loss is 0% to 50%'],
      [['--scale-to', '1 l', '--tool', 'stick-pro'], 'needs 3000 ml to be covered'],
      [['--scale-to', '5000 l'], 'Make several batches'],
      [['--hold-back'], 'how much to make'],
    ] as const) {
      const { status, stderr } = batchOf(...args);
      expect([status, stderr]).toEqual([2, expect.stringContaining(says)]);
    }
  });

  it('says of each stage what it says of the whole, and one stage where no line opens any', () => {
    const typed =
      '== base\n1 tbsp red wine vinegar\n3 tbsp olive oil\n== + yoghurt\n2 tbsp yoghurt\nmoonlight\n';
    const { status, stdout } = reckon(typed, '--json', '--tool', 'shake');
    const { stages, ...whole } = JSON.parse(stdout) as Record<string, unknown> & {
      readonly stages: readonly (Record<string, unknown> & {
        readonly name: string;
        readonly massG: number;
      })[];
    };
    const [base, last] = stages as [(typeof stages)[number], (typeof stages)[number]];
    expect(status).toBe(1);
    expect(stages.map(({ name }) => name)).toEqual(['base', '+ yoghurt']);
    expect(last).toEqual({ name: '+ yoghurt', ...whole });
    expect(Object.keys(base)).toEqual(Object.keys(last));
    expect(base).toMatchObject({ unread: [], allergens: { eu14: ['sulphites'] } });
    expect(last).toMatchObject({
      unread: [{ line: 6, text: 'moonlight' }],
      allergens: { eu14: ['milk', 'sulphites'], complete: false },
    });
    expect(base.massG).toBeLessThan(last.massG);
    const { stages: only, ...plain } = JSON.parse(reckon('1 tbsp honey', '--json').stdout) as {
      readonly stages: readonly unknown[];
    };
    expect(only).toEqual([{ name: '', ...plain }]);
  });

  it('reads what went in off a scale’s display, and says which line is no reading', () => {
    const display = ['seconds,grams'];
    for (let i = 0; i < 30; i++) display.push(`${i / 10},0`);
    for (let i = 30; i < 60; i++) display.push(`${i / 10},14.2`);
    for (let i = 60; i < 100; i++) display.push(`${i / 10},${(14.2 + (i - 60)).toFixed(1)}`);
    for (let i = 100; i < 130; i++) display.push(`${i / 10},54.2`);
    const { status, stdout } = reckon(display.join('\n'), '--json', '--pours', '-');
    const { pours } = JSON.parse(stdout) as { pours: { kind: string; massG: number }[] };
    expect(status).toBe(0);
    expect(pours.map(({ kind, massG }) => [kind, Math.round(massG)])).toEqual([
      ['spoonful', 14],
      ['stream', 40],
    ]);
    const wrong = reckon('0,1\n0.5,two\n', '--json', '--pours', '-');
    expect([wrong.status, wrong.stderr.includes('line 2, “0.5,two”')]).toEqual([2, true]);
    expect(reckon('1,1\n0.5,2\n', '--json', '--pours', '-').status).toBe(2);
  });
});
