/** What may happen in the world, as commands that can be played again and made shorter. */
import fc from 'fast-check';
import type { Clash } from '#core/document';
import { clashSettled, edited, redone, undone } from '../../src/web/sync/workSlice';
import type { Ledger } from './ledger';
import { settled, type Fate, type Screen, type World } from './world';

export interface Real {
  readonly world: World;
  readonly ledger: Ledger;
  /** What a cook makes of what they see: always something that was never typed before. */
  readonly makeOf: (doc: unknown, choice: number, serial: number) => unknown;
}
/** The ledger is the model: nothing of it decides what can be done. */
type Model = object;
type Act = (real: Real, serial: number) => Promise<void>;

let serial = 0;

class Command implements fc.AsyncCommand<Model, Real> {
  constructor(
    private readonly name: string,
    private readonly act: Act,
  ) {}
  check = (): boolean => true;
  run = async (_model: Model, real: Real): Promise<void> => this.act(real, (serial += 1));
  toString = (): string => this.name;
}

const screenOf = ({ world }: Real, n: number): Screen | undefined => world.screens[n % world.screens.length];

/** Whatever a screen's action does to what stands on it is what its cook typed. */
async function byHand(real: Real, screen: Screen, act: () => void, asks: boolean): Promise<void> {
  const before = screen.work!;
  act();
  const base = before.inFlight ? null : before.base;
  real.ledger.typed(before.doc, screen.work!.doc, before.clashes, base, asks);
  // Going back over an open question of one's own answers it.
  for (const clash of before.clashes)
    if (!screen.work!.clashes.includes(clash)) real.ledger.settled(clash, null);
  await screen.sync.touched(real.world.key);
  await settled();
}

const onScreen = (name: string, does: (real: Real, screen: Screen, serial: number) => Promise<unknown>) =>
  fc.nat({ max: 5 }).map(
    (n) =>
      new Command(`${name}@${n}`, async (real, now) => {
        const screen = screenOf(real, n);
        if (screen?.work) await does(real, screen, now);
      }),
  );

const typing = fc.tuple(fc.nat({ max: 5 }), fc.nat({ max: 1000 })).map(
  ([n, choice]) =>
    new Command(`type${choice}@${n}`, async (real, now) => {
      const screen = screenOf(real, n);
      if (!screen?.work) return;
      const doc = real.makeOf(screen.work.doc, choice, now);
      const type = (): void => {
        screen.dispatch(edited({ key: real.world.key, doc }));
      };
      await byHand(real, screen, type, true);
    }),
);
const undo = (name: string, action: typeof undone | typeof redone) =>
  onScreen(name, (real, screen) =>
    byHand(
      real,
      screen,
      () => {
        screen.dispatch(action(real.world.key));
      },
      false,
    ),
  );
const settling = fc.tuple(fc.nat({ max: 5 }), fc.nat({ max: 5 }), fc.boolean()).map(
  ([n, which, mine]) =>
    new Command(`settle${which}${mine ? 'mine' : 'theirs'}@${n}`, async (real) => {
      const screen = screenOf(real, n);
      const clashes: readonly Clash[] = screen?.work?.clashes ?? [];
      const clash = clashes[which % Math.max(1, clashes.length)];
      if (!screen || !clash) return;
      const keep = mine ? 'mine' : 'theirs';
      real.ledger.settled(clash, keep);
      screen.dispatch(clashSettled({ key: real.world.key, clash, keep }));
      await screen.sync.touched(real.world.key);
      await settled();
    }),
);
const fates = fc
  .constantFrom<Fate>('lost', 'answer-lost', 'doubled', 'late')
  .map((fate) => new Command(fate, ({ world }) => Promise.resolve(world.foretell(fate))));
const late = fc.constant(new Command('arrives late', ({ world }) => world.arriveLate()));
const power = fc.boolean().map(
  (down) =>
    new Command(down ? 'down' : 'up', ({ world }) => {
      world.isDown = down;
      return Promise.resolve();
    }),
);
const another = fc
  .nat({ max: 1 })
  .map(
    (browser) => new Command(`open@${browser}`, async ({ world }) => void (await world.addScreen(browser))),
  );

const MOST_SCREENS = 3;
const opening = another.map(
  (command) =>
    new Command(String(command), async (real) => {
      if (real.world.screens.length < MOST_SCREENS) await command.run({}, real);
    }),
);

export const commands = (steps: number) =>
  fc.commands(
    [
      typing,
      typing,
      typing,
      onScreen('tick', (_real, screen) => screen.tick()),
      onScreen('tick', (_real, screen) => screen.tick()),
      onScreen('hear', (_real, screen) => screen.hear()),
      onScreen('net', (_real, screen) => {
        screen.isOnline = !screen.isOnline;
        return Promise.resolve();
      }),
      onScreen('reload', (_real, screen) => screen.reload()),
      onScreen('close', ({ world }, screen) => {
        if (world.screens.length > 1) screen.close();
        return Promise.resolve();
      }),
      opening,
      undo('undo', undone),
      undo('redo', redone),
      settling,
      fates,
      late,
      power,
    ],
    { maxCommands: steps, size: 'max' },
  );
