import { describe, expect, it } from 'vitest';
import { sayClash } from './clash';

const line = { id: 'a', amountText: '55 ml', ingredientText: 'cider vinegar' };
const formula = { name: 'House', additions: [line] };

describe('what was changed on two screens', () => {
  it('says where it is and both values', () => {
    const path = ['additions', 'a', 'amountText'];
    expect(sayClash('formula', formula, { path, base: '60 ml', mine: '41 ml', theirs: '55 ml' })).toEqual({
      what: 'Amount of cider vinegar',
      mine: '41 ml',
      theirs: '55 ml',
      why: null,
    });
  });
  it('says of a line that it was taken out', () => {
    const path = ['additions', 'b'];
    const salt = { id: 'b', amountText: '1 tsp', ingredientText: 'salt' };
    expect(
      sayClash('formula', formula, { path, base: salt, mine: { ...salt, amountText: '2 tsp' } }),
    ).toMatchObject({
      what: '2 tsp salt',
      mine: '2 tsp salt',
      theirs: 'taken out',
    });
  });
  it('names the thing where the place alone would not, and says why it is not taken', () => {
    const clash = { path: ['onHandG'], base: null, mine: -1, theirs: null, why: 'not below nothing' };
    expect(sayClash('pantry', {}, clash, 'sherry vinegar')).toEqual({
      what: 'On hand, g of sherry vinegar',
      mine: '-1',
      theirs: 'nothing',
      why: 'not below nothing',
    });
    const lunch = { services: [{ id: 's', name: 'Lunch', covers: 20 }] };
    const covers = { path: ['services', 's', 'covers'], base: 20, mine: 30, theirs: 40 };
    expect(sayClash('plan', lunch, covers)).toMatchObject({
      what: 'Covers of Lunch',
      mine: '30',
      theirs: '40',
    });
    const fresh = { path: ['countsOptional'], base: true, mine: false, theirs: true };
    expect(sayClash('formula', formula, fresh)).toMatchObject({ mine: 'no', theirs: 'yes' });
  });
});
