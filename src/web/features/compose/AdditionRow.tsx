import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { swappedForm } from '#core/formula';
import { componentOf, isPoured, madeId, renamedTo, spoonVolumeMl, type IngredientId } from '#core/ingredient';
import { isExact, nearestSpoons } from '#core/quantity';
import type { ReckonedAddition } from '#core/reckoning';
import type { Settings } from '#contract';
import { composeWords } from '#words/screens/compose';
import { formatAmount, formatPercent } from '#words/numbers';
import type { RowActions } from './rowActions';
import { DoubtLine, NewerLine, ProblemLine } from './RowHints';
import { AmountCell, Grip, NameCell, RowControls, SelectMark } from './RowCells';

interface AdditionRowProps {
  readonly reckoned: ReckonedAddition;
  readonly settings: Settings;
  readonly spoons: Settings['spoons'];
  readonly actions: RowActions;
  readonly selected: boolean;
}

/**
 * One amount changes the share of every other: a row is drawn anew at each key, so what of it did not change is kept by
 * its parts.
 */
export function AdditionRow({ reckoned, settings, spoons, actions, selected }: AdditionRowProps) {
  const { addition, reading, counted, massFraction } = reckoned;
  const { id } = addition;
  const drag = useSortable({ id });
  const read = reading.status === 'read';
  const name = read ? reading.ingredient.name : addition.ingredientText || addition.amountText;
  const hintId = `hint-${id}`;
  const newer = read ? (reading.ingredient.made?.newer ?? null) : null;
  const hasHint = !read || reading.doubts.length > 0 || newer !== null;
  const { decimalSign } = settings;
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
        <Grip />
      </button>
      <SelectMark
        id={id}
        name={name}
        component={read ? componentOf(reading.ingredient) : null}
        selected={selected}
        actions={actions}
      />
      <AmountCell
        addition={addition}
        name={name}
        read={read}
        describedBy={hasHint ? hintId : undefined}
        decimalSign={decimalSign}
        actions={actions}
      />
      <NameCell addition={addition} name={name} counted={counted} />
      <span className="hidden text-right sm:block" data-testid="mass">
        {read ? <Mass reckoned={reckoned} settings={settings} spoons={spoons} /> : '–'}
      </span>
      <span className="hidden text-right text-sm text-quiet sm:block">
        {massFraction === null ? '–' : formatPercent(massFraction, settings)}
      </span>
      <RowControls addition={addition} name={name} decimalSign={decimalSign} actions={actions} />
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
