import { Plus } from 'lucide-react';
import { Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { ShelfAnswer, ShelfRecord } from '#contract';
import type { Formula, FormulaId } from '#core/formula';
import { shelfWords } from '#words/screens/shelf';
import { Alert } from '../../ui/Alert';
import { sayError, useCreateFormulaMutation } from '../../data/kitchenApi';
import { newId } from '../../sync/device';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Loading, Trouble } from '../../parts/PageState';
import { useStands } from '../../ui/useStands';
import { useShortcuts, type Shortcut } from '../../ui/shortcuts';
import type { ShelfFilter } from '#kitchen/shelf';
import { filterFrom, paramsFrom } from './address';
import { Boards } from './Boards';
import type { JarActions } from './ShelfJar';
import { useShelfChoices, useShelfWindow } from './useShelfWindow';
import { useMoves } from './useMoves';
import { type OpenPanel, ShelfPanel } from './ShelfPanel';
import { later } from '../../ui/later';
/** What making a new one needs is fetched once the shelf stands, so that it is here when the server is not. */
const FETCH_REST_MS = 4000;

// The jars stand first, then what sifts them.
const ShelfTools = later(async () => (await import('./ShelfTools')).ShelfTools);
const ChosenBar = later(async () => (await import('./ChosenBar')).ChosenBar);
const Empty = later(async () => (await import('./Empty')).Empty);
const MovedNotice = later(async () => (await import('./MovedNotice')).MovedNotice, true);
const KeyHelp = later(async () => (await import('../../ui/KeyHelp')).KeyHelp);

export function ShelfPage() {
  const kitchen = useKitchen();
  const [params, setParams] = useSearchParams();
  const filter = useMemo(() => filterFrom(params), [params]);
  const onFilter = (patch: Partial<ShelfFilter>): void => {
    setParams(paramsFrom({ ...filter, ...patch }), { replace: true });
  };
  // As many as a screen shows, until it says where it stands.
  const [seen, setSeen] = useState({ from: 0, to: 0 });
  const shelf = useShelfWindow(filter, seen.from, seen.to);
  const { answer, error, retry } = shelf;
  const choices = useShelfChoices();
  const [create, creating] = useCreateFormulaMutation();
  useRestFetched();
  const moves = useMoves();
  const [panel, setPanel] = useState<OpenPanel | null>(null);
  const [chosen, setChosen] = useState<ReadonlyMap<FormulaId, ShelfRecord> | null>(null);
  const stands = useStands(answer !== undefined);
  const search = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();

  const make = (formula: Formula, open: boolean): void => {
    const id = newId() as FormulaId;
    void create({ id, formula })
      .unwrap()
      .then(
        () => {
          setPanel(null);
          if (open) void navigate(`/formulas/${id}/compose`);
        },
        () => undefined,
      );
  };
  const actions: JarActions = {
    rename: (record) => {
      setPanel({ rename: record });
    },
    duplicate: (record) => {
      make({ ...record.formula, name: shelfWords.nameCopy(record.formula.name).slice(0, 120) }, false);
    },
    move: (record, to) => {
      moves.move([record], to);
    },
  };
  const toggleChoosing = (): void => {
    setChosen(chosen ? null : new Map());
  };
  const shortcuts: readonly Shortcut[] = [
    {
      keys: ['n'],
      does: shelfWords.newFormula2,
      run: () => {
        setPanel('new');
      },
    },
    { keys: ['p'], does: shelfWords.fromThePantryFindTheAmounts, run: () => void navigate('/from-pantry') },
    { keys: ['o'], does: shelfWords.pourFirstKey, run: () => void navigate('/pour') },
    { keys: ['/'], does: shelfWords.searchTheShelf2, run: () => search.current?.focus() },
    { keys: ['mod+z'], does: shelfWords.undoArchivingOrDeleting, run: moves.undo },
    {
      keys: ['x'],
      does: shelfWords.chooseSeveralKey,
      run: toggleChoosing,
    },
    {
      keys: ['?'],
      does: shelfWords.theseKeys,
      run: () => {
        setPanel('keys');
      },
    },
  ];
  useShortcuts(shortcuts);
  if (!answer)
    return error ? <Trouble error={error} retry={retry} /> : <Loading what={shelfWords.theShelf} />;
  return (
    <div className="pt-1">
      <ShelfHead
        answer={answer}
        choosing={chosen !== null}
        onChoosing={toggleChoosing}
        onNew={() => {
          setPanel('new');
        }}
      />
      {answer.everywhere === 0 ? null : stands ? (
        <Suspense fallback={<div className="min-h-9" />}>
          <ShelfTools
            filter={filter}
            onFilter={onFilter}
            searchRef={search}
            acids={choices.acids}
            allergens={choices.allergens}
            stockKnown={Object.values(kitchen.pantry).some(({ onHandG }) => onHandG !== null)}
          />
        </Suspense>
      ) : (
        <div className="min-h-9" />
      )}
      {moves.error !== undefined && (
        <Alert className="mt-2">{shelfWords.notDoneError(sayError(moves.error))}</Alert>
      )}
      <Suspense fallback={null}>
        {moves.last && <MovedNotice moved={moves.last} onUndo={moves.undo} />}
        {chosen && (
          <ChosenBar
            chosen={chosen}
            shown={answer.records}
            place={filter.place}
            onChosen={setChosen}
            onMove={moves.move}
          />
        )}
      </Suspense>
      {answer.total > 0 ? (
        <Boards
          total={answer.total}
          recordAt={shelf.recordAt}
          kitchen={kitchen}
          actions={actions}
          chosen={chosen}
          onChosen={setChosen}
          onSeen={setSeen}
        />
      ) : (
        <Suspense fallback={null}>
          <Empty
            filter={filter}
            total={answer.everywhere}
            pending={answer.pending}
            make={make}
            creating={creating}
            onPlain={() => {
              setParams({}, { replace: true });
            }}
          />
        </Suspense>
      )}
      <ShelfPanel panel={panel} kitchen={kitchen} creating={creating} make={make} setPanel={setPanel} />
      {panel === 'keys' && (
        <Keys
          shortcuts={shortcuts}
          onClose={() => {
            setPanel(null);
          }}
        />
      )}
    </div>
  );
}

function useRestFetched(): void {
  useEffect(() => {
    const fetching = setTimeout(() => {
      Promise.all([import('./NewFormulaPanel'), import('./startOf'), import('../../ui/KeyHelp')]).catch(
        () => undefined,
      );
    }, FETCH_REST_MS);
    return () => {
      clearTimeout(fetching);
    };
  }, []);
}

const Keys = ({ shortcuts, onClose }: { shortcuts: readonly Shortcut[]; onClose: () => void }) => (
  <Suspense fallback={null}>
    <KeyHelp open onClose={onClose} groups={[{ title: shelfWords.onTheShelf, shortcuts }]} />
  </Suspense>
);

function ShelfHead({
  answer,
  choosing,
  onChoosing,
  onNew,
}: {
  answer: ShelfAnswer;
  choosing: boolean;
  onChoosing: () => void;
  onNew: () => void;
}) {
  return (
    <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1 className="font-name text-2xl font-bold">{shelfWords.shelf}</h1>
      <p role="status" className="mr-auto text-sm text-quiet" data-testid="shelf-count">
        {sayCount(answer)}
      </p>
      {answer.total > 1 && (
        <Button aria-pressed={choosing} title={shelfWords.keyX} onClick={onChoosing}>
          {shelfWords.chooseSeveral}
        </Button>
      )}
      <Link
        to="/pour"
        title={shelfWords.keyO}
        className="inline-flex min-h-8 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint"
      >
        {shelfWords.pourFirst}
      </Link>
      <Button kind="main" title={shelfWords.keyN} onClick={onNew}>
        <Plus size={18} aria-hidden /> {shelfWords.newFormula}
      </Button>
    </div>
  );
}

function sayCount({ total, here, pending }: ShelfAnswer): string {
  const count = total === here ? shelfWords.countFormulas(here) : shelfWords.shownOfHere(total, here);
  return pending > 0 ? shelfWords.countPendingStillToBe(count, pending) : count;
}
