import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commands } from './commands';
import { lostIn, SUBJECTS } from './subjects';
import { KitchenInMemory, type World } from './world';

/** `npm run torture` plays them all. */
const RUNS = process.env.YGRANA_TORTURE ? 3000 : 250;
const STEPS = 40;

describe.each(SUBJECTS)('a %s on several screens', (_name, subject) => {
  it(
    'has every value last typed, or asks which stays, once everything has met',
    { timeout: 600_000 },
    async () => {
      await fc.assert(
        fc.asyncProperty(commands(STEPS), async (played) => {
          expect(await lostIn(subject, played)).toEqual([]);
        }),
        { numRuns: RUNS },
      );
    },
  );
});

/** A rule that is broken on purpose has to be found, or the test proves nothing. */
describe('a sender that is broken on purpose is found out', () => {
  const found = async (broken: (world: World) => void): Promise<boolean> => {
    const outcome = await fc.check(
      fc.asyncProperty(commands(STEPS), async (played) => {
        const lost = await lostIn(SUBJECTS[0]![1], played, { broken }).catch(() => ['not even agreed']);
        expect(lost).toEqual([]);
      }),
      { numRuns: 400, endOnFailure: true },
    );
    return outcome.failed;
  };
  it('one that forgets an open question when the kitchen answers', async () => {
    expect(
      await found((world) => {
        world.onDispatch = (state) => ({
          byKey: Object.fromEntries(
            Object.entries(state.byKey).map(([key, work]) => [
              key,
              work.inFlight === null && work.clashes.length > 0
                ? { ...work, clashes: work.clashes.slice(1) }
                : work,
            ]),
          ),
        });
      }),
    ).toBe(true);
  });
  it('one that takes a second try for done', async () => {
    expect(
      await found((world) => {
        world.triesOnce = true;
      }),
    ).toBe(true);
  });
  it('a kitchen where whoever writes last wins', async () => {
    expect(
      await found((world) => {
        world.kitchen = new KitchenInMemory(SUBJECTS[0]![1].doc, true);
      }),
    ).toBe(true);
  });
});
