import { useEffect, useId, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { findWords } from '#words/screens/find';
import { frameLaterWords } from '#words/screens/frameLater';
import { useSteady } from '../../ui/useSteady';
import { Dialog } from '../../ui/Dialog';
import { useFound, type Found } from './useFound';

/** One field for everything: what is typed is found among formulas, ingredients, jars, batches, pages and what this page can do. */
export function FindPanel({ onClose }: { onClose: () => void }) {
  const [q, setQ] = useState('');
  const [at, setAt] = useState(0);
  const list = useId();
  const navigate = useNavigate();
  const { groups, pending, isFetching, isAway } = useFound(q);
  // Enter came before the answer did: what it finds first is opened then.
  const [entered, setEntered] = useState(false);
  const all = groups.flatMap(({ found }) => found);
  const chosen = Math.min(at, all.length - 1);
  const open = ({ to }: Found): void => {
    onClose();
    if (typeof to === 'string') void navigate(to);
    // Once the sheet is gone: what it does may open another.
    else setTimeout(to);
  };
  const first = all[chosen];
  const openLater = useSteady(open);
  useEffect(() => {
    if (!entered || isFetching) return;
    setEntered(false);
    if (first) openLater(first);
  }, [entered, isFetching, first, openLater]);
  const onKey = (event: KeyboardEvent): void => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (by !== 0 && all.length > 0) {
      event.preventDefault();
      const next = (chosen + by + all.length) % all.length;
      setAt(next);
      document.getElementById(`${list}-${next}`)?.scrollIntoView({ block: 'nearest' });
    } else if (event.key === 'Enter') {
      event.preventDefault();
      if (isFetching) setEntered(true);
      else if (all[chosen]) open(all[chosen]);
    }
  };
  let place = -1;
  return (
    <Dialog title={frameLaterWords.findAnything} open onClose={onClose}>
      <input
        type="search"
        role="combobox"
        aria-label={frameLaterWords.findAnything}
        aria-expanded
        aria-controls={list}
        aria-activedescendant={all.length > 0 ? `${list}-${chosen}` : undefined}
        aria-autocomplete="list"
        autoComplete="off"
        autoFocus
        placeholder={findWords.findPlaceholder}
        className="field min-h-12 w-full text-lg"
        maxLength={200}
        value={q}
        onChange={({ target }) => {
          setQ(target.value);
          setAt(0);
          setEntered(false);
        }}
        onKeyDown={onKey}
      />
      <p role="status" className="sr-only">
        {q.trim() !== '' && findWords.found(all.length)}
      </p>
      <div
        id={list}
        role="listbox"
        aria-label={frameLaterWords.findAnything}
        className="mt-3 grid gap-2"
        data-testid="found"
      >
        {groups.map(({ title, found }) => (
          <div key={title} role="group" aria-label={title}>
            <p aria-hidden className="text-sm font-semibold text-quiet">
              {title}
            </p>
            {found.map((one) => {
              place += 1;
              const here = place;
              return (
                <div
                  key={one.key}
                  id={`${list}-${here}`}
                  role="option"
                  aria-selected={here === chosen}
                  className={`keeps-colour flex min-h-11 cursor-pointer flex-wrap items-center gap-x-3 rounded-md px-3 [overflow-wrap:anywhere] ${here === chosen ? 'bg-bottle text-white' : 'hover:bg-mint'}`}
                  onMouseMove={() => {
                    setAt(here);
                  }}
                  onClick={() => {
                    open(one);
                  }}
                >
                  <span className="min-w-0 flex-1 font-semibold">{one.label}</span>
                  {one.more && <span className="text-sm">{one.more}</span>}
                </div>
              );
            })}
          </div>
        ))}
      </div>
      {q.trim() !== '' && all.length === 0 && !pending && <p>{findWords.nothingFound(q.trim())}</p>}
      {pending && <p className="text-sm text-quiet">{findWords.stillLooking}</p>}
      {isAway && <p className="text-sm">{findWords.onlyHere}</p>}
    </Dialog>
  );
}
