import { useRef, useState } from 'react';
import type { ErrorBody } from '#contract';
import { Link } from 'react-router';
import { Button } from '../../ui/Button';
import { Panel } from '../../ui/Panel';

/** The whole kitchen as one file, and back. */
export function BackupPart() {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File | null>(null);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const restore = async (chosen: File): Promise<void> => {
    setBusy(true);
    setError(null);
    try {
      const response = await fetch('/api/restore', {
        method: 'POST',
        headers: { 'content-type': 'application/gzip' },
        body: chosen,
      });
      if (response.ok) {
        const { formulas } = (await response.json()) as { formulas: number };
        setDone(`Restored: ${formulas} formulas. What was there before is laid aside in the data folder.`);
        setFile(null);
        window.location.assign('/');
      } else {
        const body = (await response.json().catch(() => null)) as Partial<ErrorBody> | null;
        setError(body?.error?.message ?? 'The server refused the file. Nothing was changed.');
      }
    } catch {
      setError('The kitchen’s server cannot be reached. Nothing was changed.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <section aria-label="Backup" className="card mx-auto mt-3 grid max-w-3xl gap-3 p-5">
      <h2 className="font-name text-lg font-bold">Backup</h2>
      <p className="text-quiet">
        One file holds everything: formulas, versions, jars, batches, pantry, log, settings. Keep it on
        another machine.
      </p>
      <div className="flex flex-wrap gap-3">
        <a
          href="/api/backup"
          download
          className="inline-flex min-h-8 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-bottle hover:bg-mint"
        >
          Save a backup
        </a>
        <Button onClick={() => input.current?.click()}>Restore from a file…</Button>
        <input
          ref={input}
          type="file"
          aria-label="Backup file"
          accept=".ygrana,application/gzip"
          className="sr-only"
          tabIndex={-1}
          onChange={({ target }) => {
            setError(null);
            setFile(target.files?.[0] ?? null);
            target.value = '';
          }}
        />
      </div>
      <p>
        <Link to="/import" className="text-bottle underline">
          Bring in a recipe or a document
        </Link>
        ,{' '}
        <Link to="/tables" className="text-bottle underline">
          tables for a spreadsheet
        </Link>
        ,{' '}
        <a href="/api/document" download className="text-bottle underline">
          all formulas as one document
        </a>
        ,{' '}
        <Link to="/toolmakers" className="text-bottle underline">
          for tools of your own
        </Link>
        .
      </p>
      {done && <p role="status">{done}</p>}
      <Panel
        title="Replace the whole kitchen?"
        open={file !== null}
        onClose={() => {
          if (!busy) setFile(null);
        }}
      >
        <p className="mb-3">
          Everything in this kitchen is replaced by {file?.name}. The file is checked first; what is here now
          is laid aside as a backup of its own.
        </p>
        {error && (
          <p role="alert" className="mb-3 font-semibold text-acid-ink">
            {error}
          </p>
        )}
        <div className="flex gap-3">
          <Button
            kind="main"
            disabled={busy}
            onClick={() => {
              if (file) void restore(file);
            }}
          >
            {busy ? 'Checking and replacing…' : 'Replace it'}
          </Button>
          <Button
            disabled={busy}
            onClick={() => {
              setFile(null);
            }}
          >
            Leave it as it is
          </Button>
        </div>
      </Panel>
    </section>
  );
}
