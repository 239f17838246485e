import { skipToken } from '@reduxjs/toolkit/query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { logWords } from '#words/screens/log';
import { useJarTimesQuery, useKitchenJarsQuery } from '../../data/kitchenApi';
import { useKitchen } from '../../data/kitchen';
import { useWithWaiting } from '../../data/jars';
import { Loading, Trouble } from '../../parts/PageState';
import { NextStep } from '../../parts/NextStep';
import { Button } from '../../ui/Button';
import { ComesToCard } from './ComesToCard';
import { DiaryRow } from './DiaryRow';
import { LogFields } from './LogFields';
import { asked, dayOf, logFilterFrom, type LogFilter } from './logFilter';
import { MonthStrip } from './MonthStrip';

/** The whole kitchen's jars in the order of time, and before them what they come to. */
export function KitchenLogPage() {
  const [params, setParams] = useSearchParams();
  const filter = logFilterFrom(params);
  const query = asked(filter);
  const times = useJarTimesQuery(asked({ ...filter, from: '', to: '' }) ?? skipToken).data;
  const set = (patch: Partial<LogFilter>): void => {
    const next = Object.entries({ ...filter, ...patch }).filter(([, value]) => value !== '');
    setParams(Object.fromEntries(next), { replace: true });
  };
  const isEmpty = params.size === 0 && times?.times.length === 0;
  return (
    <div className="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-3">
      <h1 className="font-name text-2xl font-bold">{logWords.log2}</h1>
      {!isEmpty && <ComesToCard />}
      <section aria-label={logWords.jars} className="card p-4">
        {!isEmpty && (
          <LogFields
            filter={filter}
            bottles={times?.bottles ?? []}
            formulas={times?.formulas ?? []}
            set={set}
          />
        )}
        {times && times.times.length > 0 && (
          <MonthStrip
            key={times.times[0]}
            days={times.times.map(dayOf)}
            chosen={filter.from === filter.to ? filter.from : ''}
            onDay={(day) => {
              set({ from: day, to: day });
            }}
          />
        )}
        <Diary key={JSON.stringify(query)} query={query} filtered={params.size > 0} />
      </section>
    </div>
  );
}

/** Page after page, the earlier ones staying where they are. */
function Diary({ query, filtered }: { query: ReturnType<typeof asked>; filtered: boolean }) {
  const [pages, setPages] = useState<readonly (string | null)[]>([null]);
  return (
    <div data-testid="kitchen-log">
      {pages.map((before, i) => (
        <DiaryPage
          key={before ?? 'newest'}
          query={query}
          before={before}
          filtered={filtered}
          onMore={
            i === pages.length - 1
              ? (next) => {
                  setPages([...pages, next]);
                }
              : null
          }
        />
      ))}
    </div>
  );
}

interface DiaryPageProps {
  readonly query: ReturnType<typeof asked>;
  readonly before: string | null;
  readonly filtered: boolean;
  /** Null: another page follows this one already. */
  readonly onMore: ((next: string) => void) | null;
}

function DiaryPage({ query, before, filtered, onMore }: DiaryPageProps) {
  const kitchen = useKitchen();
  const { data, error, refetch } = useKitchenJarsQuery(
    query === null ? skipToken : { ...query, ...(before === null ? {} : { before }) },
  );
  const jars = useWithWaiting(data?.jars);
  if (query === null) return <p className="text-quiet">{logWords.noJarFitsThisSearch}</p>;
  if (!jars)
    return error ? (
      <Trouble error={error} retry={() => void refetch()} />
    ) : (
      <Loading what={logWords.theLog} />
    );
  return (
    <>
      {jars.length === 0 &&
        (filtered ? (
          <p className="text-quiet">{logWords.noJarFitsThisSearch}</p>
        ) : (
          <NextStep says={logWords.nothingWasMadeYet} label={logWords.chooseADressingToMake} to="/" />
        ))}
      {jars.map((jar) => (
        <DiaryRow
          key={jar.id}
          jar={jar}
          name={data?.names[jar.formulaId] ?? logWords.aFormulaThatIsGone}
          kitchen={kitchen}
          open={false}
        />
      ))}
      {onMore && data?.next && (
        <Button
          className="mt-3"
          onClick={() => {
            onMore(data.next!);
          }}
        >
          {logWords.older}
        </Button>
      )}
    </>
  );
}
