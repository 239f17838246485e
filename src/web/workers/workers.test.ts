import { describe, expect, it } from 'vitest';
import type { Work } from '#core/balance';
import { drive } from './drive';
import type { FromWorker, ToWorker } from './protocol';
import { Searcher, type Port } from './searcher';

function* counting(to: number, steps: { taken: number }): Work<string> {
  for (let i = 0; i < to; i++) {
    steps.taken += 1;
    yield { done: i, total: to };
  }
  return 'there';
}
/** A clock on which every step takes 5 ms. */
const clock = () => {
  let ms = 0;
  return () => (ms += 5);
};

describe('long work', () => {
  it('runs to its end, lets others have their turn, and says how far it is', async () => {
    const steps = { taken: 0 };
    const heard: number[] = [];
    let breaths = 0;
    const answer = await drive(counting(40, steps), {
      stopped: () => false,
      onProgress: ({ done }) => heard.push(done),
      now: clock(),
      breathe: () => {
        breaths += 1;
        return Promise.resolve();
      },
    });
    expect([answer, steps.taken]).toEqual(['there', 40]);
    expect(breaths).toBeGreaterThan(10);
    expect(heard).toEqual([...heard].sort((a, b) => a - b));
  });

  it('takes no further step once it is stopped', async () => {
    const steps = { taken: 0 };
    let stop = false;
    const answer = await drive(counting(1e6, steps), {
      stopped: () => stop,
      onProgress: ({ done }) => {
        if (done > 20) stop = true;
      },
      now: clock(),
      breathe: () => Promise.resolve(),
    });
    expect(answer).toBeNull();
    expect(steps.taken).toBeLessThan(30);
  });
});

describe('asking the worker', () => {
  function fake() {
    const sent: ToWorker[] = [];
    const ears: { hear: (message: FromWorker) => void; broken: () => void }[] = [];
    const open = (): Port => ({
      post: (message) => void sent.push(message),
      listen: (hear, broken) => void ears.push({ hear, broken }),
    });
    return { sent, ears, searcher: new Searcher(open) };
  }
  const question = { plan: [], to: { kind: 'scale', readabilityG: 1 } } as const;
  const rounding = { lines: [], loss: 0, naiveLoss: 0, damage: [], volumeFactor: 1, proven: true, gap: null };

  it('cancels, and drops the stale answer', async () => {
    const { sent, ears, searcher } = fake();
    const stop = new AbortController();
    const dropped = searcher.ask('round', question, { signal: stop.signal });
    const kept = searcher.ask('round', question, { signal: new AbortController().signal });
    stop.abort();
    await expect(dropped).rejects.toThrow('Stopped');
    expect(sent.map(({ type, id }) => [type, id])).toEqual([
      ['ask', 1],
      ['ask', 2],
      ['cancel', 1],
    ]);
    ears[0]!.hear({ type: 'answer', id: 1, answer: rounding });
    ears[0]!.hear({ type: 'answer', id: 2, answer: rounding });
    await expect(kept).resolves.toBe(rounding);
  });

  it('tells of a failure, and opens a new worker after one that broke', async () => {
    const { ears, searcher } = fake();
    const signal = new AbortController().signal;
    const failed = searcher.ask('round', question, { signal });
    ears[0]!.hear({ type: 'failed', id: 1, message: 'no' });
    await expect(failed).rejects.toThrow('no');
    const broken = searcher.ask('round', question, { signal });
    ears[0]!.broken();
    await expect(broken).rejects.toThrow('broke off');
    void searcher.ask('round', question, { signal }).catch(() => undefined);
    expect(ears).toHaveLength(2);
  });
});
