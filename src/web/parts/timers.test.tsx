import { cleanup } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { show } from '../testing/kitchen';
import { Timers } from './Timers';

const timers = vi.hoisted(() => ({ now: [] as unknown[] }));
vi.mock('../data/timers', () => ({
  useTimers: () => ({ timers: timers.now, offsetMs: 0 }),
  endTimer: () => Promise.resolve(),
}));
const beep = vi.hoisted(() => vi.fn());
vi.mock('../ui/sound', () => ({ beep }));

const told = vi.fn();
class Told {
  static permission = 'granted';
  constructor(words: string) {
    told(words);
  }
}
const timer = (seconds: number) => ({
  id: `t${seconds}`,
  label: 'Steep the shallot',
  seconds,
  startedAt: new Date(Date.now() - 60_000).toISOString(),
  formulaId: null,
  trialId: null,
});
let hidden = true;

beforeEach(() => {
  vi.stubGlobal('Notification', Told);
  vi.spyOn(document, 'hidden', 'get').mockImplementation(() => hidden);
  document.title = 'Make · House · Ygrana';
  told.mockClear();
  beep.mockClear();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('a timer that ends', () => {
  it('tells its name by sound, in the title and by a notification while the page is out of sight', () => {
    timers.now = [timer(30)];
    hidden = true;
    show(<Timers />);
    expect(beep).toHaveBeenCalledWith('time');
    expect(told).toHaveBeenCalledWith('Time: Steep the shallot');
    expect(document.title).toBe('Time: Steep the shallot · Make · House · Ygrana');
    cleanup();
    expect(document.title).toBe('Make · House · Ygrana');
  });

  it('sends no notification to who is looking at it, or did not allow one', () => {
    timers.now = [timer(30)];
    hidden = false;
    show(<Timers />);
    expect(beep).toHaveBeenCalledOnce();
    expect(told).not.toHaveBeenCalled();
    cleanup();
    hidden = true;
    Told.permission = 'denied';
    show(<Timers />);
    expect(told).not.toHaveBeenCalled();
    Told.permission = 'granted';
  });

  it('says nothing while it runs', () => {
    timers.now = [timer(600)];
    show(<Timers />);
    expect(beep).not.toHaveBeenCalled();
    expect(document.title).toBe('Make · House · Ygrana');
  });
});
