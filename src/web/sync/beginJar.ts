/**
 * A jar begins from a version. What was changed since is frozen with it, as it stands now, when it is sent: the
 * making goes on at once, whether the kitchen is there or not.
 */
import { useState } from 'react';
import { sameContent } from '#core/formula';
import { frameWords } from '#words/screens/frame';
import { newId } from './device';
import { put } from './outbox';
import type { BegunJar } from './outboxSlice';
import type { WorkingFormula } from './working';

interface BeginJar {
  /** What the main action says. */
  readonly version: { readonly number: number; readonly freezes: boolean };
  /** A change that clashes is to be settled first: what is made must be what is meant. */
  readonly ready: boolean;
  readonly busy: boolean;
  /** @returns the new jar's id */
  readonly begin: (jar: Pick<BegunJar, 'vesselId' | 'lines' | 'making'>) => Promise<string>;
}

export function useBeginJar(working: WorkingFormula): BeginJar {
  const { id: formulaId, formula, baseVersion } = working;
  const [busy, setBusy] = useState(false);
  const freezes = baseVersion === null || !sameContent(baseVersion.formula, formula);
  const begin: BeginJar['begin'] = async (jar) => {
    setBusy(true);
    const id = newId();
    const from = freezes
      ? { freeze: { formula, note: frameWords.forAJar } }
      : { version: baseVersion.number };
    const begun = { id, formulaId, styleId: formula.styleId, ...from, ...jar };
    await put({ kind: 'begin', formulaId, jar: begun });
    setBusy(false);
    return id;
  };
  return {
    version: { number: freezes ? working.latestNumber + 1 : baseVersion.number, freezes },
    ready: working.clashes.length === 0,
    busy,
    begin,
  };
}
