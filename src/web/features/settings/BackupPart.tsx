import { useRef, useState } from 'react';
import { DEFAULT_SETTINGS, type ErrorBody } from '#contract';
import { Link, useLocation } from 'react-router';
import { droppedIn } from '../../parts/DropAnywhere';
import { formatBytes, formatDay, formatNumber } from '#words/numbers';
import { settingsWords } from '#words/screens/settings';
import { useKitchen } from '../../data/kitchen';
import { useBackupsQuery, useRestoringQuery } from '../../data/kitchenApi';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';

const WHILE_RESTORING_MS = 700;

/** How the daily ones stand: made without being asked, they must be seen to be there. */
function DailyBackups() {
  const { data } = useBackupsQuery(undefined, { refetchOnMountOrArgChange: true });
  const kitchen = useKitchen();
  if (!data) return null;
  const { newest, kept, folder, second, trouble, clockJumpedDays } = data;
  return (
    <div className="grid gap-1" data-testid="daily-backups">
      <p>
        {newest
          ? settingsWords.newestDaily(
              formatDay(newest.day),
              formatBytes(newest.bytes, kitchen.settings),
              kept,
            )
          : settingsWords.noDailyYet}
      </p>
      <p className="text-sm text-quiet">
        {settingsWords.dailyFolder(folder)}{' '}
        {second ? settingsWords.secondPlace(second.folder) : settingsWords.noSecondPlace}
      </p>
      {[trouble, second?.trouble, clockJumpedDays !== null && settingsWords.clockJumped(clockJumpedDays)]
        .filter((text): text is string => typeof text === 'string')
        .map((text) => (
          <Alert key={text}>{text}</Alert>
        ))}
    </div>
  );
}

/** What the kitchen is at, while it restores. */
function RestoreStage() {
  const { data } = useRestoringQuery(undefined, { pollingInterval: WHILE_RESTORING_MS });
  const { stage, rows } = data ?? { stage: 'none', rows: 0 };
  const words = settingsWords.restoreStage[stage];
  return (
    <p role="status" className="mb-3">
      {rows > 0 ? settingsWords.restoreRows(words, formatNumber(rows, 0, DEFAULT_SETTINGS)) : words}
    </p>
  );
}

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
        setDone(settingsWords.restoredFormulasFormulasWhatWas(formulas));
        setFile(null);
        window.location.assign('/');
      } else {
        const body = (await response.json().catch(() => null)) as Partial<ErrorBody> | null;
        setError(body?.error?.message ?? settingsWords.theServerRefusedTheFile);
      }
    } catch {
      setError(settingsWords.theKitchenSServerCannot);
    } finally {
      setBusy(false);
    }
  };
  const [dropped] = droppedIn(useLocation().state);
  const [asked, setAsked] = useState<File | undefined>(undefined);
  if (dropped && dropped !== asked) {
    setAsked(dropped);
    setError(null);
    setFile(dropped);
  }
  return (
    <section aria-label={settingsWords.backup} className="card grid gap-3 p-5">
      <h2 className="font-name text-lg font-bold">{settingsWords.backup}</h2>
      <p className="text-quiet">{settingsWords.oneFileHoldsEverythingFormulas}</p>
      <DailyBackups />
      <div className="flex flex-wrap gap-3">
        <a
          href="/api/backup"
          download
          className="inline-flex min-h-8 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint"
        >
          {settingsWords.saveABackup}
        </a>
        <Button onClick={() => input.current?.click()}>{settingsWords.restoreFromAFile}</Button>
        <input
          ref={input}
          type="file"
          aria-label={settingsWords.backupFile}
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
        <Link to="/import" className="text-leaf underline">
          {settingsWords.bringInARecipeOr}
        </Link>
        ,{' '}
        <Link to="/tables" className="text-leaf underline">
          {settingsWords.tablesForASpreadsheet}
        </Link>
        ,{' '}
        <a href="/api/document" download className="text-leaf underline">
          {settingsWords.allFormulasAsOneDocument}
        </a>
        ,{' '}
        <Link to="/toolmakers" className="text-leaf underline">
          {settingsWords.forToolsOfYourOwn}
        </Link>
        .
      </p>
      {done && <p role="status">{done}</p>}
      <Dialog
        title={settingsWords.replaceTheWholeKitchen}
        open={file !== null}
        onClose={() => {
          if (!busy) setFile(null);
        }}
      >
        <p className="mb-3">
          {settingsWords.everythingInThisKitchenIs} {file?.name}
          {settingsWords.theFileIsCheckedFirst}
        </p>
        {error && <Alert className="mb-3">{error}</Alert>}
        {busy && <RestoreStage />}
        <div className="flex gap-3">
          <Button
            kind="main"
            disabled={busy}
            onClick={() => {
              if (file) void restore(file);
            }}
          >
            {busy ? settingsWords.checkingAndReplacing : settingsWords.replaceIt}
          </Button>
          <Button
            disabled={busy}
            onClick={() => {
              setFile(null);
            }}
          >
            {settingsWords.leaveItAsItIs}
          </Button>
        </div>
      </Dialog>
    </section>
  );
}
