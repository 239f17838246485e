import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { DEFAULT_SETTINGS } from '#contract';
import { kitchenThat, show } from '../../testing/kitchen';
import { SettingsPage } from './SettingsPage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it('keeps what was changed, as the contract has it', async () => {
  const { shared } = kitchenThat({
    'GET /settings': () => DEFAULT_SETTINGS,
    'GET /session': () => ({ needed: false, given: true }),
  });
  const { user } = show(<SettingsPage />, '/settings');
  const kitchen = await screen.findByLabelText('Kitchen');
  const save = screen.getByRole<HTMLButtonElement>('button', { name: 'Save' });
  expect(save.disabled).toBe(true);
  await user.clear(kitchen);
  await user.type(kitchen, 'Another house');
  const loss = screen.getByLabelText(/^Stays in tools.*%$/);
  await user.clear(loss);
  await user.type(loss, '3,5');
  expect(save.disabled).toBe(false);
  await user.click(save);
  expect(await screen.findByText('Saved.')).toBeTruthy();
  expect(shared('settings/kitchen')).toEqual({
    ...DEFAULT_SETTINGS,
    kitchenName: 'Another house',
    batch: { ...DEFAULT_SETTINGS.batch, lossShare: 0.035 },
  });
});

it('says what is wrong with a spread, and with a scale that carries less than its jug', async () => {
  kitchenThat({ 'GET /settings': () => DEFAULT_SETTINGS });
  const { user } = show(<SettingsPage />, '/settings');
  const low = await screen.findByLabelText('A pinch, low, ml');
  await user.clear(low);
  await user.type(low, '9');
  expect(await screen.findByText(/^A pinch: low must not be above/)).toBeTruthy();
  const jug = screen.getByLabelText(/^The jug that stands on/);
  await user.clear(jug);
  await user.type(jug, '49000');
  expect(await screen.findByText(/scale must carry more than what is weighed into/)).toBeTruthy();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save' }).disabled).toBe(true);
});

it('has its own numbers on this device', async () => {
  kitchenThat({ 'GET /settings': () => DEFAULT_SETTINGS });
  show(<SettingsPage />, '/settings');
  const device = await screen.findByTestId('this-device');
  const chosen = within(device)
    .getAllByRole('combobox')
    .map((one) => one.getAttribute('aria-label'));
  expect(chosen).toEqual(['Numbers', 'Dates', 'Clock', 'Language at the station', 'Light']);
  expect(localStorage.getItem('ygrana-here')).toBeNull();
});
