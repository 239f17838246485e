import { useMemo, useRef, useState } from 'react';
import { stampMeasures, type AdditionId, type AdditionLine, type Formula } from '#core/formula';
import { costOf } from '#core/composition';
import { findIngredient, isMadeWith } from '#core/ingredient';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { composeWords } from '#words/screens/compose';
import { Tick } from '../../ui/Tick';
import { Alert } from '../../ui/Alert';
import { sayError, useFreezeMutation, useSaveSettingsMutation, useTrialsQuery } from '../../data/kitchenApi';
import { formatAmount, formatRatio } from '#words/numbers';
import { byNow, newId } from '../../sync/device';
import { contextFor, packPriceOf, vesselOf } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { useAppDispatch } from '../../sync/store';
import { aimOf, useStyles } from '../../data/styles';
import { lastTasted } from '../../data/trials';
import {
  conflictSettled,
  edited,
  redone,
  undone,
  versionFrozen,
  type WorkingFormula,
} from '../../sync/workingSlice';
import { useShortcuts } from '../../ui/shortcuts';
import { AddLine } from './AddLine';
import { benchShortcuts } from './benchKeys';
import { BenchPanels, type OpenPanel, type PlainPanel } from './BenchPanels';
import { AdditionList } from './AdditionList';
import { ConflictNotice } from './ConflictNotice';
import {
  addTyped,
  dropAddition,
  moveAll,
  patchAddition,
  patchAll,
  placeAddition,
  removeAddition,
  removeAll,
  setRatio,
  stepAddition,
} from '#kitchen/edits';
import { FormulaHeader } from './FormulaHeader';
import { JarPanel } from './JarPanel';
import { PalateRail } from './PalateRail';
import { useBenchHold } from './useBenchHold';
import { RatioBar } from './RatioBar';
import type { RowActions } from './rowActions';
import { SelectionBar } from './SelectionBar';
import { VerdictLine } from './StylePanel';

const newAdditionId = (): AdditionId => newId() as AdditionId;

const NONE: ReadonlySet<AdditionId> = new Set();

/** A line that was just added is brought into sight once it is drawn. */
function showRow(id: AdditionId): void {
  requestAnimationFrame(() => {
    document.querySelector(`[data-addition-id="${id}"]`)?.scrollIntoView({ block: 'nearest' });
  });
}

/** The bench: jar, additions, palate, and everything that changes them. */
export function ComposeBench({ working }: { working: WorkingFormula }) {
  const { id, formula } = working;
  const dispatch = useAppDispatch();
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const [draft, setDraft] = useState<{ id: AdditionId; text: string } | null>(null);
  const [editingRatio, setEditingRatio] = useState(false);
  const [blocked, setBlocked] = useState<string | null>(null);
  const [panel, setPanel] = useState<OpenPanel | null>(null);
  const [selection, setSelection] = useState(NONE);
  const [freeze, freezing] = useFreezeMutation();
  const [saveSettings] = useSaveSettingsMutation();
  const addField = useRef<HTMLInputElement>(null);

  const vessel = vesselOf(formula, kitchen.vessels);
  const context = useMemo(() => contextFor(formula, kitchen), [formula, kitchen]);
  const reckoning = useMemo(() => {
    const shown = draft ? patchAddition(formula, draft.id, { amountText: draft.text }) : formula;
    return reckonFormula(shown, vessel, context);
  }, [formula, draft, vessel, context]);

  const judgement = useMemo(() => judgeFormula(reckoning), [reckoning]);
  const { temperatureC, setStands, learnt } = useBenchHold(id, formula, judgement, reckoning, vessel);
  const styles = useStyles();
  const style = aimOf(formula, styles);
  const { baseVersion } = working;
  const before = useMemo(() => {
    if (!baseVersion) return null;
    const base = baseVersion.formula;
    const { palate } = judgeFormula(
      reckonFormula(base, vesselOf(base, kitchen.vessels), contextFor(base, kitchen)),
    );
    return { palate, name: `v${baseVersion.number}` };
  }, [baseVersion, kitchen]);

  const refuse = ({ ingredientId }: Pick<AdditionLine, 'ingredientId'>): string | null => {
    const ingredient = ingredientId && kitchen.catalogue.get(ingredientId);
    return ingredient && isMadeWith(ingredient, id) ? composeWords.nameIsMadeWithThis(ingredient.name) : null;
  };
  const trials = useTrialsQuery(id).data;
  // Where it stood when it was last tasted; before the first tasting, where the version it grew from stands.
  const mark = useMemo(
    () => lastTasted(trials ?? [], kitchen.catalogue) ?? before,
    [trials, kitchen.catalogue, before],
  );

  const edit = (next: Formula): void => {
    const was = new Set(formula.additions.map(({ ingredientId }) => ingredientId));
    const circle = next.additions.find((addition) => !was.has(addition.ingredientId) && refuse(addition));
    setBlocked(circle ? refuse(circle) : null);
    if (!circle) dispatch(edited({ id, formula: stampMeasures(formula, next, context) }));
  };
  const undo = (): void => void dispatch(undone(id));
  const redo = (): void => void dispatch(redone(id));
  const switchUnits = (): void =>
    void saveSettings({ ...settings, amountsIn: settings.amountsIn === 'grams' ? 'spoons' : 'grams' });
  const freezeNow = (): void => {
    void freeze({ id, revision: working.revision, note: '', by: byNow() })
      .unwrap()
      .then(
        ({ record }) => dispatch(versionFrozen({ id, record })),
        () => undefined,
      );
  };
  const actions: RowActions = {
    draft: (rowId, text) => {
      setDraft(text === null ? null : { id: rowId, text });
    },
    patch: (rowId, patch) => {
      edit(patchAddition(formula, rowId, patch));
    },
    step: (rowId, direction) => {
      edit(stepAddition(formula, rowId, direction));
    },
    toPhase: (rowId, phase) => {
      edit(placeAddition(formula, rowId, phase, formula.additions.length));
    },
    remove: (rowId) => {
      edit(removeAddition(formula, rowId));
    },
    name: (rowId, ingredientName) => {
      const found = findIngredient(ingredientName, kitchen.catalogue);
      if (found.status !== 'found') return;
      const { id: ingredientId, name } = found.ingredient;
      edit(patchAddition(formula, rowId, { ingredientId, ingredientText: name }));
    },
    details: (rowId) => {
      setPanel({ kind: 'details', id: rowId });
    },
    swap: (rowId) => {
      setPanel({ kind: 'swap', id: rowId });
    },
    select: (rowId) => {
      setSelection((now) => {
        const next = new Set(now);
        if (!next.delete(rowId)) next.add(rowId);
        return next;
      });
    },
  };

  const show = (kind: PlainPanel) => (): void => {
    setPanel({ kind });
  };
  const shortcuts = benchShortcuts({
    add: () => addField.current?.focus(),
    ratio: () => {
      setEditingRatio(true);
    },
    units: switchUnits,
    optional: () => {
      edit({ ...formula, countsOptional: !formula.countsOptional });
    },
    style: show('style'),
    cautions: show('cautions'),
    ways: show('ways'),
    scale: show('scale'),
    round: show('round'),
    hold: show('hold'),
    vessel: show('vessel'),
    letGo: () => {
      setSelection(NONE);
    },
    undo,
    redo,
    keys: show('keys'),
  });
  useShortcuts(shortcuts);

  const foretell = (text: string): string => {
    const next = reckonFormula(addTyped(formula, text, context, newAdditionId), vessel, context);
    const { totals } = next;
    const volume = formatAmount(totals.mixedVolumeMl, 'ml', settings);
    const before = formatRatio(reckoning.totals.measures.oilToAcidVolumeRatio, settings);
    const after = formatRatio(totals.measures.oilToAcidVolumeRatio, settings);
    return composeWords.makesVolumeForm(
      volume,
      before === after ? '' : composeWords.ratioBeforeAfter(before, after),
    );
  };
  const selected = new Set(
    formula.additions.map(({ id: rowId }) => rowId).filter((rowId) => selection.has(rowId)),
  );
  const onSelected = (next: Formula): void => {
    edit(next);
    setSelection(NONE);
  };
  const cost = costOf(reckoning.portions, packPriceOf(kitchen.pantry));
  const hasOptional = formula.additions.some(({ optional }) => optional);
  return (
    <div className="flex flex-col lg:h-[calc(100dvh-78px)] lg:min-h-[560px]">
      <FormulaHeader
        working={working}
        onRename={(name) => {
          edit({ ...formula, name });
        }}
        onUndo={undo}
        onRedo={redo}
        onFreeze={freezeNow}
        onUnits={switchUnits}
        onKeys={show('keys')}
      />
      {freezing.isError && (
        <Alert className="mb-3">{composeWords.notFrozenError(sayError(freezing.error))}</Alert>
      )}
      <ConflictNotice
        working={working}
        onSettle={(conflict, keep) => dispatch(conflictSettled({ id, conflict, keep }))}
      />
      <div className="grid min-h-0 flex-1 gap-3.5 lg:grid-cols-[262px_minmax(0,1fr)_330px] xl:grid-cols-[262px_minmax(0,1fr)_352px]">
        <div className="order-2 grid min-h-0 lg:order-1">
          <JarPanel
            formula={formula}
            reckoning={reckoning}
            vessel={vessel}
            vessels={kitchen.vessels}
            settings={settings}
            onVessel={(vesselId) => {
              edit({ ...formula, vesselId });
            }}
            onNewVessel={show('vessel')}
            onScale={show('scale')}
            onRound={show('round')}
            reading={learnt.reading}
            keeping={judgement.keeping}
            temperatureC={temperatureC}
            onTemperature={setStands}
            onHold={show('hold')}
          />
        </div>
        <section
          aria-label={composeWords.additions}
          className="card order-1 flex min-h-0 flex-col p-4 lg:order-2"
        >
          <button
            type="button"
            className="mb-1 min-h-6 self-start rounded-md text-left text-sm underline decoration-rule decoration-2 underline-offset-4 hover:decoration-bottle"
            data-testid="aim"
            onClick={show('style')}
          >
            {style && judgement.portions.length > 0 ? (
              <VerdictLine style={style} judgement={judgement} />
            ) : (
              (style?.name ?? composeWords.chooseWhatItIsAiming)
            )}
          </button>
          <RatioBar
            formula={formula}
            reckoning={reckoning}
            settings={settings}
            cost={cost}
            editing={editingRatio}
            onEditing={setEditingRatio}
            onSet={(wanted, follows) => {
              const next = setRatio(formula, reckoning, wanted, follows, context);
              if ('blocked' in next) setBlocked(next.blocked);
              else edit({ ...next, targetRatio: wanted });
            }}
          />
          {blocked && (
            <p role="alert" className="text-sm text-acid-ink">
              {blocked}
            </p>
          )}
          {selected.size > 0 && (
            <SelectionBar
              count={selected.size}
              onPhase={(phase) => {
                onSelected(moveAll(formula, selected, phase));
              }}
              onOptional={(optional) => {
                onSelected(patchAll(formula, selected, { optional }));
              }}
              onLock={(locked) => {
                onSelected(patchAll(formula, selected, { locked }));
              }}
              onRemove={() => {
                onSelected(removeAll(formula, selected));
              }}
              onClear={() => {
                setSelection(NONE);
              }}
            />
          )}
          <div className="min-h-0 flex-1 lg:overflow-auto">
            {formula.additions.length === 0 && (
              <p className="my-4 text-quiet">{composeWords.nothingInTheJarAcid}</p>
            )}
            <AdditionList
              reckoning={reckoning}
              settings={settings}
              spoons={formula.spoons}
              actions={actions}
              selection={selected}
              onDrop={(rowId, order) => {
                edit(dropAddition(formula, rowId, order));
              }}
            />
            {hasOptional && (
              <Tick
                label={composeWords.countOptionalAdditions}
                checked={formula.countsOptional}
                onChange={(checked) => {
                  edit({ ...formula, countsOptional: checked });
                }}
                className="pt-2 text-sm"
              />
            )}
          </div>
          <div className="sticky bottom-0 -mx-4 -mb-4 rounded-b-lg bg-card px-4 pt-2 pb-2 lg:static">
            <AddLine
              context={context}
              inputRef={addField}
              foretell={foretell}
              refuse={refuse}
              onAdd={(texts) => {
                if (texts.length === 0) return;
                const next = texts.reduce(
                  (grown, text) => addTyped(grown, text, context, newAdditionId),
                  formula,
                );
                edit(next);
                showRow(next.additions.at(-1)!.id);
              }}
            />
          </div>
        </section>
        <div className="order-3 grid min-h-0">
          <PalateRail
            reckoning={reckoning}
            judgement={judgement}
            style={style}
            before={mark}
            settings={settings}
            onMeasure={(measure) => {
              setPanel({ kind: 'measure', measure });
            }}
            onWays={show('ways')}
            onCautions={show('cautions')}
          />
        </div>
      </div>
      {panel && (
        <BenchPanels
          panel={panel}
          formula={formula}
          reckoning={reckoning}
          judgement={judgement}
          vessel={vessel}
          context={context}
          kitchen={kitchen}
          styles={styles}
          style={style}
          shortcuts={shortcuts}
          onEdit={edit}
          onStyle={show('style')}
          temperatureC={temperatureC}
          learnt={learnt}
          onTemperature={setStands}
          onClose={() => {
            setPanel(null);
          }}
        />
      )}
    </div>
  );
}
