/** Everything shared that is open on this screen, as it stands here, and how far the kitchen has followed. */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { SHARED_RULES, storable } from '#contract';
import { changesBetween, PLAIN, type Clash, type Rules } from '#core/document';
import { inStages, type Formula } from '#core/formula';
import {
  broughtTo,
  draftOf,
  edit,
  remembering,
  heard,
  notTaken,
  refusedBy,
  settled,
  step,
  taken,
  takenOver,
  unsent,
  type Draft,
  type Sent,
} from './draft';
import { readKey, type Held, type Outcome, type Trouble, type Work, type WorkKey } from './shared';

/** What a browser keeps of it: one record a thing and tab. */
export interface KeptWork<T = unknown> extends Draft<T> {
  readonly key: WorkKey;
  readonly kitchen: string;
  readonly tab: string;
  readonly keptAt: number;
  readonly revision: number;
  readonly beside: Work['beside'];
}
export interface FoundWork {
  /** This tab's own, from before a reload. */
  readonly mine: KeptWork | null;
  /** Of tabs that are gone: taken over. */
  readonly orphans: readonly KeptWork[];
}
export const NOTHING_FOUND: FoundWork = { mine: null, orphans: [] };

export interface WorkState {
  readonly byKey: Readonly<Record<string, Work>>;
}
const initialState: WorkState = { byKey: {} };

export function rulesOf(key: WorkKey): Rules {
  const { kind } = readKey(key);
  return kind === 'formula' ? PLAIN : SHARED_RULES[kind];
}

export const isUnsent = (work: Work): boolean =>
  work.inFlight !== null || unsent(work, rulesOf(work.key)).length > 0;

const slice = createSlice({
  name: 'work',
  initialState,
  reducers: {
    opened(
      state,
      { payload }: PayloadAction<{ key: WorkKey; held: Held | null; found: FoundWork }>,
    ): WorkState {
      const work = openedWork(payload.key, payload.held, payload.found);
      return work ? put(state, work) : state;
    },
    /** Any edit: the whole next document; what changed is worked out here. */
    edited(state, { payload }: PayloadAction<{ key: WorkKey; doc: unknown }>) {
      // What a database cannot keep never becomes an edit: it would be refused again and again.
      return change(state, payload.key, (work) => ({
        ...work,
        ...edit<unknown>(work, storable(payload.doc), rulesOf(work.key)),
      }));
    },
    /** A form that was opened over `from` is saved: only what was changed in it is changed. */
    proposed(state, { payload }: PayloadAction<{ key: WorkKey; from: unknown; to: unknown }>) {
      return change(state, payload.key, (work) => {
        const form = { ...draftOf(payload.from), doc: storable(payload.to) };
        const joined = takenOver<unknown>(work, form, rulesOf(work.key));
        const changes = changesBetween(work.doc, joined.doc, rulesOf(work.key));
        if (changes.length === 0) return { ...work, clashes: joined.clashes };
        return { ...work, ...remembering(joined, changes), clashes: joined.clashes };
      });
    },
    undone(state, { payload: key }: PayloadAction<WorkKey>) {
      return change(state, key, (work) => ({ ...work, ...step(work, 'past') }));
    },
    redone(state, { payload: key }: PayloadAction<WorkKey>) {
      return change(state, key, (work) => ({ ...work, ...step(work, 'future') }));
    },
    /** The cook has chosen for one clash: their own value or the one already saved. */
    clashSettled(state, { payload }: PayloadAction<{ key: WorkKey; clash: Clash; keep: 'mine' | 'theirs' }>) {
      return change(state, payload.key, (work) => ({
        ...work,
        ...settled<unknown>(work, payload.clash, payload.keep),
      }));
    },
    sending(state, { payload }: PayloadAction<{ key: WorkKey; sent: Sent }>) {
      return change(state, payload.key, (work) => ({ ...work, inFlight: payload.sent, trouble: null }));
    },
    answered(state, { payload }: PayloadAction<{ key: WorkKey; outcome: Outcome }>) {
      return change(state, payload.key, (work) => answeredWork(work, payload.outcome));
    },
    /** What waited for the passcode may be sent. */
    signedIn(state): WorkState {
      const works = Object.values(state.byKey).map((work) =>
        work.trouble === 'signed-out' ? troubled(work, null) : work,
      );
      return { ...state, byKey: Object.fromEntries(works.map((work) => [work.key, work])) };
    },
    /** News: what the kitchen holds now, whoever changed it. */
    heardOf(state, { payload }: PayloadAction<{ key: WorkKey; held: Held }>) {
      return change(state, payload.key, (work) => heardWork(work, payload.held));
    },
    kept(state, { payload }: PayloadAction<{ key: WorkKey; kept: boolean }>) {
      return change(state, payload.key, (work) =>
        work.unkept === !payload.kept ? work : { ...work, unkept: !payload.kept },
      );
    },
    /** Of another kitchen, or nobody's any more. */
    forgotten(): WorkState {
      return initialState;
    },
  },
});

const troubled = (work: Work, trouble: Trouble): Work => ({ ...work, trouble });

const followed = (
  work: Work,
  draft: Draft<unknown>,
  { revision, beside }: Pick<Held, 'revision' | 'beside'>,
): Work => ({
  ...work,
  ...draft,
  revision,
  beside,
  trouble: null,
});

function answeredWork(work: Work, outcome: Outcome): Work {
  const rules = rulesOf(work.key);
  switch (outcome.status) {
    case 'taken':
      return followed(work, taken<unknown>(work, outcome.held.doc, rules), outcome.held);
    case 'clash':
      return followed(work, notTaken<unknown>(work, outcome.held.doc, rules), outcome.held);
    case 'refused':
      return { ...work, ...refusedBy<unknown>(work, outcome.why), trouble: null };
    case 'signed-out':
      return troubled(work, 'signed-out');
    case 'away':
    case 'broke':
      return troubled(work, 'away');
  }
}

/** Something older came late, or out of a store: it is known already. */
const heardWork = (work: Work, held: Held): Work =>
  work.inFlight !== null || held.revision <= work.revision
    ? work
    : followed(work, heard<unknown>(work, held.doc, rulesOf(work.key)), held);

/** What this tab kept of it, or what the kitchen holds; then the work of tabs that are gone. */
function openedWork(key: WorkKey, held: Held | null, found: FoundWork): Work | null {
  const mine = found.mine && ofToday(found.mine);
  const orphans = found.orphans.map(ofToday);
  const first = mine ?? orphans.at(-1);
  const others = orphans.filter((one) => one !== first);
  const start = first ? fromKept(first) : held && { ...draftOf(held.doc), ...about(key, held) };
  if (!start) return null;
  const now = held ? heardWork(start, held) : start;
  return others.reduce((work, orphan) => {
    const rules = rulesOf(key);
    // What it knew and this one does not yet would look as if somebody had taken it back.
    const level =
      orphan.revision > work.revision
        ? followed(work, broughtTo<unknown>(work, orphan.base, rules), orphan)
        : work;
    return { ...level, ...takenOver<unknown>(level, orphan, rules) };
  }, now);
}

/** A browser may have kept it for a release that knew no stages. */
function ofToday(work: KeptWork): KeptWork {
  if (readKey(work.key).kind !== 'formula') return work;
  return { ...work, base: inStages(work.base as Formula), doc: inStages(work.doc as Formula) };
}

const about = (
  key: WorkKey,
  { revision, beside }: Pick<Held, 'revision' | 'beside'>,
): Omit<Work, keyof Draft<unknown>> => ({ key, revision, beside, trouble: null, unkept: false });

const fromKept = ({ kitchen: _kitchen, tab: _tab, keptAt: _keptAt, key, ...kept }: KeptWork): Work => ({
  ...kept,
  ...about(key, kept),
});

const put = (state: WorkState, work: Work): WorkState => ({
  ...state,
  byKey: { ...state.byKey, [work.key]: work },
});

function change(state: WorkState, key: WorkKey, next: (work: Work) => Work): WorkState {
  const work = state.byKey[key];
  return work ? put(state, next(work)) : state;
}

export const workReducer = slice.reducer;
export const {
  answered,
  clashSettled,
  edited,
  forgotten,
  heardOf,
  kept,
  opened,
  proposed,
  redone,
  sending,
  signedIn,
  undone,
} = slice.actions;
