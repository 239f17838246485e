/** The parts of a row that stay as they are while other amounts move. */
import { Check, GripVertical, Lock, Minus, Plus } from 'lucide-react';
import { memo, type ComponentProps, type KeyboardEvent } from 'react';
import type { Settings } from '#contract';
import type { Addition, AdditionId } from '#core/formula';
import { nudgeAmount } from '#core/quantity';
import { composeWords } from '#words/screens/compose';
import { ComponentMark } from '../../parts/drawing/ComponentMark';
import { IconButton } from '../../ui/Button';
import { AmountField } from './AmountField';
import type { RowActions } from './rowActions';
import { RowMenu } from './RowMenu';

const ALT_KEYS: Readonly<Record<string, (addition: Addition, actions: RowActions) => void>> = {
  o: ({ id, optional }, { patch }) => {
    patch(id, { optional: !optional });
  },
  l: ({ id, locked }, { patch }) => {
    patch(id, { locked: !locked });
  },
  w: ({ id }, { swap }) => {
    swap(id);
  },
  x: ({ id }, { select }) => {
    select(id);
  },
  d: ({ id }, { details }) => {
    details(id);
  },
};

/** Moves the focus to the amount of the row before or after. */
function focusNeighbour(from: HTMLElement, by: number): void {
  const all = [...document.querySelectorAll<HTMLInputElement>('input[data-amount]')];
  const next = all[all.indexOf(from as HTMLInputElement) + by];
  next?.focus();
  next?.select();
}

export const Grip = memo(function Grip() {
  return <GripVertical size={16} aria-hidden />;
});

interface SelectMarkProps {
  readonly selected: boolean;
  readonly actions: RowActions;
  readonly id: AdditionId;
  readonly name: string;
  readonly component: ComponentProps<typeof ComponentMark>['component'];
}
export const SelectMark = memo(function SelectMark({
  id,
  name,
  component,
  selected,
  actions,
}: SelectMarkProps) {
  return (
    <button
      type="button"
      aria-pressed={selected}
      aria-label={composeWords.selectName(name)}
      title={composeWords.select}
      className="relative grid h-8 place-items-center rounded-md"
      onClick={() => {
        actions.select(id);
      }}
    >
      <ComponentMark component={component} />
      {selected && (
        <span className="absolute inset-x-0 grid h-[22px] place-items-center rounded-md bg-ink text-card">
          <Check size={15} aria-hidden />
        </span>
      )}
    </button>
  );
});

interface CellProps {
  readonly addition: Addition;
  readonly name: string;
}
interface DoingProps extends CellProps {
  readonly decimalSign: Settings['decimalSign'];
  readonly actions: RowActions;
}

const nudged = ({ amountText }: Addition, direction: 'up' | 'down', sign: Settings['decimalSign']) =>
  nudgeAmount(amountText, direction, sign);
function nudge({ addition, decimalSign, actions }: DoingProps, direction: 'up' | 'down'): void {
  const text = nudged(addition, direction, decimalSign);
  if (text !== null) actions.patch(addition.id, { amountText: text });
}

interface AmountCellProps extends DoingProps {
  readonly read: boolean;
  readonly describedBy: string | undefined;
}
export const AmountCell = memo(function AmountCell(props: AmountCellProps) {
  const { addition, name, read, describedBy, actions } = props;
  const { id } = addition;
  const onKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    const direction = event.key === 'ArrowUp' ? 'up' : event.key === 'ArrowDown' ? 'down' : null;
    if (direction) {
      event.preventDefault();
      if (event.altKey) actions.step(id, direction);
      else if (event.shiftKey) nudge(props, direction);
      else focusNeighbour(event.currentTarget, direction === 'up' ? -1 : 1);
    } else if (event.key === 'Delete' && event.shiftKey) {
      event.preventDefault();
      focusNeighbour(event.currentTarget, -1);
      actions.remove(id);
    } else if (event.altKey) {
      const act = ALT_KEYS[event.key.toLowerCase()];
      if (!act) return;
      event.preventDefault();
      act(addition, actions);
    }
  };
  return (
    <AmountField
      className="col-start-3 row-start-2 sm:col-start-auto sm:row-start-auto"
      value={addition.amountText}
      label={composeWords.amountOfName(name)}
      invalid={!read}
      describedBy={describedBy}
      onDraft={(text) => {
        actions.draft(id, text);
      }}
      onCommit={(amountText) => {
        actions.patch(id, { amountText });
      }}
      onKey={onKey}
    />
  );
});

export const NameCell = memo(function NameCell({
  addition,
  name,
  counted,
}: CellProps & { readonly counted: boolean }) {
  return (
    <span className="col-span-3 col-start-3 row-start-1 min-w-0 pb-1 sm:col-span-1 sm:col-start-auto sm:row-start-auto sm:pb-0">
      <span className="line-clamp-2 leading-[1.15rem] font-semibold [overflow-wrap:anywhere]" title={name}>
        {name.replace(/ %/g, '\u00a0%')}
        {addition.locked && (
          <Lock
            size={13}
            className="mb-0.5 ml-1.5 inline"
            role="img"
            aria-label={composeWords.amountLocked}
          />
        )}
      </span>
      <SubLine addition={addition} counted={counted} />
    </span>
  );
});

export const RowControls = memo(function RowControls(props: DoingProps) {
  const { addition, name, decimalSign, actions } = props;
  return (
    <span className="col-start-5 row-start-2 flex gap-1 sm:col-start-auto sm:row-start-auto">
      <IconButton
        label={composeWords.lessName(name)}
        onClick={() => {
          nudge(props, 'down');
        }}
        disabled={nudged(addition, 'down', decimalSign) === null}
      >
        <Minus size={16} aria-hidden />
      </IconButton>
      <IconButton
        label={composeWords.moreName(name)}
        onClick={() => {
          nudge(props, 'up');
        }}
        disabled={nudged(addition, 'up', decimalSign) === null}
      >
        <Plus size={16} aria-hidden />
      </IconButton>
      <RowMenu addition={addition} name={name} actions={actions} />
    </span>
  );
});

function SubLine({ addition, counted }: { addition: Addition; counted: boolean }) {
  const words = [
    addition.optional ? (counted ? composeWords.optionalCounted : composeWords.optionalLeftOut) : '',
    addition.form,
    addition.note,
  ].filter(Boolean);
  if (words.length === 0) return null;
  const text = words.join(' · ');
  return (
    <span className="block truncate text-[0.8125rem] leading-4 text-quiet" title={text}>
      {text}
    </span>
  );
}
