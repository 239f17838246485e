import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Check, GripVertical, Lock, Minus, Plus } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { swappedForm, type Addition } from '#core/formula';
import { componentOf, isPoured, madeId, renamedTo, spoonVolumeMl, type IngredientId } from '#core/ingredient';
import { isExact, nearestSpoons, nudgeAmount } from '#core/quantity';
import type { ReckonedAddition } from '#core/reckoning';
import type { Settings } from '#contract';
import { composeWords } from '#words/screens/compose';
import { ComponentMark } from '../../parts/drawing/ComponentMark';
import { formatAmount, formatPercent } from '#words/numbers';
import { IconButton } from '../../ui/Button';
import { AmountField } from './AmountField';
import type { RowActions } from './rowActions';
import { DoubtLine, NewerLine, ProblemLine } from './RowHints';
import { RowMenu } from './RowMenu';

interface AdditionRowProps {
  readonly reckoned: ReckonedAddition;
  readonly settings: Settings;
  readonly spoons: Settings['spoons'];
  readonly actions: RowActions;
  readonly selected: boolean;
}

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

export function AdditionRow({ reckoned, settings, spoons, actions, selected }: AdditionRowProps) {
  const { addition, reading, counted, massFraction } = reckoned;
  const { id } = addition;
  const drag = useSortable({ id });
  const read = reading.status === 'read';
  const name = read ? reading.ingredient.name : addition.ingredientText || addition.amountText;
  const nudge = (direction: 'up' | 'down'): void => {
    const text = nudgeAmount(addition.amountText, direction, settings.decimalSign);
    if (text !== null) actions.patch(id, { amountText: text });
  };
  const onKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    const direction = event.key === 'ArrowUp' ? 'up' : event.key === 'ArrowDown' ? 'down' : null;
    if (direction) {
      event.preventDefault();
      if (event.altKey) actions.step(id, direction);
      else if (event.shiftKey) nudge(direction);
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
  const hintId = `hint-${id}`;
  const newer = read ? (reading.ingredient.made?.newer ?? null) : null;
  const hasHint = !read || reading.doubts.length > 0 || newer !== null;
  return (
    <li
      ref={drag.setNodeRef}
      style={{ transform: CSS.Translate.toString(drag.transform), transition: drag.transition }}
      className={`grid grid-cols-[18px_22px_minmax(0,112px)_minmax(0,1fr)_auto] items-center gap-x-2 border-b border-rule py-[5px] sm:grid-cols-[18px_22px_106px_minmax(0,1fr)_66px_50px_auto] ${drag.isDragging ? 'relative z-10' : ''} ${drag.isDragging || selected ? 'bg-tape-soft' : ''} ${counted ? '' : 'text-quiet'}`}
      data-testid="addition"
      data-addition-id={id}
    >
      <button
        type="button"
        {...drag.attributes}
        {...drag.listeners}
        aria-label={composeWords.moveName(name)}
        className="grid h-8 cursor-grab touch-none place-items-center text-edge"
      >
        <GripVertical size={16} aria-hidden />
      </button>
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
        <ComponentMark component={read ? componentOf(reading.ingredient) : null} />
        {selected && (
          <span className="absolute inset-x-0 grid h-[22px] place-items-center rounded-md bg-ink text-card">
            <Check size={15} aria-hidden />
          </span>
        )}
      </button>
      <AmountField
        className="col-start-3 row-start-2 sm:col-start-auto sm:row-start-auto"
        value={addition.amountText}
        label={composeWords.amountOfName(name)}
        invalid={!read}
        describedBy={hasHint ? hintId : undefined}
        onDraft={(text) => {
          actions.draft(id, text);
        }}
        onCommit={(amountText) => {
          actions.patch(id, { amountText });
        }}
        onKey={onKey}
      />
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
      <span className="hidden text-right sm:block" data-testid="mass">
        {read ? <Mass reckoned={reckoned} settings={settings} spoons={spoons} /> : '–'}
      </span>
      <span className="hidden text-right text-sm text-quiet sm:block">
        {massFraction === null ? '–' : formatPercent(massFraction, settings)}
      </span>
      <span className="col-start-5 row-start-2 flex gap-1 sm:col-start-auto sm:row-start-auto">
        <IconButton
          label={composeWords.lessName(name)}
          onClick={() => {
            nudge('down');
          }}
          disabled={nudgeAmount(addition.amountText, 'down', settings.decimalSign) === null}
        >
          <Minus size={16} aria-hidden />
        </IconButton>
        <IconButton
          label={composeWords.moreName(name)}
          onClick={() => {
            nudge('up');
          }}
          disabled={nudgeAmount(addition.amountText, 'up', settings.decimalSign) === null}
        >
          <Plus size={16} aria-hidden />
        </IconButton>
        <RowMenu addition={addition} name={name} actions={actions} />
      </span>
      <span className="col-start-4 row-start-2 text-sm leading-[1.15rem] whitespace-nowrap sm:hidden">
        {read && <Mass reckoned={reckoned} settings={settings} spoons={spoons} />}
        {massFraction !== null && (
          <span className="block text-quiet">{formatPercent(massFraction, settings)}</span>
        )}
      </span>
      {hasHint && <RowHint id={hintId} reckoned={reckoned} newer={newer} actions={actions} />}
    </li>
  );
}

interface RowHintProps extends Pick<AdditionRowProps, 'reckoned' | 'actions'> {
  readonly id: string;
  /** Of a formula inside: the version that came after. */
  readonly newer: number | null;
}
/** What is in doubt, cannot be read, or is there in a newer version. */
function RowHint({ id: hintId, reckoned, newer, actions }: RowHintProps) {
  const { addition, reading } = reckoned;
  const { id } = addition;
  return (
    <span id={hintId} className="col-span-full col-start-3 min-w-0 pb-0.5 text-sm [overflow-wrap:anywhere]">
      {reading.status === 'read' && newer !== null && (
        <NewerLine
          number={newer}
          onUse={() => {
            const { formulaId } = reading.ingredient.made!;
            const ingredientText = renamedTo(reading.ingredient.name, reading.ingredient.made!, newer);
            actions.patch(id, { ingredientId: madeId(formulaId, newer), ingredientText });
          }}
        />
      )}
      {reading.status === 'read' ? (
        reading.doubts.map((doubt) => (
          <DoubtLine
            key={doubt.code}
            doubt={doubt}
            onChoose={(amountText) => {
              actions.patch(id, { amountText });
            }}
            onOther={(otherId, other, taken) => {
              actions.patch(id, {
                ingredientId: otherId as IngredientId,
                ingredientText: other,
                form: swappedForm(addition.form, taken),
              });
            }}
          />
        ))
      ) : (
        <ProblemLine
          problem={reading.problem}
          onChoose={(ingredientText) => {
            actions.name(id, ingredientText);
          }}
          onAmount={(amountText, ingredientText) => {
            if (addition.ingredientId === null) actions.name(id, ingredientText, amountText);
            else actions.patch(id, { amountText });
          }}
        />
      )}
    </span>
  );
}

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

function Mass({ reckoned, settings, spoons }: Pick<AdditionRowProps, 'reckoned' | 'settings' | 'spoons'>) {
  const { reading } = reckoned;
  if (reading.status !== 'read') return null;
  const { massG, ingredient, amount } = reading;
  if (amount.kind === 'to-taste') return <span className="text-sm text-quiet">{composeWords.toTaste}</span>;
  const spread = isExact(massG)
    ? null
    : composeWords.lowToHigh(formatAmount(massG.low, 'g', settings), formatAmount(massG.high, 'g', settings));
  const inSpoons =
    settings.amountsIn === 'spoons' ? nearestSpoons(spoonVolumeMl(massG.nominal, ingredient), spoons) : null;
  const text = inSpoons
    ? inSpoons.text
    : settings.amountsIn === 'spoons' && isPoured(ingredient)
      ? formatAmount(spoonVolumeMl(massG.nominal, ingredient), 'ml', settings)
      : formatAmount(massG.nominal, 'g', settings);
  const near = spread !== null || (inSpoons && Math.abs(inSpoons.relativeError) > 0.02);
  return (
    <span title={spread ?? undefined} className={inSpoons ? 'text-sm' : undefined}>
      {near && <span aria-label={composeWords.about}>≈ </span>}
      {text}
    </span>
  );
}
