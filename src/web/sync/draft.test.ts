import { describe, expect, it } from 'vitest';
import { PLAIN, same } from '#core/document';
import {
  draftOf,
  edit,
  heard,
  nextToSend,
  notTaken,
  refusedBy,
  settled,
  step,
  taken,
  type Draft,
} from './draft';

interface Doc {
  readonly name: string;
  readonly lines: readonly { readonly id: string; readonly text: string }[];
}
const START: Doc = {
  name: 'House',
  lines: ['a', 'b', 'c', 'd'].map((id) => ({ id, text: '1' })),
};
const texts = (doc: Doc, patch: Readonly<Record<string, string>>): Doc => ({
  ...doc,
  lines: doc.lines.map((line) => ({ ...line, text: patch[line.id] ?? line.text })),
});
let keys = 0;
const send = (draft: Draft<Doc>): Draft<Doc> => ({
  ...draft,
  inFlight: nextToSend(draft, () => `key-${(keys += 1)}`, PLAIN),
});

describe('a change that the kitchen will not have', () => {
  /** A kitchen that refuses one value, and tells nothing of which. */
  function play(draft: Draft<Doc>, poison: string): { draft: Draft<Doc>; kitchen: Doc; asked: number } {
    let [now, kitchen, asked] = [draft, START, 0];
    for (; asked < 40; asked++) {
      now = send(now);
      const sent = now.inFlight;
      if (!sent) break;
      if (sent.changes.some(({ to }) => to === poison)) {
        now = refusedBy(now, 'not this');
        continue;
      }
      for (const { path, to } of sent.changes) kitchen = texts(kitchen, { [path[1]!]: to as string });
      now = taken(now, kitchen, PLAIN);
    }
    return { draft: now, kitchen, asked };
  }

  it('is found by halving and set aside alone; everything else goes on its way', () => {
    const typed = edit(draftOf(START), texts(START, { a: '2', b: 'bad', c: '4', d: '5' }), PLAIN);
    const { draft, kitchen, asked } = play(typed, 'bad');
    expect(kitchen.lines.map(({ text }) => text)).toEqual(['2', '1', '4', '5']);
    expect(draft.clashes).toMatchObject([{ path: ['lines', 'b', 'text'], mine: 'bad', why: 'not this' }]);
    expect(asked).toBeLessThan(10);
  });

  it('stays aside over news, is sent again when the cook says so, and forgotten when it is mended', () => {
    const typed = edit(draftOf(START), texts(START, { b: 'bad' }), PLAIN);
    const { draft } = play(typed, 'bad');
    const later = heard(draft, { ...START, name: 'Terrace' }, PLAIN);
    expect(later.clashes).toHaveLength(1);
    expect(send(later).inFlight).toBeNull();
    const again = settled(later, later.clashes[0]!, 'mine');
    expect(send(again).inFlight?.changes).toMatchObject([{ to: 'bad' }]);
    const mended = edit(later, texts(later.doc, { b: 'good' }), PLAIN);
    expect(mended.clashes).toEqual([]);
    expect(send(mended).inFlight?.changes).toMatchObject([{ to: 'good' }]);
  });

  it('was typed anew while it was under way: that has not been refused', () => {
    const sent = send(edit(draftOf(START), texts(START, { b: 'bad' }), PLAIN));
    const since = edit(sent, texts(sent.doc, { b: 'good' }), PLAIN);
    expect(refusedBy(since, 'not this')).toMatchObject({ clashes: [], inFlight: null });
  });
});

describe('a conflict', () => {
  it('keeps the value last typed, not the one that was under way, and lets the rest go on', () => {
    const sent = send(edit(draftOf(START), texts(START, { a: 'first', c: '7' }), PLAIN));
    const since = edit(sent, texts(sent.doc, { a: 'last', d: '8' }), PLAIN);
    const after = notTaken(since, texts(START, { a: 'theirs' }), PLAIN);
    expect(after.clashes).toMatchObject([{ mine: 'last', theirs: 'theirs' }]);
    expect(after.doc.lines.map(({ text }) => text)).toEqual(['theirs', '1', '7', '8']);
    expect(send(after).inFlight?.changes).toHaveLength(2);
  });

  it('between a line taken out and the same line edited is asked, whichever came first', () => {
    const without = { ...START, lines: START.lines.slice(1) };
    const removed = notTaken(send(edit(draftOf(START), without, PLAIN)), texts(START, { a: '9' }), PLAIN);
    expect(removed.clashes).toMatchObject([{ path: ['lines', 'a'], theirs: { text: '9' } }]);
    expect(settled(removed, removed.clashes[0]!, 'mine').doc.lines).toHaveLength(3);
    const edited = notTaken(send(edit(draftOf(START), texts(START, { a: '9' }), PLAIN)), without, PLAIN);
    expect(edited.clashes).toMatchObject([{ path: ['lines', 'a'], mine: { text: '9' } }]);
    const kept = settled(edited, edited.clashes[0]!, 'mine');
    expect(kept.doc.lines.find(({ id }) => id === 'a')?.text).toBe('9');
    expect(send(kept).inFlight?.changes).toMatchObject([{ path: ['lines', 'a'], to: { text: '9' } }]);
  });
});

describe('undo', () => {
  it('takes back one’s own and leaves what others did meanwhile', () => {
    const typed = edit(draftOf(START), texts(START, { a: '2' }), PLAIN);
    const news = heard(typed, texts({ ...START, name: 'Terrace' }, { d: '6' }), PLAIN);
    const back = step(news, 'past');
    expect(back.doc).toEqual(texts({ ...START, name: 'Terrace' }, { d: '6' }));
    expect(same(step(back, 'future').doc, news.doc)).toBe(true);
  });
  it('of what somebody else has changed since is no step', () => {
    const typed = send(edit(draftOf(START), texts(START, { a: '2' }), PLAIN));
    const done = taken(typed, texts(START, { a: '2' }), PLAIN);
    const changed = heard(done, texts(START, { a: 'theirs' }), PLAIN);
    expect(step(changed, 'past')).toMatchObject({ doc: texts(START, { a: 'theirs' }), past: [] });
  });
});
