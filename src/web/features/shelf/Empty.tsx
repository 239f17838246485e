import { Suspense } from 'react';
import type { Formula } from '#core/formula';
import { isFiltered, type ShelfFilter } from '#kitchen/shelf';
import { shelfToolWords } from '#words/screens/shelfTools';
import { shelfWords } from '#words/screens/shelf';
import { Loading } from '../../parts/PageState';
import { Button } from '../../ui/Button';
import type { Creating } from './ShelfPanel';
import { later } from '../../ui/later';

/** A kitchen is empty once. */
const FirstJar = later(async () => (await import('./FirstJar')).FirstJar);

/** Why no jar stands here, and what to do about it. */
export function Empty({
  filter,
  total,
  pending,
  onPlain,
  make,
  creating,
}: {
  make: (formula: Formula, open: boolean) => void;
  creating: Creating;
  filter: ShelfFilter;
  total: number;
  pending: number;
  onPlain: () => void;
}) {
  if (pending > 0) return <Loading what={shelfToolWords.whatFitsTheFilter} />;
  if (isFiltered(filter) || (filter.place !== 'shelf' && total > 0)) {
    return (
      <div className="card mx-auto mt-12 max-w-lg p-6">
        <p className="mb-3">
          {isFiltered(filter)
            ? shelfToolWords.nothingHereFitsTheFilter
            : filter.place === 'archive'
              ? shelfToolWords.theArchiveIsEmpty
              : shelfToolWords.theBinIsEmpty}
        </p>
        <Button onClick={onPlain}>{shelfToolWords.showTheWholeShelf}</Button>
      </div>
    );
  }
  if (total > 0)
    return (
      <p className="card mx-auto mt-12 max-w-lg p-6">
        {shelfToolWords.theShelfIsEmptyPress} <strong>{shelfWords.newFormula}</strong>{' '}
        {shelfToolWords.andTypeTheFirstAddition}
      </p>
    );
  return (
    <Suspense fallback={null}>
      <FirstJar make={make} creating={creating} />
    </Suspense>
  );
}
