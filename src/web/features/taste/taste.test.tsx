import { act, cleanup, renderHook, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DEFAULT_SETTINGS } from '#contract';
import { show } from '../../testing/kitchen';
import { jarOf } from '../../testing/samples';
import { useTasting } from './useTasting';
import { WhatItSays } from './WhatItSays';

const recorded = vi.hoisted(() => vi.fn((_about: unknown, _events: readonly unknown[]) => Promise.resolve()));
vi.mock('../../sync/outbox', () => ({ record: recorded }));

const jar = { ...jarOf(), waiting: new Set<string>() };
function Tasting() {
  return <WhatItSays actionsAbove={false} jar={jar} settings={DEFAULT_SETTINGS} draft={useTasting(jar)} />;
}
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
const last = () => recorded.mock.calls.at(-1)![1][0];

beforeEach(() => {
  recorded.mockClear();
});
afterEach(cleanup);

describe('what the mouth says', () => {
  it('is nothing at first: it may be right, and there is nothing to record', () => {
    show(<Tasting />);
    expect(button('Record what it says').disabled).toBe(true);
    expect(button('Right').disabled).toBe(false);
  });

  it('is a tap a row, recorded with where it was tasted, and then the rows are clean again', async () => {
    const { user } = show(<Tasting />);
    await user.click(screen.getByRole('radio', { name: 'too sharp, a little' }));
    await user.click(screen.getByRole('radio', { name: 'needs salt, clearly' }));
    expect(button('Right').disabled).toBe(true);
    await user.click(screen.getByText('on a spoon'));
    await user.type(screen.getByLabelText('In your own words'), 'with bread');
    await user.type(screen.getByLabelText('At, °C'), '18,5');
    await user.click(button('Record what it says'));
    expect(last()).toMatchObject({
      kind: 'tasted',
      on: 'spoon',
      rows: { acid: 1, salt: -2 },
      temperatureC: 18.5,
      right: false,
      note: 'with bread',
      bite: null,
    });
    expect(screen.getByLabelText<HTMLInputElement>('In your own words').value).toBe('');
    expect(button('Record what it says').disabled).toBe(true);
  });

  it('asks what bites only where it bites', async () => {
    const { user } = show(<Tasting />);
    expect(screen.queryByText('onion')).toBeNull();
    await user.click(screen.getByRole('radio', { name: 'too harsh or hot, a little' }));
    await user.click(screen.getByText('onion'));
    await user.click(button('Record what it says'));
    expect(last()).toMatchObject({ rows: { bite: 1 }, bite: 'onion' });
  });

  it('right is one press, without the rows', async () => {
    const { user } = show(<Tasting />);
    await user.click(button('Right'));
    expect(last()).toMatchObject({ kind: 'tasted', right: true, rows: {}, flat: false });
  });

  it.each([
    ['At, °C', '200', '-5 to 90.'],
    ['Drawn, g', 'much', '0 to 1000.'],
    ['Minutes since the shake', 'soon', 'A number of minutes, or nothing.'],
  ])('%s of “%s” is said at the field and recorded by nothing', async (label, text, says) => {
    const { user } = show(<Tasting />);
    // On a phone it stands in the rows, else in the bar.
    await user.click(screen.getAllByRole('button', { name: 'Flat' })[0]!);
    await user.type(screen.getByLabelText(label), text);
    expect(screen.getByText(says)).toBeTruthy();
    expect(button('Record what it says').disabled).toBe(true);
    expect(button('Right').disabled).toBe(true);
  });

  it('two taps of a wet finger are one record', async () => {
    const { result } = renderHook(() => useTasting(jar));
    let end = (): void => undefined;
    recorded.mockImplementationOnce(
      () =>
        new Promise<void>((resolve) => {
          end = resolve;
        }),
    );
    act(() => {
      result.current.recordTasting(true);
      result.current.recordTasting(true);
    });
    expect(recorded).toHaveBeenCalledOnce();
    await act(async () => {
      end();
      await Promise.resolve();
    });
    act(() => {
      result.current.recordTasting(true);
    });
    expect(recorded).toHaveBeenCalledTimes(2);
  });
});
