import { afterEach, describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { STARTING_VESSELS } from '#core/vessel';
import { NOTHING_SAID } from '#core/trial';
import { sayComplaints, sayDose, sayGesture } from '../balance';
import { sayFinding, sayOff } from '../finding';
import { sayDuration, TOOL_WORDS } from '../hold';
import { inSentence } from '../numbers';
import { labelWords } from '../screens/label';
import { makeWords } from '../screens/make';
import { saySafetyOfTheDay } from '../safety';
import { sayIngredient, speak, speaking, tongueNow } from '../tongue';
import { sayTasting } from '../trial';
import { GERMAN } from '.';
import { INGREDIENTS, VESSELS } from './ingredients';

afterEach(() => {
  speak(null);
});

describe('German beside English', () => {
  it('is asked first, and what it does not have is English', () => {
    expect(makeWords.tasteIt).toBe('Taste it');
    speak(GERMAN);
    expect([tongueNow(), makeWords.tasteIt, TOOL_WORDS.whisk]).toEqual(['de', 'Abschmecken', 'Schneebesen']);
    // A word of paper that no label needs.
    expect(labelWords.titlePagePage('Holliste', 2)).toBe('Holliste · page 2');
    expect(sayIngredient('Mirin')).toBe('Mirin');
  });

  it('holds for what is composed at one go, and for nothing after it, even where that fails', () => {
    expect(speaking(GERMAN, () => makeWords.next)).toBe('Weiter');
    expect(() =>
      speaking(GERMAN, () => {
        throw new Error('torn');
      }),
    ).toThrow('torn');
    expect(makeWords.next).toBe('Next');
  });

  it('names things that are really in the pantry and on the shelf', () => {
    const known = new Set([...REFERENCE_CATALOGUE.values()].map(({ name }) => name));
    expect(Object.keys(INGREDIENTS).filter((name) => !known.has(name))).toEqual([]);
    // Nine in ten have a German name; the rest are the same word, or keep theirs.
    expect(Object.keys(INGREDIENTS).length / known.size).toBeGreaterThan(0.85);
    expect(STARTING_VESSELS.filter(({ name }) => VESSELS[name] === undefined)).toEqual([]);
    // Two things never share a name: a cook would weigh the wrong one.
    const names = [...known].map((name) => INGREDIENTS[name] ?? name);
    expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([]);
  });

  it('speaks by its own grammar: nouns keep their capital, one and many differ', () => {
    speak(GERMAN);
    expect(inSentence('Cider vinegar 5 %')).toBe('Apfelessig 5 %');
    expect(sayGesture({ unit: 'pinch', count: 1 })).toBe('eine Prise');
    expect(sayGesture({ unit: 'pinch', count: 2 })).toBe('zwei Prisen');
    expect(sayGesture({ unit: 'tbsp', count: 1.5 })).toBe('1½ EL');
    expect([sayDuration(30), sayDuration(2.5 * 3600), sayDuration(3 * 86_400)]).toEqual([
      'weniger als eine Minute',
      '2½ h',
      '3 Tage',
    ]);
    expect(sayTasting({ ...NOTHING_SAID, rows: { acid: 2, salt: -1 } })).toBe(
      'Zu sauer 2, braucht Salz 1, auf einem Blatt',
    );
    expect(
      sayComplaints([
        { complaint: 'needs-salt', severity: 1 },
        { complaint: 'too-sweet', severity: 2 },
      ]),
    ).toBe('Braucht etwas Salz und zu süß.');
    expect(sayOff({ measure: 'sweet', direction: 'high' }, 'a-touch')).toBe('etwas zu süß');
    const salt = [...REFERENCE_CATALOGUE.values()].find(({ name }) => name === 'Fine table salt')!;
    const dose = {
      mayAdd: { ingredient: salt },
      massG: 0.6,
      gesture: { unit: 'pinch', count: 2, massG: 0.6 },
    };
    expect(sayDose(dose as unknown as Parameters<typeof sayDose>[0])).toBe('zwei Prisen Tafelsalz');
    expect(sayFinding({ kind: 'split' }, false).before).toContain('gerinnt');
  });

  it('names allergens as the law does, groups and what stands in brackets', () => {
    const record = {
      kind: 'found',
      limit: 'under_oil',
      limitedBy: [{ name: 'Garlic, raw, peeled' }],
      allergens: {
        certain: ['milk', 'nuts (walnut)', 'cereals containing gluten (wheat)'],
        probable: ['mustard'],
        mayBe: [],
        missing: [],
      },
      cautions: [
        {
          code: 'infused_oil',
          value: null,
          limit: null,
          ingredients: [{ name: 'Garlic, raw, peeled' }],
          words: [],
        },
      ],
    } as const;
    speak(GERMAN);
    const said = saySafetyOfTheDay(record);
    expect(said.contains).toBe(
      'Enthält: Milch, Schalenfrüchte (Walnuss), glutenhaltiges Getreide (Weizen), wahrscheinlich Senf',
    );
    expect(said.onLabel).toEqual(['Knoblauch unter Öl: nie ungekühlt']);
    expect(said.cautions[0]).toContain('Knoblauch unter Öl');
    const open = { ...record, allergens: { ...record.allergens, missing: ['stardust'] } };
    expect(saySafetyOfTheDay(open).contains).toMatch(/^Allergene nicht vollständig/);
  });

  it('has every allergen word that the pantry uses', () => {
    speak(GERMAN);
    const used = new Set([...REFERENCE_CATALOGUE.values()].flatMap(({ allergensEu14 }) => allergensEu14));
    const said = GERMAN.sentences.allergens({ certain: [...used], probable: [], mayBe: [], missing: [] });
    const same = [...used].filter((word, i) => said[i] === word);
    expect(same).toEqual([]);
  });
});
