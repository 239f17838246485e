import { useCooksQuery } from '../../data/kitchenApi';
import { logWords } from '#words/screens/log';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import type { LogFilter } from './logFilter';

const EVERY = 'every';

interface LogFieldsProps {
  readonly filter: LogFilter;
  readonly bottles: readonly string[];
  /** Id and name; none: the log of one formula. */
  readonly formulas?: readonly { readonly id: string; readonly name: string }[];
  readonly set: (patch: Partial<LogFilter>) => void;
}

/** What a diary is chosen by: words, formula, cook, bottle, days. */
export function LogFields({ filter, bottles, formulas, set }: LogFieldsProps) {
  const cooks = useCooksQuery().data ?? [];
  const pick = (key: 'cook' | 'bottle' | 'formula') => (value: string) => {
    set({ [key]: value === EVERY ? '' : value });
  };
  return (
    <div className="mb-3 flex flex-wrap items-end gap-3">
      <Field
        label={formulas ? logWords.searchNotesAndNames : logWords.searchTheNotes}
        className="basis-full"
        value={filter.q}
        onText={(q) => {
          set({ q });
        }}
      />
      {formulas && (
        <Choice
          label={logWords.formula}
          value={filter.formula || EVERY}
          options={[
            { value: EVERY, label: logWords.everyFormula },
            ...formulas.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={pick('formula')}
        />
      )}
      <Choice
        label={logWords.cook}
        value={filter.cook || EVERY}
        options={[
          { value: EVERY, label: logWords.everyCook },
          ...cooks.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={pick('cook')}
      />
      <Choice
        label={logWords.bottle}
        value={filter.bottle || EVERY}
        options={[
          { value: EVERY, label: logWords.everyBottle },
          ...bottles.map((bottle) => ({ value: bottle, label: bottle })),
        ]}
        onChange={pick('bottle')}
      />
      <Field
        label={logWords.from}
        type="date"
        className="w-44"
        value={filter.from}
        onText={(from) => {
          set({ from });
        }}
      />
      <Field
        label={logWords.to}
        type="date"
        className="w-44"
        value={filter.to}
        onText={(to) => {
          set({ to });
        }}
      />
      {Object.values(filter).some((value) => value !== '') && (
        <Button
          onClick={() => {
            set({ q: '', cook: '', bottle: '', from: '', to: '', jars: '', formula: '' });
          }}
        >
          {logWords.showAllJars}
        </Button>
      )}
    </div>
  );
}
