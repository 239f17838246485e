/** Paper from the server: asked for, then opened where the browser can show it, or saved. */
import { useState } from 'react';
import { saveBlob } from '../ui/saveFile';
import type { ErrorBody, PrintLabel, PrintSheet, PrintStrip } from '#contract';

interface Papers {
  readonly label: PrintLabel;
  readonly sheet: PrintSheet;
  readonly strip: PrintStrip;
}

export interface Printing {
  readonly busy: boolean;
  readonly error: string | null;
  readonly print: <K extends keyof Papers>(kind: K, paper: Papers[K], fileName: string) => Promise<void>;
}

export function usePaper(): Printing {
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const print: Printing['print'] = async (kind, paper, fileName) => {
    setBusy(true);
    setError(null);
    try {
      const response = await fetch(`/api/print/${kind}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(paper),
      });
      if (!response.ok) {
        const body = (await response.json().catch(() => null)) as Partial<ErrorBody> | null;
        setError(body?.error?.message ?? 'The server could not print it. Try once more.');
        return;
      }
      saveBlob(await response.blob(), fileName);
    } catch {
      setError('The kitchen’s server cannot be reached. Print it once it is back.');
    } finally {
      setBusy(false);
    }
  };
  return { busy, error, print };
}
