import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { EMPTY_PANTRY_ENTRY, type PantryEntry } from '#contract';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { kitchenThat, show } from '../../testing/kitchen';
import { KITCHEN } from '../../testing/samples';
import { EntryForm } from './EntryForm';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const VINEGAR = REFERENCE_CATALOGUE.get('vin_sherry7' as IngredientId)!;
const OIL = REFERENCE_CATALOGUE.get('olive_ev' as IngredientId)!;

function open(ingredient = VINEGAR, entry: PantryEntry = EMPTY_PANTRY_ENTRY) {
  const at = `pantry/${ingredient.id}`;
  const { shared } = kitchenThat({}, { [at]: entry });
  return {
    ...show(<EntryForm ingredient={ingredient} entry={entry} kitchen={KITCHEN} />),
    kept: () => shared(at),
  };
}
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Keep' });

describe('stock, price and the bottle in use', () => {
  it('are said as a cook says them and kept in grams', async () => {
    const { user, kept } = open();
    await user.type(field('On hand'), '½ l');
    expect(screen.getByText(/^50[67] g$/)).toBeTruthy();
    await user.type(field('Price, €'), '6');
    expect(await screen.findByText('Price and pack go together.')).toBeTruthy();
    expect(keep().disabled).toBe(true);
    await user.type(field('for a pack of'), '500 ml');
    await user.type(field('Acidity on the label, %'), '8');
    await user.type(field('Its label'), 'Oak cask');
    await user.click(keep());
    expect(await screen.findByText('Kept')).toBeTruthy();
    expect(kept()).toEqual({
      onHandG: 506.5,
      price: 6,
      packMassG: 506.5,
      bottle: { ...EMPTY_PANTRY_ENTRY.bottle, label: 'Oak cask', acidityGPer100Ml: 8 },
    });
  });

  it.each([
    ['On hand', 'a lot', /needs a unit/],
    ['Price, €', '-2', /^Not below nothing\.$/],
    ['Acidity on the label, %', '70', /^At most 30 g per 100 ml\.$/],
    ['Its measured pH', '15', /^pH is 0 to 14\.$/],
  ])('%s of “%s” is said at the field', async (label, text, says) => {
    const { user } = open();
    await user.type(field(label), text);
    expect(await screen.findByText(says)).toBeTruthy();
    expect(field(label).value).toBe(text);
    expect(keep().disabled).toBe(true);
  });

  it('an oil has no acidity on its label', () => {
    open(OIL);
    expect(screen.queryByLabelText('Acidity on the label, %')).toBeNull();
  });

  it('what is emptied is not known any more', async () => {
    const { user, kept } = open(OIL, { ...EMPTY_PANTRY_ENTRY, onHandG: 750 });
    expect(field('On hand').value).toBe('750 g');
    await user.clear(field('On hand'));
    await user.click(keep());
    await screen.findByText('Kept');
    expect(kept()).toEqual(EMPTY_PANTRY_ENTRY);
  });
});
