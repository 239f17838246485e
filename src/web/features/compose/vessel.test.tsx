import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Vessel } from '#core/vessel';
import { kitchenThat, show } from '../../testing/kitchen';
import { VesselPanel } from './VesselPanel';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function open() {
  const { asked, shared } = kitchenThat({});
  const [onMade, onClose] = [vi.fn(), vi.fn()];
  const kept = (): Vessel => shared(asked.at(-1)!.path.split('/').slice(2, 4).join('/')) as Vessel;
  return { ...show(<VesselPanel onMade={onMade} onClose={onClose} />), kept, onMade, onClose };
}
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Keep and use' });
const says = () => screen.getByRole('status').textContent;

describe('a vessel of one’s own', () => {
  it('says what is missing, one thing after the other', async () => {
    const { user } = open();
    expect(says()).toBe('Give it a name.');
    await user.type(field('Name'), 'Tall jar');
    expect(says()).toMatch(/^Fill it to the brim/);
    expect(keep().disabled).toBe(true);
  });

  it('of a known shape is kept with the volume to its brim', async () => {
    const { user, kept, onMade, onClose } = open();
    await user.type(field('Name'), '  Tall jar ');
    await user.type(field('Sold as, ml'), '400');
    await user.type(field('To the very brim, ml'), '437,5');
    expect(says()).toMatch(/^Holds 43[78] ml/);
    await user.click(screen.getByLabelText(/^It closes/));
    await user.click(keep());
    await vi.waitFor(() => {
      expect(onClose).toHaveBeenCalled();
    });
    expect(kept()).toMatchObject({ name: 'Tall jar', nominalVolumeMl: 400, closes: false });
    expect(kept().brimfulVolumeMl).toBeCloseTo(437.5, 0);
    expect(kept().id).toMatch(/^own_/);
    expect(onMade).toHaveBeenCalledWith(kept().id);
  });

  it('is no vessel that holds less than it is sold as, or a lake', async () => {
    const { user } = open();
    await user.type(field('Name'), 'Jar');
    await user.type(field('To the very brim, ml'), '300');
    await user.type(field('Sold as, ml'), '400');
    expect(says()).toMatch(/^What it is sold as/);
    await user.clear(field('To the very brim, ml'));
    await user.type(field('To the very brim, ml'), '9000000');
    expect(says()).toMatch(/^The volume to the brim/);
    expect(keep().disabled).toBe(true);
  });

  it('stays as it was typed where the kitchen does not take it', async () => {
    kitchenThat({}, null);
    const { user } = show(<VesselPanel onMade={vi.fn()} onClose={vi.fn()} />);
    await user.type(field('Name'), 'Jar');
    await user.type(field('To the very brim, ml'), '300');
    await user.click(keep());
    expect(await screen.findByText(/^Not kept/)).toBeTruthy();
    expect(field('Name').value).toBe('Jar');
  });
});
