import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { untilFetched } from './untilFetched';

describe('a part the page cannot do without', () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it('is asked for until it comes, ever more seldom', async () => {
    let asked = 0;
    const found = untilFetched(() => {
      asked += 1;
      return asked < 8 ? Promise.reject(new Error('away')) : Promise.resolve('here');
    });
    await vi.advanceTimersByTimeAsync(999);
    expect(asked).toBe(1);
    await vi.advanceTimersByTimeAsync(1);
    expect(asked).toBe(2);
    await vi.advanceTimersByTimeAsync(2000 + 4000 + 8000 + 15_000);
    expect(asked).toBe(6);
    await vi.advanceTimersByTimeAsync(30_000);
    await expect(found).resolves.toBe('here');
    expect(asked).toBe(8);
  });
});
