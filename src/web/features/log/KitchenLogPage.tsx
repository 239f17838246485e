import { useState } from 'react';
import { Link } from 'react-router';
import type { LogEntry } from '#contract';
import { logWords } from '#words/screens/log';
import { useCooksQuery, useKitchenLogQuery } from '../../data/kitchenApi';
import { formatMoment } from '#words/numbers';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { useEventWords } from '../../parts/JarLog';
import { Loading, Trouble } from '../../parts/PageState';
import { KitchenNews } from './KitchenNews';

const EVERY = 'every';

/** The whole kitchen's log, newest first, and what it comes to. */
export function KitchenLogPage() {
  const { catalogue, settings } = useKitchen();
  const cooks = useCooksQuery().data ?? [];
  const [q, setQ] = useState('');
  const [cook, setCook] = useState('');
  /** Pages behind this one; the last is shown. */
  const [pages, setPages] = useState<readonly number[]>([]);
  const before = pages.at(-1);
  const { data, error, refetch, isFetching } = useKitchenLogQuery({
    q: q.trim(),
    cook,
    ...(before === undefined ? {} : { before }),
  });
  const words = useEventWords(catalogue, settings);
  const search = (change: () => void): void => {
    change();
    setPages([]);
  };
  const initialsOf = new Map(cooks.map(({ id, initials }) => [id, `, ${initials}`]));
  const who = (entry: LogEntry): string => initialsOf.get(entry.by.cookId ?? '') ?? '';
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <h1 className="font-name text-2xl font-bold">{logWords.log2}</h1>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_420px]">
        <section aria-label={logWords.whatHappened} className="card content-start p-4">
          <div className="mb-3 flex flex-wrap items-end gap-3">
            <Field
              label={logWords.searchTheNotes}
              className="min-w-52 flex-1"
              value={q}
              onText={(text) => {
                search(() => {
                  setQ(text);
                });
              }}
            />
            <Choice
              label={logWords.cook}
              value={cook || EVERY}
              options={[
                { value: EVERY, label: logWords.everyCook },
                ...cooks.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChange={(value) => {
                search(() => {
                  setCook(value === EVERY ? '' : value);
                });
              }}
            />
          </div>
          {!data && error && <Trouble error={error} retry={() => void refetch()} />}
          {!data && !error && <Loading what={logWords.theLog} />}
          {data && (
            <>
              {data.entries.length === 0 && (
                <p className="text-quiet">
                  {q || cook ? logWords.nothingInTheLogFits : logWords.nothingWasMadeYet}
                </p>
              )}
              <ol className={`text-sm ${isFetching ? 'opacity-60' : ''}`} data-testid="kitchen-log">
                {data.entries.map((entry) => (
                  <li
                    key={entry.id}
                    className="grid sm:grid-cols-[13rem_minmax(0,1fr)] gap-3 border-b border-rule py-1.5"
                  >
                    <span className="text-quiet">
                      {formatMoment(entry.at)}
                      {who(entry)}
                    </span>
                    <span>
                      <Link
                        to={`/formulas/${entry.formulaId}/log`}
                        className="font-semibold text-leaf underline"
                      >
                        {entry.formulaName ?? logWords.aFormulaThatIsGone} v{entry.version}
                      </Link>{' '}
                      {words(entry.event, null)}
                    </span>
                  </li>
                ))}
              </ol>
              <div className="mt-3 flex gap-3">
                <Button
                  disabled={pages.length === 0}
                  onClick={() => {
                    setPages(pages.slice(0, -1));
                  }}
                >
                  {logWords.newer}
                </Button>
                <Button
                  disabled={data.next === null}
                  onClick={() => {
                    if (data.next !== null) setPages([...pages, data.next]);
                  }}
                >
                  {logWords.older}
                </Button>
              </div>
            </>
          )}
        </section>
        <KitchenNews />
      </div>
    </div>
  );
}
