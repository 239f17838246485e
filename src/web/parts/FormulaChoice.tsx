import { useState } from 'react';
import type { ShelfRecord } from '#contract';
import { partsWords } from '#words/screens/parts';
import { useFormulasQuery } from '../data/kitchenApi';
import { Choice } from '../ui/Choice';

/** More than these are searched, not listed. */
const LISTED = 30;

interface FormulaChoiceProps {
  readonly label: string;
  /** Null: the first there is. */
  readonly chosen: ShelfRecord | null;
  readonly onChoose: (record: ShelfRecord) => void;
  /** Only those with a frozen version. */
  readonly frozen?: boolean;
  readonly className?: string;
}

export const useChoicesQuery = (q: string, frozen: boolean) =>
  useFormulasQuery({ q, frozen: frozen ? '1' : '0', limit: LISTED });

/** What there is to choose from; undefined while it is fetched. */
export const useChoices = (q: string, frozen: boolean) => useChoicesQuery(q, frozen).data;

/** A formula of the shelf. On a long shelf a part of its name is typed first. */
export function FormulaChoice({ label, chosen, onChoose, frozen = false, className }: FormulaChoiceProps) {
  const [q, setQ] = useState('');
  const first = useChoices('', frozen);
  const found = useChoices(q, frozen);
  const records = found?.records ?? [];
  const shown = chosen && !records.some(({ id }) => id === chosen.id) ? [chosen, ...records] : records;
  const value = chosen ?? shown[0];
  if (!value) return null;
  return (
    <span className="flex flex-wrap items-center gap-2">
      {(first?.total ?? 0) > LISTED && (
        <input
          type="search"
          aria-label={partsWords.partOfTheNameOf(label)}
          placeholder={partsWords.partOfItsName}
          className="field w-36"
          value={q}
          onChange={({ target }) => {
            setQ(target.value);
          }}
        />
      )}
      <Choice
        label={label}
        value={value.id as string}
        options={shown.map(({ id, formula }) => ({ value: id as string, label: formula.name }))}
        onChange={(id) => {
          const record = shown.find((one) => one.id === id);
          if (record) onChoose(record);
        }}
        className={className ?? ''}
      />
      {found && found.total > records.length && (
        <span className="text-sm text-quiet">{partsWords.moreFit(found.total - records.length)}</span>
      )}
    </span>
  );
}
