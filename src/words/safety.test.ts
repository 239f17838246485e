import { describe, expect, it } from 'vitest';
import type { Judgement } from '#core/reckoning';
import { CAUTION_CODES, type CautionCode } from '#core/safety';
import { judgedLines } from '../core/reckoning/testing';
import { labelCautions, sayCaution, sayCautions, sayKeeping } from './safety';
import { sayPh } from './acidity';

const judged = (...lines: string[]): Judgement => judgedLines(lines);
const VINAIGRETTE = ['90 ml rapeseed oil', '30 ml white vinegar', '2 g salt'];

describe('cautions', () => {
  it('each is a sentence with its reason and source; none says safe', () => {
    const all = [
      judged(
        ...VINAIGRETTE,
        '1 yolk',
        '20 g blue cheese, mashed',
        '1 clove garlic, grated',
        '1 tsp honey',
        '80 g white beans, dried',
      ),
      judged(...VINAIGRETTE, '5 g thyme, chopped', '10 g alfalfa sprouts', '20 g raw salmon'),
      judged('60 g olive oil', '30 g red wine vinegar', '5 g thyme, chopped'),
      judged('60 g olive oil', '3 g dried thyme'),
      judged('200 ml olive oil', '3 cloves garlic'),
      judged('90 ml soybean oil', '30 g salt', '30 ml water'),
      judged('100 ml water', '40 ml coconut milk'),
    ];
    const seen = new Set<CautionCode>();
    for (const judgement of all) {
      for (const caution of judgement.cautions) {
        seen.add(caution.code);
        const { what, why } = sayCaution(caution);
        expect(what.length).toBeGreaterThan(15);
        expect(why.length).toBeGreaterThan(15);
        expect(caution.source).not.toBe('');
        expect(`${what} ${why} ${sayPh(judgement.ph)}`).not.toMatch(/\bis safe\b|NaN|undefined|null/);
      }
    }
    expect([...seen].sort()).toEqual([...CAUTION_CODES].sort());
  });
});

describe('what is said', () => {
  it('what may hurt somebody in one line, two lines of what to do, the rest on request', () => {
    const judgement = judged(
      ...['1 yolk', '160 ml sunflower oil', '10 ml white wine vinegar', '1 tsp honey'],
      ...['1 clove garlic, grated', '60 g almond spread'],
    );
    const { grave, lines, more } = sayCautions(judgement);
    expect(grave).toMatch(/under oil.*Raw egg.*Allergens not complete: “60 g almond spread”.*honey/);
    expect(lines).toHaveLength(2);
    expect(lines[0]).toMatch(/^Keep at 5 °C or below, 2 days.*raw egg/);
    expect(lines[1]).toMatch(/Not read: “60 g almond spread”/);
    expect(more.some(({ tier }) => tier === 1)).toBe(false);
    expect(sayCautions(judgement, { serving: true }).lines[1]).toMatch(/guests/);
    expect(sayCautions(judged(...VINAIGRETTE))).toMatchObject({ grave: null, lines: [expect.anything()] });
  });

  it('a label carries two at most, the eater’s first, and never the allergens again', () => {
    const judgement = judged('1 yolk', '160 ml sunflower oil', '1 tsp honey', '1 clove garlic', 'moonlight');
    expect(labelCautions(judgement.cautions)).toEqual([
      'Raw egg: not for young, old, pregnant or ill guests',
      'Honey: not under 12 months',
    ]);
    expect(labelCautions(judged('200 ml olive oil', '2 cloves garlic').cautions)).toEqual([
      'Garlic under oil: never uncooled',
    ]);
    expect(labelCautions(judged(...VINAIGRETTE).cautions)).toEqual([]);
  });

  it('a sour juice never grows germs', () => {
    const { cautions, keeping } = judged('60 ml sunflower oil', '40 ml lemon juice');
    const said = [sayKeeping(keeping), ...cautions.flatMap((one) => Object.values(sayCaution(one)))].join(
      ' ',
    );
    expect(said).toMatch(/loses flavour/);
    expect(said).not.toMatch(/germ/i);
  });
});
