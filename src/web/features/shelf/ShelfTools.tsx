import type { Ref } from 'react';
import type { Shelf } from '#contract';
import { shelfToolWords } from '#words/screens/shelfTools';
import { shelfWords } from '#words/screens/shelf';
import { Choice } from '../../ui/Choice';
import type { ShelfKind, ShelfSort } from '#contract';
import type { ShelfFilter, StateFilter } from '#kitchen/shelf';
import { SearchField } from '../../ui/SearchField';

interface ShelfToolsProps {
  readonly filter: ShelfFilter;
  readonly onFilter: (patch: Partial<ShelfFilter>) => void;
  readonly searchRef: Ref<HTMLInputElement>;
  readonly acids: readonly string[];
  readonly allergens: readonly string[];
  /** Nobody has said what is on hand: the filter would only ever be empty. */
  readonly stockKnown: boolean;
}

const PLACES: Record<Shelf, string> = {
  shelf: shelfWords.onTheShelf,
  archive: shelfWords.archive,
  bin: shelfToolWords.bin,
};
const STATES: Record<StateFilter, string> = {
  any: shelfToolWords.anyState,
  unfrozen: shelfToolWords.notFrozenYet,
  draft: shelfToolWords.draft,
  tried: shelfToolWords.tried,
  proven: shelfToolWords.proven,
  changes: shelfToolWords.withChanges,
};
const KINDS: Record<ShelfKind, string> = {
  any: shelfToolWords.clearOrCreamy,
  clear: shelfToolWords.clear,
  creamy: shelfToolWords.creamy,
};
const SORTS: Record<ShelfSort, string> = {
  shelf: shelfToolWords.asTheyCame,
  name: shelfToolWords.byName,
  changed: shelfToolWords.lastChangedFirst,
  sharpest: shelfToolWords.leastOilToAcidFirst,
  largest: shelfToolWords.largestFirst,
};

const options = <T extends string>(names: Record<T, string>) =>
  (Object.keys(names) as T[]).map((value) => ({ value, label: names[value] }));

/** Choices cannot be empty strings; this stands for "any". */
const ANY = 'any';
const anyOf = (label: string, values: readonly string[]) => [
  { value: ANY, label },
  ...values.map((value) => ({ value, label: value })),
];

export function ShelfTools({ filter, onFilter, searchRef, acids, allergens, stockKnown }: ShelfToolsProps) {
  return (
    <div role="search" className="flex flex-wrap items-center gap-2 text-sm">
      <SearchField
        label={shelfToolWords.searchTheShelf}
        placeholder={shelfToolWords.nameOrIngredient}
        value={filter.q}
        onText={(q) => {
          onFilter({ q });
        }}
        inputRef={searchRef}
      />
      <Choice
        label={shelfToolWords.state}
        value={filter.state}
        options={options(STATES)}
        onChange={(state) => {
          onFilter({ state });
        }}
      />
      <Choice
        label={shelfToolWords.clearOrCreamy}
        value={filter.kind}
        options={options(KINDS)}
        onChange={(kind) => {
          onFilter({ kind });
        }}
      />
      <Choice
        label={shelfToolWords.acid}
        value={filter.acid || ANY}
        options={anyOf(shelfToolWords.anyAcid, acids)}
        className="max-w-44"
        onChange={(acid) => {
          onFilter({ acid: acid === ANY ? '' : acid });
        }}
      />
      <Choice
        label={shelfToolWords.allergenToAvoid}
        value={filter.avoid || ANY}
        options={anyOf(shelfToolWords.avoidNothing, allergens)}
        className="max-w-44"
        onChange={(avoid) => {
          onFilter({ avoid: avoid === ANY ? '' : avoid });
        }}
      />
      <label
        className={`flex min-h-8 items-center gap-2 ${stockKnown ? '' : 'text-quiet'}`}
        title={stockKnown ? undefined : shelfToolWords.sayInThePantryWhat}
      >
        <input
          type="checkbox"
          className="size-4 accent-leaf"
          disabled={!stockKnown}
          checked={filter.onHand}
          onChange={(event) => {
            onFilter({ onHand: event.target.checked });
          }}
        />
        {shelfToolWords.fromWhatIsOnHand}
      </label>
      <span className="ml-auto flex gap-2">
        <Choice
          label={shelfToolWords.order}
          value={filter.sort}
          options={options(SORTS)}
          onChange={(sort) => {
            onFilter({ sort });
          }}
        />
        <Choice
          label={shelfToolWords.place}
          value={filter.place}
          options={options(PLACES)}
          onChange={(place) => {
            onFilter({ place });
          }}
        />
      </span>
    </div>
  );
}
