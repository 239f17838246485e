import type { RefObject } from 'react';
import { costOf } from '#core/composition';
import { stagesOf, type AdditionId, type Formula, type ReadingContext } from '#core/formula';
import { reckonFormula, type Reckoning } from '#core/reckoning';
import type { Vessel } from '#core/vessel';
import { addTyped, dropAddition, moveAll, moveToStage, patchAll, removeAll, setRatio } from '#kitchen/edits';
import { packPriceOf, type Kitchen } from '#kitchen/reading';
import { formatAmount, formatRatio } from '#words/numbers';
import { composeWords } from '#words/screens/compose';
import { newId } from '../../sync/device';
import { Tick } from '../../ui/Tick';
import { AdditionList } from './AdditionList';
import { AddLine } from './AddLine';
import { RatioBar } from './RatioBar';
import type { RowActions } from './rowActions';
import { SelectionBar } from './SelectionBar';
import { Stair } from './Stair';
import type { StairView } from './useStair';
import type { useBenchEdit } from './useBench';
import { Alert } from '../../ui/Alert';

const newAdditionId = (): AdditionId => newId() as AdditionId;

/** A line that was just added is brought into sight once it is drawn. */
function showRow(id: AdditionId): void {
  requestAnimationFrame(() => {
    document.querySelector(`[data-addition-id="${id}"]`)?.scrollIntoView({ block: 'nearest' });
  });
}

interface AdditionsCardProps {
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly vessel: Vessel;
  readonly context: ReadingContext;
  readonly reckoning: Reckoning;
  readonly changing: ReturnType<typeof useBenchEdit>;
  readonly actions: RowActions;
  readonly selection: ReadonlySet<AdditionId>;
  readonly onSelect: (selection: ReadonlySet<AdditionId>) => void;
  readonly editingRatio: boolean;
  readonly onEditingRatio: (editing: boolean) => void;
  readonly addField: RefObject<HTMLInputElement | null>;
  readonly stair: StairView;
  /** With the stages after the one that is looked at. */
  readonly whole: Formula;
}
const NONE: ReadonlySet<AdditionId> = new Set();

/** What goes in, in its order, with what it comes to above and the next line below. */
export function AdditionsCard(props: AdditionsCardProps) {
  const { formula, kitchen, reckoning, changing, editingRatio, context } = props;
  const { settings } = kitchen;
  const { edit, blocked, setBlocked } = changing;
  const selected = new Set(
    formula.additions.map(({ id }) => id).filter((rowId) => props.selection.has(rowId)),
  );
  const isStaged = stagesOf(props.whole).length > 1;
  const stair = (
    <Stair
      whole={props.whole}
      vessel={props.vessel}
      context={context}
      settings={settings}
      at={props.stair.at}
      onAt={props.stair.onAt}
      onEdit={changing.editWhole}
    />
  );
  return (
    <section
      aria-label={composeWords.additions}
      className="card order-1 flex min-h-0 flex-col p-4 lg:order-2"
    >
      {isStaged && stair}
      <RatioBar
        formula={formula}
        reckoning={reckoning}
        settings={settings}
        cost={costOf(reckoning.portions, packPriceOf(kitchen.pantry))}
        editing={editingRatio}
        onEditing={props.onEditingRatio}
        onSet={(wanted, follows) => {
          const next = setRatio(formula, reckoning, wanted, follows, context);
          if ('blocked' in next) setBlocked(next.blocked);
          else edit({ ...next, targetRatio: wanted });
        }}
      />
      {blocked && <Alert className="text-sm">{blocked}</Alert>}
      <Selected {...props} selected={selected} />
      <div className="min-h-0 flex-1 lg:overflow-auto">
        {formula.additions.length === 0 && (
          <p className="my-4 text-quiet">{composeWords.nothingInTheJarAcid}</p>
        )}
        <AdditionList
          formula={formula}
          reckoning={reckoning}
          settings={settings}
          spoons={formula.spoons}
          actions={props.actions}
          selection={selected}
          onDrop={(rowId, order) => {
            edit(dropAddition(formula, rowId, order));
          }}
        />
        {!isStaged && stair}
        {formula.additions.some(({ optional }) => optional) && (
          <Tick
            label={composeWords.countOptionalAdditions}
            checked={formula.countsOptional}
            onChange={(countsOptional) => {
              edit({ ...formula, countsOptional });
            }}
            className="pt-2 text-sm"
          />
        )}
      </div>
      <NextLine {...props} />
    </section>
  );
}

/** What is done with the rows that are ticked, all at once. */
function Selected({
  formula,
  whole,
  changing,
  onSelect,
  selected,
}: AdditionsCardProps & { readonly selected: ReadonlySet<AdditionId> }) {
  if (selected.size === 0) return null;
  const names = stagesOf(whole);
  const all = (next: Formula): void => {
    changing.edit(next);
    onSelect(NONE);
  };
  return (
    <SelectionBar
      count={selected.size}
      stages={names.length > 1 ? names : []}
      onStage={(stage) => {
        changing.editWhole(moveToStage(whole, selected, stage));
        onSelect(NONE);
      }}
      onPhase={(phase) => {
        all(moveAll(formula, selected, phase));
      }}
      onOptional={(optional) => {
        all(patchAll(formula, selected, { optional }));
      }}
      onLock={(locked) => {
        all(patchAll(formula, selected, { locked }));
      }}
      onRemove={() => {
        all(removeAll(formula, selected));
      }}
      onClear={() => {
        onSelect(NONE);
      }}
    />
  );
}

/** The line that is typed next, with what it would make of the jar. */
function NextLine({ formula, kitchen, vessel, context, reckoning, changing, addField }: AdditionsCardProps) {
  const { settings } = kitchen;
  const foretell = (text: string): string => {
    const { totals } = reckonFormula(addTyped(formula, text, context, newAdditionId), vessel, context);
    const volume = formatAmount(totals.mixedVolumeMl, 'ml', settings);
    const before = formatRatio(reckoning.totals.measures.oilToAcidVolumeRatio, settings);
    const after = formatRatio(totals.measures.oilToAcidVolumeRatio, settings);
    return composeWords.makesVolumeForm(
      volume,
      before === after ? '' : composeWords.ratioBeforeAfter(before, after),
    );
  };
  return (
    <div className="sticky bottom-0 -mx-4 -mb-4 rounded-b-lg bg-card px-4 pt-2 pb-2 lg:static">
      <AddLine
        context={context}
        inputRef={addField}
        foretell={foretell}
        refuse={changing.refuse}
        onAdd={(texts) => {
          if (texts.length === 0) return;
          const next = texts.reduce((grown, text) => addTyped(grown, text, context, newAdditionId), formula);
          changing.edit(next);
          showRow(next.additions.at(-1)!.id);
        }}
      />
    </div>
  );
}
