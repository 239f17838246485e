import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  applyWhatFits,
  at,
  changesBetween,
  invertChanges,
  joined,
  merge,
  overlap,
  PLAIN,
  put,
  rebase,
  same,
  settle,
  unsettled,
  type Rules,
} from '.';

interface Line {
  readonly id: string;
  readonly text: string;
  readonly rank: number;
}
interface Doc {
  readonly name: string;
  readonly range: { readonly low: number; readonly high: number };
  readonly ticks: Readonly<Record<string, string>>;
  readonly lines: readonly Line[];
}
const rules: Rules = {
  whole: ([first]) => first === 'range',
  either: ([first]) => first === 'ticks',
};
const lineArb = (id: string): fc.Arbitrary<Line> =>
  fc.record({
    id: fc.constant(id),
    text: fc.constantFrom('a', 'b', 'c'),
    rank: fc.integer({ max: 3, min: 0 }),
  });
const docArb: fc.Arbitrary<Doc> = fc.record({
  name: fc.constantFrom('House', 'Terrace', 'Lake'),
  range: fc.record({ low: fc.integer({ max: 2, min: 0 }), high: fc.integer({ max: 5, min: 3 }) }),
  ticks: fc.dictionary(fc.constantFrom('t1', 't2'), fc.constantFrom('8:00', '9:00')),
  lines: fc
    .shuffledSubarray(['x', 'y', 'z'])
    .chain((ids) => fc.tuple(...ids.map(lineArb)))
    .map((lines) => [...lines]),
});
const base: Doc = {
  name: 'House',
  range: { low: 1, high: 3 },
  ticks: {},
  lines: [
    { id: 'x', text: 'a', rank: 0 },
    { id: 'y', text: 'b', rank: 1 },
  ],
};
/** Without the order of lines: a change names places, not the order of what lies there. */
const sorted = ({ lines, ...doc }: Doc): Doc => ({
  ...doc,
  lines: [...lines].sort((a, b) => a.id.localeCompare(b.id)),
});
const applied = (doc: Doc, changes: ReturnType<typeof changesBetween>): Doc => {
  const result = applyChanges(doc, changes);
  if (result.status === 'conflict') throw new Error(JSON.stringify(result.refusals));
  return sorted(result.doc);
};

describe('changes', () => {
  it('lead from one document to the other and back, and twice is once', () => {
    fc.assert(
      fc.property(docArb, docArb, (before, after) => {
        const changes = changesBetween(before, after, rules);
        expect(applied(before, changes)).toEqual(sorted(after));
        expect(applied(after, changes)).toEqual(sorted(after));
        expect(applied(after, invertChanges(changes))).toEqual(sorted(before));
        expect(changesBetween(before, before, rules)).toEqual([]);
      }),
    );
  });

  it('are as deep as they go, but where a place is taken whole', () => {
    const after = put(put(base, ['range', 'low'], 2), ['lines', 'y', 'text'], 'c');
    expect(changesBetween(base, after, rules)).toEqual([
      { path: ['range'], from: { low: 1, high: 3 }, to: { low: 2, high: 3 } },
      { path: ['lines', 'y', 'text'], from: 'b', to: 'c' },
    ]);
  });

  it.each([
    ['another value there', { path: ['name'], from: 'Terrace', to: 'Lake' }],
    ['a line that is gone', { path: ['lines', 'q', 'text'], from: 'a', to: 'b' }],
    [
      'a line that was changed before it is taken out',
      { path: ['lines', 'x'], from: { id: 'x', text: 'z' } },
    ],
    ['an item of what is no list', { path: ['name', 'deep'], to: 1 }],
  ])('are refused: %s', (_what, change) => {
    expect(applyChanges(base, [change]).status).toBe('conflict');
    expect(applyWhatFits(base, [change, { path: ['name'], from: 'House', to: 'Mill' }])).toEqual({
      ...base,
      name: 'Mill',
    });
  });
});

describe('a place', () => {
  it('is found, changed, taken out, and not made where the way there is gone', () => {
    expect(at(base, ['lines', 'y', 'text'])).toBe('b');
    expect(at(base, ['lines', 'q', 'text'])).toBeUndefined();
    expect(put(base, ['lines', 'q', 'text'], 'x')).toBe(base);
    expect(put(base, ['nowhere', 'deep'], 'x')).toBe(base);
    expect(put(base, ['lines', 'x'], undefined).lines).toHaveLength(1);
    expect(put(base, ['lines', 'x', 'text'], 'a')).toEqual(base);
    expect(at(put(base, ['ticks', 't1'], '8:00'), ['ticks', 't1'])).toBe('8:00');
  });
  it('lies in another or does not', () => {
    expect(overlap(['lines', 'x'], ['lines', 'x', 'text'])).toBe(true);
    expect(overlap(['lines', 'x', 'text'], ['lines', 'x', 'rank'])).toBe(false);
  });
  it.each([
    [{ a: undefined }, {}, true],
    [[1, { b: 2 }], [1, { b: 2 }], true],
    [[1], [1, 2], false],
    [null, {}, false],
    [Number.NaN, Number.NaN, true],
  ])('%j and %j are the same: %s', (a, b, expected) => {
    expect(same(a, b)).toBe(expected);
  });
});

describe('a merge', () => {
  it('takes the one side that changed, and what both changed alike', () => {
    fc.assert(
      fc.property(docArb, docArb, (before, after) => {
        expect(merge(before, after, before, rules)).toEqual({ doc: after, clashes: [] });
        expect(merge(before, before, after, rules)).toEqual({ doc: after, clashes: [] });
        expect(merge(before, after, after, rules)).toEqual({ doc: after, clashes: [] });
      }),
    );
  });

  it('loses nothing: every change of mine is in the document or in a clash, and every one of theirs', () => {
    fc.assert(
      fc.property(docArb, docArb, docArb, (before, mine, theirs) => {
        const { doc, clashes } = merge(before, mine, theirs, rules);
        const isHeld = (path: readonly string[]): boolean => clashes.some((one) => overlap(one.path, path));
        for (const { path, to } of changesBetween(before, mine, rules))
          if (path[0] !== 'ticks') expect(isHeld(path) || same(at(doc, path), to)).toBe(true);
        for (const { path, to } of changesBetween(before, theirs, rules))
          expect(isHeld(path) || same(at(doc, path), to)).toBe(true);
        for (const clash of clashes) {
          expect(at(doc, clash.path)).toEqual(clash.theirs);
          expect(at(settle({ doc, clashes }, clash, 'mine').doc, clash.path)).toEqual(clash.mine);
        }
      }),
    );
  });

  const edit = (text: string): Doc => put(base, ['lines', 'x', 'text'], text);
  const without = put(base, ['lines', 'x'], undefined);
  it.each([
    [
      'edited on both sides',
      edit('m'),
      edit('t'),
      { path: ['lines', 'x', 'text'], base: 'a', mine: 'm', theirs: 't' },
    ],
    [
      'taken out here, edited there',
      without,
      edit('t'),
      { path: ['lines', 'x'], base: base.lines[0], theirs: edit('t').lines[0] },
    ],
    [
      'edited here, taken out there',
      edit('m'),
      without,
      { path: ['lines', 'x'], base: base.lines[0], mine: edit('m').lines[0] },
    ],
    [
      'a range, its other end there',
      put(base, ['range', 'low'], 0),
      put(base, ['range', 'high'], 9),
      { path: ['range'], base: base.range, mine: { low: 0, high: 3 }, theirs: { low: 1, high: 9 } },
    ],
  ])('clashes: %s', (_what, mine, theirs, clash) => {
    expect(merge(base, mine, theirs, rules).clashes).toEqual([clash]);
  });

  it('does not make a clash of a task that two have ticked', () => {
    const tick = (at: string): Doc => put(base, ['ticks', 't1'], at);
    expect(merge(base, tick('8:00'), tick('9:00'), rules)).toEqual({ doc: tick('9:00'), clashes: [] });
    expect(merge(base, tick('8:00'), tick('9:00'), PLAIN).clashes).toHaveLength(1);
  });

  it('keeps the order of whoever moved lines about', () => {
    const turned = { ...base, lines: [...base.lines].reverse() };
    const more = { ...base, lines: [...base.lines, { id: 'z', text: 'c', rank: 2 }] };
    expect(merge(base, turned, more, rules).doc.lines.map(({ id }) => id)).toEqual(['y', 'x', 'z']);
    expect(merge(base, more, turned, rules).doc.lines.map(({ id }) => id)).toEqual(['y', 'x', 'z']);
  });
});

describe('a clash that waits', () => {
  const clashed = merge(base, put(base, ['name'], 'Mine'), put(base, ['name'], 'Theirs'), rules);
  const kitchen = put(base, ['name'], 'Theirs');
  it('goes when the kitchen comes to what I wanted, and follows it to another value', () => {
    expect(rebase(kitchen, clashed, put(base, ['name'], 'Mine'), rules).clashes).toEqual([]);
    expect(rebase(kitchen, clashed, put(base, ['name'], 'Third'), rules).clashes).toEqual([
      { path: ['name'], base: 'House', mine: 'Mine', theirs: 'Third' },
    ]);
  });
  it('grows to the line when the line goes', () => {
    const field = merge(
      base,
      put(base, ['lines', 'x', 'text'], 'm'),
      put(base, ['lines', 'x', 'text'], 't'),
      rules,
    );
    const [clash] = rebase(
      put(base, ['lines', 'x', 'text'], 't'),
      field,
      put(base, ['lines', 'x'], undefined),
      rules,
    ).clashes;
    expect(clash).toMatchObject({ path: ['lines', 'x'], mine: { text: 'm' } });
  });
  it('is settled by whoever works on there', () => {
    expect(unsettled(clashed.clashes, [['lines', 'x']])).toBe(clashed.clashes);
    expect(unsettled(clashed.clashes, [['name']])).toEqual([]);
  });
  it('of another tab is kept beside what this one has typed and not sent, through whatever comes', () => {
    const own = put(base, ['name'], 'Own');
    const both = joined(
      { doc: own, clashes: [] },
      base,
      { doc: put(base, ['name'], 'Other'), clashes: [] },
      rules,
    );
    expect(both).toEqual({
      doc: own,
      clashes: [{ path: ['name'], base: 'House', mine: 'Other', theirs: 'Own' }],
    });
    const later = rebase(base, both, put(base, ['range'], { low: 0, high: 5 }), rules);
    expect([later.doc.name, later.doc.range.low, later.clashes]).toEqual(['Own', 0, both.clashes]);
    // A third value from the kitchen: both of ours wait beside it.
    const third = rebase(base, both, put(base, ['name'], 'Third'), rules);
    expect(third.doc.name).toBe('Third');
    expect(third.clashes.map(({ mine }) => mine)).toEqual(['Own', 'Other']);
    const settled = settle(third, third.clashes[0]!, 'mine');
    expect([settled.doc.name, settled.clashes]).toEqual([
      'Own',
      [{ path: ['name'], base: 'House', mine: 'Other', theirs: 'Own' }],
    ]);
    expect(settle(settled, settled.clashes[0]!, 'theirs')).toEqual({ doc: settled.doc, clashes: [] });
  });
  it('about a field of a line that went is about the line, and mine brings it back', () => {
    const edit = (text: string): Doc => put(base, ['lines', 'x', 'text'], text);
    const both = joined({ doc: edit('own'), clashes: [] }, base, { doc: edit('other'), clashes: [] }, rules);
    const gone = rebase(base, both, put(base, ['lines', 'x'], undefined), rules);
    expect(gone.clashes.map(({ path }) => path)).toEqual([
      ['lines', 'x'],
      ['lines', 'x'],
    ]);
    const back = settle(gone, gone.clashes[1]!, 'mine');
    expect(at(back.doc, ['lines', 'x', 'text'])).toBe('other');
    expect(back.clashes).toHaveLength(1);
  });
});
