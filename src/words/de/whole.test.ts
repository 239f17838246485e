/** Every tip, rescue and caution has its German: none falls back to English or says “undefined”. */
import { afterEach, describe, expect, it } from 'vitest';
import type { Hold, MakingTip, PourPlan, RescueStep } from '#core/emulsion';
import type { Remedy } from '#core/balance';
import type { Problem } from '#core/quantity';
import { readLine } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import type { CautionCode, CautionRecord } from '#core/safety';
import { sayImpossible } from '../balance';
import { sayHold, sayHoldMove, sayPour, sayThickness } from '../hold';
import { sayCaution, sayKeeping, sayStorage } from '../safety';
import { sayStep, sayTip } from '../tips';
import { sayProblem } from '../reading';
import { sayMeasured, speak } from '../tongue';
import { sayDeed, sayStepNote } from '../trial';
import { sayPh } from '../acidity';
import { sayStanding } from '../version';
import { GERMAN } from '.';
import { cautions } from './cautions';
import { SHORT } from './ingredients';

const ENGLISH = /\b(?:the|and|with|into|until|undefined|of|not|before)\b/;
const expectGerman = (said: string): void => {
  expect(said).not.toBe('');
  expect(ENGLISH.exec(said)?.[0] ?? null, said).toBeNull();
};
const ingredients = [REFERENCE_CATALOGUE.get('honey' as IngredientId)!];
const stages = {
  status: 'stages',
  stages: [{ pace: 'drops', volumeMl: 25, seconds: 40, toMlPerMin: 40 }],
  totalS: 200,
} as unknown as PourPlan;
const words = { nameOf: () => 'Wasser', amount: (massG: number) => `${massG} g` };

afterEach(() => {
  speak(null);
});

describe('in German', () => {
  it('each reason why a line was not read, as English gives it', () => {
    const problems: readonly Problem[] = [
      { code: 'empty' },
      { code: 'no-amount', text: 'Öl' },
      { code: 'no-unit', ingredient: 'Honey', units: [] },
      { code: 'no-unit', ingredient: 'Honey', units: ['g', 'tsp'] },
      { code: 'no-unit-weight', ingredient: 'Honey', unit: 'clove', units: ['g'] },
      { code: 'pack-size', ingredient: 'Honey', pack: 'jar', amounts: ['1 (350 g) jar'] },
      { code: 'bad-number', text: '1.2.3' },
      { code: 'negative', text: '-1' },
      { code: 'too-large', limitKg: 500 },
      { code: 'leftover', text: 'xyz' },
      { code: 'two-things', text: '1 Zitrone' },
      { code: 'no-ingredient' },
      { code: 'unknown-ingredient', text: 'Honik', near: ['Honey'] },
      { code: 'ambiguous-ingredient', text: 'Senf', near: ['Honey', 'Water'] },
    ];
    const english = problems.map(sayProblem);
    speak(GERMAN);
    for (const [index, problem] of problems.entries()) {
      const said = sayProblem(problem);
      expectGerman(said);
      expect(said).not.toBe(english[index]);
      if ('text' in problem) expect(said).toContain(problem.text);
    }
    expect(sayProblem(problems[12]!)).toContain('Honig');
    expect([sayMeasured('1½ tsp'), sayMeasured('2 cups + ½ tbsp')]).toEqual(['1½ TL', '2 Tassen + ½ EL']);
  });

  it('calls for short only what there is', () => {
    const names = [...REFERENCE_CATALOGUE.values()].map(({ name }) => name);
    expect(Object.keys(SHORT).filter((name) => !names.includes(name))).toEqual([]);
  });

  it('the hand measures that it names are read', () => {
    const catalogue = new Map(
      [...REFERENCE_CATALOGUE].map(([id, one]) => [
        id,
        {
          ...one,
          name: GERMAN.sentences.ingredient(one.name),
          aliases: [...one.aliases, one.name, ...GERMAN.sentences.alsoCalled(one.name)],
        },
      ]),
    );
    const context = { catalogue, measuring: measuringWith('metric'), decimalSign: 'comma' } as const;
    const gramsOf = (text: string): number | null => {
      const { reading } = readLine(text, context);
      return reading.status === 'read' ? reading.massG.nominal : null;
    };
    for (const [german, english] of [
      ['2 EL Olivenöl', '2 tbsp olive oil'],
      ['1½ TL Honig', '1½ tsp honey'],
      ['2 Prisen Salz', '2 pinches salt'],
    ] as const) {
      expect(gramsOf(german), german).toBeGreaterThan(0);
      expect(gramsOf(german)).toBe(gramsOf(english));
    }
  });

  it('each caution, with and without its figures', () => {
    speak(GERMAN);
    for (const code of Object.keys(cautions) as CautionCode[])
      for (const [value, limit] of [
        [null, null],
        [4.4, 4.2],
        [0.01, 0.014],
      ] as const) {
        const caution = { code, value, limit, ingredients, words: ['a', 'b', 'c', 'd'] } as CautionRecord;
        const { what, why } = sayCaution(caution);
        expectGerman(what);
        expectGerman(why);
      }
  });

  it('each tip and each step of a rescue', () => {
    speak(GERMAN);
    const more = { ingredients, minutes: 10, limitMl: 60, mostMl: 300, risesK: 3, standOutS: 1200 };
    const tips = [
      ...[
        'toast-seeds',
        'rub-dried-herbs',
        'garlic-alone',
        'yolk-at-room',
        'salt-into-acid',
        'steep-in-acid',
      ],
      ...['smell-nut-oil', 'whisk-base', 'pour', 'too-little-for-tool', 'too-much-for-tool', 'oil-sets'],
      ...['too-full-to-shake', 'blender-bitter', 'blender-heat', 'green-on-the-day', 'gum-too-little'],
    ];
    for (const code of tips)
      expectGerman(sayTip({ code, tool: 'whisk', plan: stages, ...more } as unknown as MakingTip));
    const step = {
      ingredientId: 'honey',
      massG: 12,
      waterMl: 14,
      volumeMl: 60,
      toC: 8,
      seconds: 900,
      plan: stages,
    };
    const rescues = [
      ...['new-base', 'drip-in', 'add-water-first', 'warm-bowl', 'warm-oil', 'halve-oil', 'thin-with'],
      ...['thicken-with-oil', 'thicken-with-gum', 'stand-out', 'lukewarm-bath', 'shake-again'],
    ];
    for (const code of rescues)
      expectGerman(sayStep({ code, ...step } as unknown as RescueStep, words.nameOf, words.amount));
    for (const tool of ['shake', 'stick'] as const)
      expectGerman(sayPour({ status: 'all-at-once' } as unknown as PourPlan, tool));
  });

  it('each deed and note of a making', () => {
    speak(GERMAN);
    for (const deed of ['stir', 'steep', 'whisk-base', 'mix', 'said'])
      for (const tool of ['shake', 'blender'] as const)
        expectGerman(sayDeed({ deed, said: '' } as unknown as Parameters<typeof sayDeed>[0], tool, words));
    for (const note of [
      { code: 'steep', ingredientIds: ['honey'] },
      { code: 'rest', ingredientIds: ['honey'] },
      { code: 'pour', pour: 1, of: 3 },
      { code: 'dilution', carrierId: 'honey', takeG: 4 },
      { code: 'rescue', step: { code: 'shake-again' } },
    ])
      expectGerman(sayStepNote(note as unknown as Parameters<typeof sayStepNote>[0], words));
  });

  it('how it holds, keeps, how sour it is, and what adding cannot do', () => {
    speak(GERMAN);
    const thickness = { class: 'runny', classes: ['runny', 'pours-like-cream'] };
    const hold = (medianS: number | null, more = {}): Hold =>
      ({
        ...{ medianS, lowS: 600, highS: 9000, firstLayer: 'watery' },
        state: {
          split: false,
          mainEmulsifier: 'mustard',
          settling: { ruledBy: 'drops' },
          thickness,
          ...more,
        },
      }) as unknown as Hold;
    const all = [
      hold(3600),
      hold(null),
      hold(60, { split: true }),
      hold(60, { settling: { ruledBy: 'nothing' } }),
    ];
    for (const one of all) expectGerman(sayHold(one));
    expectGerman(sayHoldMove(hold(3600), hold(9000)));
    expectGerman(sayHoldMove(hold(null), hold(9000)));
    expectGerman(sayHoldMove(hold(3600), hold(3600)));
    expectGerman(sayHoldMove(null, hold(60, { split: true })));
    expectGerman(sayThickness(thickness as unknown as Parameters<typeof sayThickness>[0]));
    for (const [days, cold, limit] of [
      [1, true, 'under_oil'],
      [4, false, 'shelf'],
    ] as const)
      expectGerman(
        sayKeeping({ days, cold, limit, ingredients } as unknown as Parameters<typeof sayKeeping>[0]),
      );
    expectGerman(sayStorage({ cold: true }));
    for (const ph of [
      { status: 'refused', reasons: ['too-little-water', 'pieces'] },
      { status: 'read', value: null, high: 3.6 },
      { status: 'read', value: 3.4, low: 3.1, high: 3.6 },
    ])
      expectGerman(sayPh(ph as unknown as Parameters<typeof sayPh>[0]));
    for (const [base, changed] of [
      [null, false],
      [3, true],
      [3, false],
    ] as const)
      expectGerman(sayStanding(base, changed));
    const doses: Remedy['doses'] = [];
    for (const [moreRoom, inTheWay, dilution] of [
      [{ volumeMl: 12, doses }, [], null],
      [null, ['sweet', 'acid'], { by: ingredients[0], replaceFraction: 0.3 }],
      [null, [], { by: ingredients[0], replaceFraction: 0.95 }],
    ] as const)
      for (const aQuarter of [true, false])
        expectGerman(
          sayImpossible(
            { moreRoom, inTheWay, dilution } as unknown as Parameters<typeof sayImpossible>[0],
            undefined,
            aQuarter,
          ),
        );
  });
});
