import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { EMPTY_PANTRY_ENTRY, type PantryEntry } from '#contract';
import { withTest } from '#core/emulsion';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { kitchenThat, show } from '../../testing/kitchen';
import { ThicknessCard } from './ThicknessCard';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const get = (id: string) => REFERENCE_CATALOGUE.get(id as IngredientId)!;

function open(id = 'yoghurt_whole', entry: PantryEntry = EMPTY_PANTRY_ENTRY) {
  const at = `pantry/${id}`;
  const { shared } = kitchenThat({}, { [at]: entry });
  const table = get(id);
  return {
    ...show(
      <ThicknessCard ingredient={withTest(table, entry.bottle.thickness)} table={table} entry={entry} />,
    ),
    kept: () => shared(at) as PantryEntry | undefined,
  };
}
const press = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('how thick a thing is in this kitchen', () => {
  it('is set by seconds on the plate, undone, and a wrong number is said at the field', async () => {
    const { user, kept } = open();
    expect(screen.getByText(/As the pantry says/)).toBeTruthy();
    const seconds = screen.getByLabelText<HTMLInputElement>('or seconds');
    await user.type(seconds, '900');
    expect(screen.getByText('0.3 to 180 seconds')).toBeTruthy();
    expect(press('Set').disabled).toBe(true);
    await user.clear(seconds);
    await user.type(seconds, '34');
    await user.click(press('Set'));
    await vi.waitFor(() => {
      expect(kept()?.bottle.thickness).toEqual({ kind: 'plate', seconds: 34 });
    });
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await vi.waitFor(() => {
      expect(kept()?.bottle.thickness).toBeUndefined();
    });
  });

  it('says what was found, and forgets it', async () => {
    const found = { ...EMPTY_PANTRY_ENTRY.bottle, thickness: { kind: 'plate', seconds: null } as const };
    const { user, kept } = open('yoghurt_whole', { ...EMPTY_PANTRY_ENTRY, bottle: found });
    expect(screen.getByText(/Does not run on the plate: .* times as thick/)).toBeTruthy();
    await user.click(press('Forget it'));
    await vi.waitFor(() => {
      expect(kept()?.bottle.thickness).toBeNull();
    });
  });

  it('a clock runs from the tilt to five centimetres', async () => {
    const { user, kept } = open();
    await user.click(press('Tilted: start the clock'));
    await new Promise((resolve) => setTimeout(resolve, 400));
    await user.click(press('It has run 5 cm'));
    await vi.waitFor(() => {
      const test = kept()?.bottle.thickness;
      expect(test?.kind).toBe('plate');
      expect(test?.kind === 'plate' && test.seconds).toBeGreaterThanOrEqual(0.3);
    });
  });

  it('is not asked of what has no body', () => {
    open('vin_sherry7');
    expect(screen.queryByTestId('thickness')).toBeNull();
  });
});
