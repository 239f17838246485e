import { getCoreRowModel, getSortedRowModel, useReactTable, type SortingState } from '@tanstack/react-table';
import { Plus } from 'lucide-react';
import { useMemo, useRef, type RefObject, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { OwnIngredient, PantryEntry } from '#contract';
import { CATEGORIES, normaliseName, type Category } from '#core/ingredient';
import { pantryWords } from '#words/screens/pantry';
import { useOwnIngredientsQuery, usePantryQuery } from '../../data/kitchenApi';
import { entryOf, type Kitchen } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { KeyHelp } from '../../ui/KeyHelp';
import { Trouble } from '../../parts/PageState';
import { useShortcuts, type Shortcut } from '../../ui/shortcuts';
import { CATEGORY_WORDS } from './words';
import { type PantryRow, PantryTable, columnsFor } from './PantryTable';
import { SearchField } from '../../ui/SearchField';

const SHOWS = ['all', 'onhand', 'own', 'bottle'] as const;
type Show = (typeof SHOWS)[number];
const SHOW_WORDS: Record<Show, string> = {
  all: pantryWords.everything,
  onhand: pantryWords.onHand,
  own: pantryWords.ourOwn,
  bottle: pantryWords.withABottleOpen,
};

export function PantryPage() {
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const pantryQuery = usePantryQuery(undefined, { refetchOnMountOrArgChange: true });
  const own = useOwnIngredientsQuery().data;
  const [params, setParams] = useSearchParams();
  const q = params.get('q') ?? '';
  const category = CATEGORIES.find((word) => word === params.get('category')) ?? null;
  const show = SHOWS.find((word) => word === params.get('show')) ?? 'all';
  const set = (patch: Record<string, string>): void => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(patch)) {
      if (value) next.set(key, value);
      else next.delete(key);
    }
    setParams(next, { replace: true });
  };
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  const [showKeys, setShowKeys] = useState(false);
  const search = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const addOwn = (): void => void navigate('/pantry/new');
  const shortcuts: readonly Shortcut[] = [
    { keys: ['/'], does: pantryWords.searchThePantry, run: () => search.current?.focus() },
    { keys: ['n'], does: pantryWords.addOneOfYourOwn, run: addOwn },
    {
      keys: ['?'],
      does: pantryWords.theseKeys,
      run: () => {
        setShowKeys(true);
      },
    },
  ];
  useShortcuts(shortcuts);

  const { all, shown } = usePantryRows(kitchen, own, { q, category, show });
  const table = useReactTable({
    data: shown as PantryRow[],
    columns: useMemo(() => columnsFor(settings), [settings]),
    state: { sorting },
    onSortingChange: setSorting,
    getRowId: ({ ingredient }) => ingredient.id,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    sortDescFirst: false,
  });

  if (pantryQuery.isError && !pantryQuery.data) {
    return <Trouble error={pantryQuery.error} retry={() => void pantryQuery.refetch()} />;
  }
  return (
    <div className="pt-1">
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="font-name text-2xl font-bold">{pantryWords.pantry}</h1>
        <p role="status" className="text-sm text-quiet" data-testid="pantry-count">
          {shown.length === all.length
            ? pantryWords.lengthIngredients(all.length)
            : pantryWords.lengthOfLength2(shown.length, all.length)}
        </p>
        <Button kind="main" className="ml-auto" title={pantryWords.keyN} onClick={addOwn}>
          <Plus size={18} aria-hidden /> {pantryWords.ourOwnIngredient}
        </Button>
      </div>
      <PantrySearch q={q} category={category} show={show} set={set} searchRef={search} />
      {shown.length === 0 ? (
        <NothingShown
          isUnsaid={show === 'onhand' && !q && !category}
          onAll={() => {
            setParams({}, { replace: true });
          }}
          onOwn={addOwn}
        />
      ) : (
        <PantryTable table={table} />
      )}
      <KeyHelp
        open={showKeys}
        onClose={() => {
          setShowKeys(false);
        }}
        groups={[{ title: pantryWords.inThePantry, shortcuts }]}
      />
    </div>
  );
}

interface Shown {
  readonly q: string;
  readonly category: Category | null;
  readonly show: Show;
}
/** Every row there is, and those that are asked for. */
function usePantryRows(
  kitchen: Kitchen,
  own: readonly OwnIngredient[] | undefined,
  { q, category, show }: Shown,
) {
  const all = useMemo(() => {
    const ownIds = new Set(own?.map(({ id }) => id as string));
    const plain = [...kitchen.catalogue.values()].filter(({ made }) => !made);
    return plain.map((ingredient): PantryRow => ({
      ingredient,
      entry: entryOf(kitchen.pantry, ingredient.id),
      own: ownIds.has(ingredient.id),
      words: normaliseName([ingredient.name, ...ingredient.aliases].join(' ')),
    }));
  }, [kitchen, own]);
  const shown = useMemo(() => {
    const words = normaliseName(q).split(' ').filter(Boolean);
    return all.filter(
      (row) =>
        (category === null || row.ingredient.category === category) &&
        (show === 'all' ||
          (show === 'own' && row.own) ||
          (show === 'onhand' && row.entry.onHandG !== null) ||
          (show === 'bottle' && hasBottle(row.entry))) &&
        words.every((word) => row.words.includes(word)),
    );
  }, [all, q, category, show]);
  return { all, shown };
}

interface PantrySearchProps extends Shown {
  readonly set: (patch: Record<string, string>) => void;
  readonly searchRef: RefObject<HTMLInputElement | null>;
}
function PantrySearch({ q, category, show, set, searchRef }: PantrySearchProps) {
  return (
    <div role="search" className="mb-3 flex flex-wrap items-center gap-2 text-sm">
      <SearchField
        label={pantryWords.searchThePantry2}
        placeholder={pantryWords.name}
        value={q}
        onText={(q) => {
          set({ q });
        }}
        inputRef={searchRef}
      />
      <Choice
        label={pantryWords.kind}
        value={category ?? 'any'}
        options={[
          { value: 'any', label: pantryWords.anyKind },
          ...CATEGORIES.map((value: Category) => ({ value, label: CATEGORY_WORDS[value] })),
        ]}
        onChange={(value) => {
          set({ category: value === 'any' ? '' : value });
        }}
      />
      <Choice
        label={pantryWords.show}
        value={show}
        options={SHOWS.map((value) => ({ value, label: SHOW_WORDS[value] }))}
        onChange={(value) => {
          set({ show: value === 'all' ? '' : value });
        }}
      />
    </div>
  );
}

interface NothingShownProps {
  /** Nobody has said what is on hand: another matter than finding nothing. */
  readonly isUnsaid: boolean;
  readonly onAll: () => void;
  readonly onOwn: () => void;
}
function NothingShown({ isUnsaid, onAll, onOwn }: NothingShownProps) {
  return (
    <div className="card mx-auto mt-10 max-w-lg p-6">
      <p className="mb-3">
        {isUnsaid ? pantryWords.nobodyHasSaidWhatIs : pantryWords.nothingHereIsCalledThat}
      </p>
      <div className="flex gap-3">
        <Button onClick={onAll}>{pantryWords.showEverything}</Button>
        <Button kind="main" onClick={onOwn}>
          {pantryWords.ourOwnIngredient}
        </Button>
      </div>
    </div>
  );
}

const hasBottle = ({ bottle }: PantryEntry): boolean =>
  bottle.label !== '' ||
  bottle.openedOn !== null ||
  bottle.useBy !== null ||
  bottle.acidityGPer100Ml !== null ||
  bottle.ph !== null ||
  Boolean(bottle.thickness);
