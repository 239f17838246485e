/** Paper from the server: asked for, then opened where the browser can show it, or saved. */
import { readerHere } from '#words/numbers';
import { useState } from 'react';
import type { ErrorBody, PrintSheet, PrintStrip } from '#contract';
import { partsWords } from '#words/screens/parts';
import { saveBlob } from '../ui/saveFile';

/** What only this screen knows is sent; what the kitchen holds is asked for by its id. */
interface Sent {
  readonly sheet: PrintSheet;
  readonly strip: PrintStrip;
}

export interface Printing {
  readonly busy: boolean;
  readonly error: string | null;
  readonly print: <K extends keyof Sent>(kind: K, paper: Sent[K], fileName: string) => Promise<void>;
  /** @param path below /api/print */
  readonly printHeld: (
    path: string,
    fileName: string,
    query?: Readonly<Record<string, string>>,
  ) => Promise<void>;
}

export function usePaper(): Printing {
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const ask = async (path: string, init: RequestInit, fileName: string): Promise<void> => {
    setBusy(true);
    setError(null);
    try {
      const response = await fetch(`/api/print/${path}`, init);
      if (!response.ok) {
        const body = (await response.json().catch(() => null)) as Partial<ErrorBody> | null;
        setError(body?.error?.message ?? partsWords.theServerCouldNotPrint);
        return;
      }
      saveBlob(await response.blob(), fileName);
    } catch {
      setError(partsWords.theKitchenSServerCannotBe);
    } finally {
      setBusy(false);
    }
  };
  return {
    busy,
    error,
    print: (kind, paper, fileName) =>
      ask(
        kind,
        { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(paper) },
        fileName,
      ),
    printHeld: (path, fileName, query = {}) =>
      ask(`${path}?${new URLSearchParams({ ...askingFor(), ...query }).toString()}`, {}, fileName),
  };
}

/** Dates on paper follow the device that asks for it. */
function askingFor(): Record<string, string> {
  const { locale, timeZone } = new Intl.DateTimeFormat().resolvedOptions();
  return { language: readerHere().language ?? locale, timeZone };
}
