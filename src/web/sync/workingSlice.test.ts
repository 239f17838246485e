import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FormulaRecord } from '#contract';
import {
  diffFormulas,
  emptyFormula,
  type Addition,
  type AdditionId,
  type Formula,
  type FormulaId,
  type VesselId,
} from '#core/formula';
import type { MirroredWork } from './mirror';
import {
  conflicted,
  conflictSettled,
  edited,
  formulaOpened,
  redone,
  refused,
  saved,
  sending,
  undone,
  unreachable,
  versionFrozen,
  workingReducer,
  type WorkingFormula,
  type WorkingState,
} from './workingSlice';

const id = 'house' as FormulaId;
const addition = (name: string, amountText: string, rank: number): Addition => ({
  id: name as AdditionId,
  amountText,
  ingredientId: null,
  ingredientText: name,
  form: '',
  note: '',
  phase: 'base',
  optional: false,
  locked: false,
  measuredBy: null,
  rank,
});
const start: Formula = {
  ...emptyFormula('House', 'jar' as VesselId, 'us'),
  additions: [addition('vinegar', '30 ml', 0), addition('oil', '90 ml', 1)],
};
const record = (formula: Formula, revision = 0): FormulaRecord => ({
  id,
  revision,
  formula,
  shelf: 'shelf',
  baseVersion: null,
  latestNumber: 0,
  createdAt: '',
  updatedAt: '',
});
const amount = (formula: Formula, name: string, amountText: string): Formula => ({
  ...formula,
  additions: formula.additions.map((each) => (each.id === name ? { ...each, amountText } : each)),
});
const mirrored = (formula: Formula, tab: string): MirroredWork => ({
  id,
  tab,
  keptAt: 0,
  baseRevision: 0,
  diff: diffFormulas(start, formula),
  inFlight: null,
  past: [diffFormulas(start, formula)],
  future: [],
});

type Action = Parameters<typeof workingReducer>[1];
function run(state: WorkingState | undefined, ...actions: readonly Action[]): WorkingState {
  return actions.reduce<WorkingState>((now, action) => workingReducer(now, action), state ?? { byId: {} });
}
const open = run(undefined, formulaOpened({ record: record(start), found: { mine: null, orphans: [] } }));
const of = (state: WorkingState): WorkingFormula => state.byId[id]!;
const send = (state: WorkingState): WorkingState =>
  run(
    state,
    sending({
      id,
      inFlight: {
        idempotencyKey: 'k',
        baseRevision: of(state).revision,
        diff: diffFormulas(of(state).acknowledged, of(state).formula),
      },
    }),
  );

describe('undo and redo', () => {
  it('lead back to the beginning and forth to the end, whatever was done', () => {
    const edits = fc.array(
      fc.tuple(
        fc.constantFrom('vinegar', 'oil'),
        fc.integer({ min: 1, max: 99 }).map((n) => `${n} ml`),
      ),
      { maxLength: 25 },
    );
    fc.assert(
      fc.property(edits, (list) => {
        const done = list.reduce(
          (state, [name, text]) => run(state, edited({ id, formula: amount(of(state).formula, name, text) })),
          open,
        );
        const steps = of(done).past.length;
        const back = run(done, ...Array.from({ length: steps }, () => undone(id)));
        expect(of(back).formula).toEqual(start);
        expect(of(back).save).toBe('saved');
        const forth = run(back, ...Array.from({ length: steps }, () => redone(id)));
        expect(of(forth).formula).toEqual(of(done).formula);
      }),
    );
  });
  it('a new edit forgets what was undone; an edit that changes nothing is none', () => {
    const once = run(open, edited({ id, formula: amount(start, 'oil', '100 ml') }), undone(id));
    expect(of(once).future).toHaveLength(1);
    expect(of(run(once, edited({ id, formula: amount(start, 'oil', '80 ml') }))).future).toEqual([]);
    expect(of(run(open, edited({ id, formula: start })))).toBe(of(open));
  });
});

describe('sending and saving', () => {
  it('waits, sends, is saved', () => {
    const typed = run(open, edited({ id, formula: amount(start, 'oil', '100 ml') }));
    expect(of(typed).save).toBe('waiting');
    const sent = send(typed);
    expect(of(sent).save).toBe('sending');
    const done = run(sent, saved({ id, record: record(amount(start, 'oil', '100 ml'), 1) }));
    expect([of(done).save, of(done).revision, of(done).inFlight]).toEqual(['saved', 1, null]);
  });
  it('keeps what was typed while the change was under way, and takes in what others did', () => {
    const sent = send(run(open, edited({ id, formula: amount(start, 'oil', '100 ml') })));
    const typedSince = run(sent, edited({ id, formula: amount(of(sent).formula, 'vinegar', '35 ml') }));
    const server = { ...amount(start, 'oil', '100 ml'), name: 'Renamed elsewhere' };
    const after = of(run(typedSince, saved({ id, record: record(server, 2) })));
    expect(after.formula.name).toBe('Renamed elsewhere');
    expect(after.formula.additions.map(({ amountText }) => amountText)).toEqual(['35 ml', '100 ml']);
    expect(after.save).toBe('waiting');
  });
  it('says when the server is away or refuses, and loses nothing', () => {
    const sent = send(run(open, edited({ id, formula: amount(start, 'oil', '100 ml') })));
    const away = of(run(sent, unreachable(id)));
    expect([away.save, away.inFlight?.idempotencyKey]).toEqual(['unreachable', 'k']);
    const no = of(run(sent, refused({ id, message: 'too long' })));
    expect([no.save, no.refusal, no.formula.additions[1]!.amountText]).toEqual([
      'refused',
      'too long',
      '100 ml',
    ]);
  });
});

describe('conflicts', () => {
  const typed = send(run(open, edited({ id, formula: { ...amount(start, 'oil', '100 ml'), name: 'Mine' } })));
  const server = { ...amount(start, 'oil', '120 ml'), servingVolumeMl: 20 };
  const change = {
    additionId: 'oil' as AdditionId,
    field: 'amountText',
    from: '90 ml',
    to: '100 ml',
  } as const;
  const clash = run(
    typed,
    conflicted({ id, record: record(server, 3), conflicts: [{ kind: 'field', change, current: '120 ml' }] }),
  );
  it('merges what does not clash and waits for the cook with the rest', () => {
    const held = of(clash);
    expect(held.save).toBe('conflict');
    expect([held.formula.servingVolumeMl, held.formula.name]).toEqual([20, 'Mine']);
    expect(held.conflicts).toHaveLength(1);
  });
  it.each([
    ['mine', '100 ml', 'waiting'],
    ['theirs', '120 ml', 'waiting'],
  ] as const)('keeping %s leaves %s', (keep, text, save) => {
    const settled = of(run(clash, conflictSettled({ id, conflict: of(clash).conflicts[0]!, keep })));
    expect(settled.formula.additions.find((each) => each.id === 'oil')!.amountText).toBe(text);
    expect([settled.save, settled.conflicts]).toEqual([save, []]);
  });
});

describe('opening with work that was kept', () => {
  const openWith = (mine: MirroredWork | null, orphans: readonly MirroredWork[], formula = start) =>
    of(run(undefined, formulaOpened({ record: record(formula), found: { mine, orphans } })));
  it('puts this tab’s own on top, with its undo', () => {
    const working = openWith(mirrored(amount(start, 'oil', '100 ml'), 'me'), []);
    expect(working.formula.additions[1]!.amountText).toBe('100 ml');
    expect([working.save, working.past.length]).toEqual(['waiting', 1]);
  });
  it('takes over the work of tabs that are gone, and their undo where it has none of its own', () => {
    const working = openWith(null, [
      mirrored(amount(start, 'oil', '100 ml'), 'gone-1'),
      mirrored(amount(start, 'vinegar', '20 ml'), 'gone-2'),
    ]);
    expect(working.formula.additions.map(({ amountText }) => amountText)).toEqual(['20 ml', '100 ml']);
    expect(working.past).toHaveLength(1);
  });
  it('asks where kept work and the server’s clash', () => {
    const working = openWith(
      null,
      [mirrored(amount(start, 'oil', '100 ml'), 'gone')],
      amount(start, 'oil', '70 ml'),
    );
    expect([working.save, working.conflicts.length]).toEqual(['conflict', 1]);
    expect(working.formula.additions[1]!.amountText).toBe('70 ml');
  });
  it('work the server already has is no change', () => {
    const working = openWith(
      mirrored(amount(start, 'oil', '100 ml'), 'me'),
      [],
      amount(start, 'oil', '100 ml'),
    );
    expect(working.save).toBe('saved');
  });
});

it('after a freeze it grows from the new version, with what was typed since on top', () => {
  const typed = run(open, edited({ id, formula: amount(start, 'oil', '100 ml') }));
  const frozen = { ...record({ ...start, basedOnVersion: 1 }, 1), latestNumber: 1 };
  const after = of(run(typed, versionFrozen({ id, record: frozen })));
  expect([after.formula.basedOnVersion, after.latestNumber, after.save]).toEqual([1, 1, 'waiting']);
  expect(after.formula.additions[1]!.amountText).toBe('100 ml');
});
