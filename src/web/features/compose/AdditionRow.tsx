import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { DropdownMenu } from 'radix-ui';
import { GripVertical, Minus, MoreHorizontal, Plus } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { PHASES, type Addition, type AdditionId, type Phase } from '#core/formula';
import { componentOf, isPoured, spoonVolumeMl } from '#core/ingredient';
import {
  isExact,
  nearestSpoons,
  nudgeAmount,
  sayDoubt,
  sayProblem,
  type Doubt,
  type Problem,
} from '#core/quantity';
import type { ReckonedAddition } from '#core/reckoning';
import type { Settings } from '#contract';
import { ComponentMark } from '../../drawing/ComponentMark';
import { formatAmount, formatPercent } from '../../format';
import { IconButton } from '../../ui/Button';
import { AmountField } from './AmountField';

export interface RowActions {
  readonly draft: (id: AdditionId, text: string | null) => void;
  readonly patch: (id: AdditionId, patch: Partial<Addition>) => void;
  readonly step: (id: AdditionId, direction: 'up' | 'down') => void;
  readonly toPhase: (id: AdditionId, phase: Phase) => void;
  readonly remove: (id: AdditionId) => void;
  /** Settles which ingredient an unread line means. */
  readonly name: (id: AdditionId, ingredientName: string) => void;
  readonly details: (id: AdditionId) => void;
}

interface AdditionRowProps {
  readonly reckoned: ReckonedAddition;
  readonly settings: Settings;
  readonly spoons: Settings['spoons'];
  readonly actions: RowActions;
}

export const PHASE_NAMES: Record<Phase, string> = {
  base: 'Base first',
  oil: 'Oil last, in a thin stream',
  finish: 'To finish',
};

/** Moves the focus to the amount of the row before or after. */
function focusNeighbour(from: HTMLElement, by: number): void {
  const all = [...document.querySelectorAll<HTMLInputElement>('input[data-amount]')];
  const next = all[all.indexOf(from as HTMLInputElement) + by];
  next?.focus();
  next?.select();
}

export function AdditionRow({ reckoned, settings, spoons, actions }: AdditionRowProps) {
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
    } else if (event.altKey && event.key.toLowerCase() === 'o') {
      event.preventDefault();
      actions.patch(id, { optional: !addition.optional });
    }
  };
  const hintId = `hint-${id}`;
  const hasHint = !read || reading.doubts.length > 0;
  return (
    <li
      ref={drag.setNodeRef}
      style={{ transform: CSS.Translate.toString(drag.transform), transition: drag.transition }}
      className={`grid grid-cols-[18px_22px_minmax(0,112px)_minmax(0,1fr)_auto] items-center gap-x-2 border-b border-rule py-[5px] sm:grid-cols-[18px_22px_106px_minmax(0,1fr)_66px_50px_auto] ${drag.isDragging ? 'relative z-10 bg-tape-soft' : ''} ${counted ? '' : 'text-quiet'}`}
      data-testid="addition"
      data-addition-id={id}
    >
      <button
        type="button"
        {...drag.attributes}
        {...drag.listeners}
        aria-label={`Move ${name}`}
        className="grid h-8 cursor-grab touch-none place-items-center text-edge"
      >
        <GripVertical size={16} aria-hidden />
      </button>
      <ComponentMark component={read ? componentOf(reading.ingredient) : null} />
      <AmountField
        className="col-start-3 row-start-2 sm:col-start-auto sm:row-start-auto"
        value={addition.amountText}
        label={`Amount of ${name}`}
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
        <span className="line-clamp-2 leading-[1.15rem] font-semibold break-words" title={name}>
          {name}
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
          label={`Less ${name}`}
          onClick={() => {
            nudge('down');
          }}
          disabled={nudgeAmount(addition.amountText, 'down', settings.decimalSign) === null}
        >
          <Minus size={16} aria-hidden />
        </IconButton>
        <IconButton
          label={`More ${name}`}
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
      {hasHint && (
        <span id={hintId} className="col-span-full col-start-3 pb-0.5 text-sm">
          {read ? (
            reading.doubts.map((doubt) => (
              <DoubtLine
                key={doubt.code}
                doubt={doubt}
                onChoose={(amountText) => {
                  actions.patch(id, { amountText });
                }}
              />
            ))
          ) : (
            <ProblemLine
              problem={reading.problem}
              onChoose={(ingredientText) => {
                actions.name(id, ingredientText);
              }}
            />
          )}
        </span>
      )}
    </li>
  );
}

function SubLine({ addition, counted }: { addition: Addition; counted: boolean }) {
  const words = [
    addition.optional ? (counted ? 'optional' : 'optional, left out') : '',
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
  if (amount.kind === 'to-taste') return <span className="text-sm text-quiet">to taste</span>;
  const spread = isExact(massG)
    ? null
    : `${formatAmount(massG.low, 'g', settings)} to ${formatAmount(massG.high, 'g', settings)}`;
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
      {near && <span aria-label="about">≈ </span>}
      {text}
    </span>
  );
}

function DoubtLine({ doubt, onChoose }: { doubt: Doubt; onChoose: (text: string) => void }) {
  if (doubt.code !== 'ounce-weight-or-volume') {
    return <span className="block text-quiet">{sayDoubt(doubt)}</span>;
  }
  return (
    <span className="flex flex-wrap items-center gap-2 text-quiet">
      By weight or by volume?
      {doubt.choices.map((choice) => (
        <button
          key={choice}
          type="button"
          className="min-h-8 rounded-md border border-edge bg-paper px-2 font-semibold text-ink"
          onClick={() => {
            onChoose(choice);
          }}
        >
          {choice}
        </button>
      ))}
    </span>
  );
}

function ProblemLine({ problem, onChoose }: { problem: Problem; onChoose: (name: string) => void }) {
  const near = 'near' in problem ? problem.near : [];
  if (near.length === 0) return <span className="text-acid-ink">{sayProblem(problem)}</span>;
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      <span className="text-acid-ink">
        “{'text' in problem ? problem.text : ''}” is not clear. Which one?
      </span>
      {near.map((name) => (
        <button
          key={name}
          type="button"
          className="min-h-8 rounded-md border border-edge bg-paper px-2 font-semibold"
          onClick={() => {
            onChoose(name);
          }}
        >
          {name}
        </button>
      ))}
    </span>
  );
}

function RowMenu({ addition, name, actions }: { addition: Addition; name: string; actions: RowActions }) {
  const item = 'flex min-h-8 items-center rounded px-3 outline-none data-highlighted:bg-mint';
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <IconButton label={`More about ${name}`} className="border-transparent bg-transparent">
          <MoreHorizontal size={16} aria-hidden />
        </IconButton>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="z-50 min-w-48 rounded-md border border-edge bg-paper p-1 shadow-lg"
        >
          <DropdownMenu.Item
            className={item}
            onSelect={() => {
              actions.details(addition.id);
            }}
          >
            Ingredient, form and note…
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={item}
            onSelect={() => {
              actions.patch(addition.id, { optional: !addition.optional });
            }}
          >
            {addition.optional ? 'Always in' : 'Make optional'}
          </DropdownMenu.Item>
          {PHASES.filter((phase) => phase !== addition.phase).map((phase) => (
            <DropdownMenu.Item
              key={phase}
              className={item}
              onSelect={() => {
                actions.toPhase(addition.id, phase);
              }}
            >
              Move to: {PHASE_NAMES[phase].toLowerCase()}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Separator className="my-1 h-px bg-rule" />
          <DropdownMenu.Item
            className={`${item} text-acid-ink`}
            onSelect={() => {
              actions.remove(addition.id);
            }}
          >
            Take out
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
