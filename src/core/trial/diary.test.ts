import { describe, expect, it } from 'vitest';
import { diaryOf, type Sight, type TrialEvent } from '.';
import { added, line, logOf, tasted, took } from './testing';

const looked = (saw: Sight, seconds: number): TrialEvent => ({
  kind: 'looked',
  saw,
  seconds,
  predicted: null,
  note: '',
});
const mend: TrialEvent = {
  kind: 'planned',
  reason: 'mend',
  targets: [],
  steps: [{ kind: 'weigh', id: 'mend-1', said: '', paced: false, line: line('honey', 5) }],
  before: null,
  note: '',
};

describe('a jar in the diary', () => {
  it('nothing happened: nobody tasted, nothing went in, nobody looked', () => {
    expect(diaryOf([])).toEqual({ standing: 'untasted', said: null, mended: [], held: null });
  });

  it('tells what went in to mend it, each thing once, and not what the making itself weighed', () => {
    const log = logOf([
      took('base-1', line('vin_cider5', 90)),
      tasted({ rows: { salt: -1 } }),
      added(line('salt_table', 0.4)),
      mend,
      took('mend-1', line('honey', 5.2)),
      added(line('salt_table', 0.4)),
      { kind: 'added', lines: [line('salt_table', 20)], note: '', way: 'kept-aside' },
      tasted({ right: true }),
    ]);
    const { mended, standing, said } = diaryOf(log);
    expect(mended).toEqual([line('salt_table', 0.8), line('honey', 5.2)]);
    expect(standing).toBe('right-after-mending');
    expect(said).toMatchObject({ right: true });
  });

  it('held until the first look at which it was not fine; a later one says nothing of when', () => {
    const held = (...events: readonly TrialEvent[]) => diaryOf(logOf(events)).held;
    expect(held(looked('fine', 600), looked('fine', 1200))).toEqual({ saw: 'fine', seconds: 1200 });
    expect(held(looked('fine', 600), looked('split', 9000), looked('thin-layer', 2400))).toEqual({
      saw: 'thin-layer',
      seconds: 2400,
    });
  });

  it('what was taken back is not told', () => {
    const log = logOf([added(line('salt_table', 4)), { kind: 'corrected', eventId: 'e0' }]);
    expect(diaryOf(log).mended).toEqual([]);
  });
});
