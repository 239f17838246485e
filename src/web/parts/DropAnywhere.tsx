import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { frameLaterWords } from '#words/screens/frameLater';

const BACKUP = /\.ygrana$/i;
/** What a page is entered with after files were dropped. */
export interface Dropped {
  readonly dropped: readonly File[];
}
export const droppedIn = (state: unknown): readonly File[] =>
  typeof state === 'object' && state !== null && 'dropped' in state && Array.isArray(state.dropped)
    ? state.dropped.filter((one): one is File => one instanceof File)
    : [];

/** Files let go anywhere over the page are brought in: a backup is asked about in Settings, the rest is read. */
export function DropAnywhere() {
  const [over, setOver] = useState(false);
  const navigate = useNavigate();
  useEffect(() => {
    const hasFiles = (event: DragEvent): boolean => event.dataTransfer?.types.includes('Files') ?? false;
    const enter = (event: DragEvent): void => {
      if (!hasFiles(event)) return;
      event.preventDefault();
      setOver(true);
    };
    const leave = (event: DragEvent): void => {
      if (event.relatedTarget === null) setOver(false);
    };
    const drop = (event: DragEvent): void => {
      if (!hasFiles(event) || event.defaultPrevented) return;
      event.preventDefault();
      setOver(false);
      const dropped = [...(event.dataTransfer?.files ?? [])];
      if (dropped.length === 0) return;
      const to = dropped.some(({ name }) => BACKUP.test(name)) ? '/settings' : '/import';
      void navigate(to, { state: { dropped } satisfies Dropped });
    };
    window.addEventListener('dragenter', enter);
    window.addEventListener('dragover', enter);
    window.addEventListener('dragleave', leave);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragenter', enter);
      window.removeEventListener('dragover', enter);
      window.removeEventListener('dragleave', leave);
      window.removeEventListener('drop', drop);
    };
  }, [navigate]);
  return over ? (
    <div
      role="status"
      className="pointer-events-none fixed inset-3 z-50 grid place-items-center rounded-lg border-4 border-dashed border-leaf bg-mint/90 text-xl font-semibold"
    >
      {frameLaterWords.letGoToBringIn}
    </div>
  ) : null;
}
