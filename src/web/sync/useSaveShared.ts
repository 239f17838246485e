/** Saving from a form: under way, saved, kept for later, or not, and why. */
import { useState } from 'react';
import type { Docs, Kind } from './shared';
import { saveShared, type Saved } from './useWork';

interface Saving {
  readonly isLoading: boolean;
  readonly isError: boolean;
  readonly error: unknown;
  /** What came of the last one. */
  readonly came: Saved | null;
}

const STILL: Saving = { isLoading: false, isError: false, error: undefined, came: null };

export function useSaveShared<K extends Kind>(
  kind: K,
): [save: (id: string, from: Docs[K], to: Docs[K]) => Promise<Saved>, saving: Saving] {
  const [saving, setSaving] = useState<Saving>(STILL);
  const save = async (id: string, from: Docs[K], to: Docs[K]): Promise<Saved> => {
    setSaving({ ...STILL, isLoading: true });
    try {
      const came = await saveShared(kind, id, from, to);
      setSaving({ ...STILL, came });
      return came;
    } catch (error) {
      setSaving({ ...STILL, isError: true, error });
      throw error;
    }
  };
  return [save, saving];
}
