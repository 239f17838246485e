/** A jar begins from a version: working changes are frozen first. */
import { useState } from 'react';
import { sameContent } from '#core/formula';
import type { NewTrial } from '#contract';
import { frameWords } from '#words/screens/frame';
import { useBeginTrialMutation } from '../data/kitchenApi';
import { byNow, newId } from './device';
import { useFreezeNow } from './freeze';
import type { WorkingFormula } from './workingSlice';

interface BeginJar {
  /** What the main action says. */
  readonly version: { readonly number: number; readonly freezes: boolean };
  readonly ready: boolean;
  readonly busy: boolean;
  readonly error: unknown;
  /** The new jar's id, or null where it did not begin: see `error`. */
  readonly begin: (
    jar: Pick<NewTrial, 'vesselId' | 'lines'> & Pick<Partial<NewTrial>, 'making'>,
  ) => Promise<string | null>;
}

export function useBeginJar(working: WorkingFormula): BeginJar {
  const { id, formula, baseVersion } = working;
  const freezing = useFreezeNow();
  const [start, starting] = useBeginTrialMutation();
  // One id for the try: sent again after a failure it is the same jar.
  const [trialId, setTrialId] = useState(newId);
  const freezes = baseVersion === null || !sameContent(baseVersion.formula, formula);
  const begin: BeginJar['begin'] = async (jar) => {
    try {
      let number = baseVersion?.number ?? 0;
      if (freezes) {
        number = (await freezing.freezeNow(working, frameWords.forAJar)).number;
      }
      await start({
        id: trialId,
        formulaId: id,
        version: number,
        styleId: formula.styleId,
        by: byNow(),
        ...jar,
      }).unwrap();
      setTrialId(newId());
      return trialId;
    } catch {
      return null;
    }
  };
  return {
    version: { number: freezes ? working.latestNumber + 1 : baseVersion.number, freezes },
    ready: working.save === 'saved',
    busy: freezing.isLoading || starting.isLoading,
    error: freezing.error ?? starting.error,
    begin,
  };
}
