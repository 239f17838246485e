import { useMemo } from 'react';
import { JARS, type JarToMake } from '#core/liking';
import { weighedFormula } from '#kitchen/edits';
import { fromLikingWords } from '#words/screens/fromLiking';
import { useKitchen } from '../../data/kitchen';
import { sayError } from '../../data/kitchenApi';
import { useFormulasById } from '../../data/shelf';
import { useChoices } from '../../parts/FormulaChoice';
import { NextStep } from '../../parts/NextStep';
import { SearchState } from '../../parts/SearchState';
import { newId } from '../../sync/device';
import { useOpenDraft } from '../../parts/useOpenDraft';
import { useKept } from '../../sync/useKept';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { useSearch } from '../../workers/useSearch';
import { LikingAnswer } from './LikingAnswer';
import { TastedRow } from './TastedRow';
import { useAsked, withSaid, type TastedJar } from './tastedJars';

const NONE: readonly TastedJar[] = [];
/** A jar to taste, not a batch, g. */
const TASTING_G = 150;
const MOST_NAME = 120;

/** From two to five jars that were tasted: the direction, a style of one's own, and what to make next. */
export function FromLikingPage() {
  const kitchen = useKitchen();
  const first = useChoices('', false);
  const [kept, setKept] = useKept<readonly TastedJar[]>('from-liking', NONE);
  const start = useMemo(
    () =>
      (first?.records ?? [])
        .slice(0, JARS.least)
        .map(({ id }): TastedJar => ({ formulaId: id, said: 'liked', chips: [] })),
    [first],
  );
  const jars = kept.length > 0 ? kept : start;
  const found = useFormulasById(jars.map(({ formulaId }) => formulaId));
  const records = useMemo(() => [...found, ...(first?.records ?? [])], [found, first]);
  const recordOf = (id: string) => records.find((record) => record.id === id) ?? null;
  const { question, empty } = useAsked(jars, records, kitchen);
  const { search, stop, again } = useSearch('liking', question);
  const draft = useOpenDraft();
  const open = (name: string, { portions }: JarToMake): void => {
    const parts = portions.map(({ ingredient, form, massG }) => ({ ingredient, form, massG: massG.nominal }));
    void draft.open(weighedFormula(name.slice(0, MOST_NAME), parts, kitchen.settings, newId, TASTING_G));
  };
  const setJar = (at: number, jar: TastedJar): void => {
    setKept(jars.map((one, i) => (i === at ? jar : one)));
  };
  const unused = records.find(({ id }) => jars.every(({ formulaId }) => formulaId !== id));
  const isTwice = new Set(jars.map(({ formulaId }) => formulaId)).size < jars.length;
  const best =
    jars.find(({ said }) => said === 'more') ?? jars.find(({ said }) => said === 'liked') ?? jars[0];
  if (first?.total === 0)
    return <NextStep says={fromLikingWords.nothingOnTheShelf} label={fromLikingWords.toTheShelf} to="/" />;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5">
      <h1 className="font-name text-2xl font-bold">{fromLikingWords.fromALiking}</h1>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[400px_minmax(0,1fr)]">
        <section
          aria-label={fromLikingWords.jarsTasted}
          className="card grid content-start gap-3 self-start p-4"
        >
          <h2 className="font-name font-bold">{fromLikingWords.jarsTasted}</h2>
          <ol className="grid gap-3">
            {jars.map((jar, at) => (
              <TastedRow
                key={at}
                jar={jar}
                number={at + 1}
                record={recordOf(jar.formulaId)}
                onJar={(next) => {
                  setJar(at, next);
                }}
                onSaid={(said) => {
                  setKept(withSaid(jars, at, said));
                }}
                onRemove={
                  jars.length > JARS.least
                    ? () => {
                        setKept(jars.filter((_, i) => i !== at));
                      }
                    : null
                }
              />
            ))}
          </ol>
          {jars.length < JARS.most && unused && (
            <Button
              className="justify-self-start"
              onClick={() => {
                setKept([...jars, { formulaId: unused.id, said: 'liked', chips: [] }]);
              }}
            >
              {fromLikingWords.anotherJar}
            </Button>
          )}
        </section>
        <section
          aria-label={fromLikingWords.fromALiking}
          className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-4"
        >
          {isTwice && <p role="alert">{fromLikingWords.twice}</p>}
          {empty && <p role="alert">{fromLikingWords.empty(empty.formula.name)}</p>}
          {!question && !isTwice && !empty && <p className="text-quiet">{fromLikingWords.chooseTwo}</p>}
          {question && (
            <SearchState search={search} what={fromLikingWords.working} onStop={stop} onAgain={again} />
          )}
          {question && search.status === 'done' && (
            <LikingAnswer
              {...search.answer}
              base={recordOf(best?.formulaId ?? '')?.formula.name ?? ''}
              fromNot={jars.some(({ said }) => said === 'not')}
              settings={kitchen.settings}
              toG={TASTING_G}
              busy={draft.busy}
              onOpen={open}
            />
          )}
          {draft.error !== undefined && <Alert>{fromLikingWords.notOpened(sayError(draft.error))}</Alert>}
        </section>
      </div>
    </div>
  );
}
