import type { Shelf } from '#contract';
import { shelfToolWords } from '#words/screens/shelfTools';
import { Button } from '../../ui/Button';
import type { Moved } from './useMoves';

/** What was moved where, and back with one press. */
export function MovedNotice({ moved, onUndo }: { moved: Moved; onUndo: () => void }) {
  const where: Record<Shelf, string> = {
    shelf: shelfToolWords.isBackOnTheShelf,
    archive: shelfToolWords.isInTheArchive,
    bin: shelfToolWords.isInTheBinKept,
  };
  const whereAll: Record<Shelf, string> = {
    shelf: shelfToolWords.areBackOnTheShelf,
    archive: shelfToolWords.areInTheArchive,
    bin: shelfToolWords.areInTheBin,
  };
  return (
    <p role="status" className="card mt-2 flex items-center gap-3 px-3 py-1.5">
      {moved.records.length === 1
        ? shelfToolWords.nameIs(moved.records[0]!.formula.name, where[moved.to])
        : shelfToolWords.severalAre(moved.records.length, whereAll[moved.to])}
      <Button onClick={onUndo}>{shelfToolWords.undo}</Button>
    </p>
  );
}
