import { useMemo, useRef, useState } from 'react';
import type { AdditionId, Formula } from '#core/formula';
import { findIngredient } from '#core/ingredient';
import { reckonFormula } from '#core/reckoning';
import { sayError, useFreezeMutation, useSaveSettingsMutation } from '../../api/kitchenApi';
import { formatAmount, formatRatio } from '../../format';
import { contextFor, useKitchen, vesselOf } from '../../store/kitchen';
import { useAppDispatch } from '../../store/store';
import {
  conflictSettled,
  edited,
  redone,
  undone,
  versionFrozen,
  type WorkingFormula,
} from '../../store/workingSlice';
import { KeyHelp } from '../../ui/KeyHelp';
import { useShortcuts, type Shortcut } from '../../ui/shortcuts';
import { AddLine } from './AddLine';
import { AdditionList } from './AdditionList';
import { AdditionPanel } from './AdditionPanel';
import type { RowActions } from './AdditionRow';
import { ConflictNotice } from './ConflictNotice';
import {
  addTyped,
  dropAddition,
  patchAddition,
  placeAddition,
  removeAddition,
  setRatio,
  stepAddition,
} from './edits';
import { FormulaHeader } from './FormulaHeader';
import { JarPanel } from './JarPanel';
import { PalateRail } from './PalateRail';
import { RatioBar } from './RatioBar';

const ROW_KEYS = [
  { keys: ['ArrowUp', 'ArrowDown'], does: 'to the amount above or below' },
  { keys: ['shift+ArrowUp', 'shift+ArrowDown'], does: 'next kitchen step more or less' },
  { keys: ['alt+ArrowUp', 'alt+ArrowDown'], does: 'move the addition up or down' },
  { keys: ['alt+o'], does: 'optional, or always in' },
  { keys: ['shift+Delete'], does: 'take the addition out' },
];

const newAdditionId = (): AdditionId => crypto.randomUUID() as AdditionId;

/** The bench: jar, additions, palate, and everything that changes them. */
export function ComposeBench({ working }: { working: WorkingFormula }) {
  const { id, formula } = working;
  const dispatch = useAppDispatch();
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const [draft, setDraft] = useState<{ id: AdditionId; text: string } | null>(null);
  const [editingRatio, setEditingRatio] = useState(false);
  const [showKeys, setShowKeys] = useState(false);
  const [detailsOf, setDetailsOf] = useState<AdditionId | null>(null);
  const [freeze, freezing] = useFreezeMutation();
  const [saveSettings] = useSaveSettingsMutation();
  const addField = useRef<HTMLInputElement>(null);

  const vessel = vesselOf(formula, kitchen.vessels);
  const context = useMemo(() => contextFor(formula, kitchen), [formula, kitchen]);
  const reckoning = useMemo(() => {
    const shown = draft ? patchAddition(formula, draft.id, { amountText: draft.text }) : formula;
    return reckonFormula(shown, vessel, context);
  }, [formula, draft, vessel, context]);

  const edit = (next: Formula): void => {
    dispatch(edited({ id, formula: next }));
  };
  const undo = (): void => void dispatch(undone(id));
  const redo = (): void => void dispatch(redone(id));
  const switchUnits = (): void =>
    void saveSettings({ ...settings, amountsIn: settings.amountsIn === 'grams' ? 'spoons' : 'grams' });
  const freezeNow = (): void => {
    void freeze({ id, revision: working.revision, note: '' })
      .unwrap()
      .then(
        (version) => dispatch(versionFrozen({ id, version })),
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
    details: setDetailsOf,
  };

  const shortcuts: readonly Shortcut[] = [
    { keys: ['a'], does: 'type an addition', run: () => addField.current?.focus() },
    {
      keys: ['r'],
      does: 'set the ratio',
      run: () => {
        setEditingRatio(true);
      },
    },
    {
      keys: ['u'],
      does: 'grams or kitchen measures',
      run: switchUnits,
    },
    {
      keys: ['o'],
      does: 'count optional additions, or leave them out',
      run: () => {
        edit({ ...formula, countsOptional: !formula.countsOptional });
      },
    },
    { keys: ['mod+z'], does: 'undo', run: undo, inFields: true },
    { keys: ['mod+shift+z', 'mod+y'], does: 'redo', run: redo, inFields: true },
    {
      keys: ['?'],
      does: 'these keys',
      run: () => {
        setShowKeys(true);
      },
    },
  ];
  useShortcuts(shortcuts);

  const foretell = (text: string): string => {
    const next = reckonFormula(addTyped(formula, text, context, newAdditionId), vessel, context);
    const { totals } = next;
    const volume = formatAmount(totals.mixedVolumeMl, 'ml', settings);
    const before = formatRatio(reckoning.totals.measures.oilToAcidVolumeRatio, settings);
    const after = formatRatio(totals.measures.oilToAcidVolumeRatio, settings);
    return `makes ${volume}${before === after ? '' : `, ratio ${before} → ${after}`}.`;
  };
  const details = formula.additions.find((addition) => addition.id === detailsOf);
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
        onKeys={() => {
          setShowKeys(true);
        }}
      />
      {freezing.isError && (
        <p role="alert" className="mb-3 font-semibold text-acid-ink">
          Not frozen. {sayError(freezing.error)}
        </p>
      )}
      <ConflictNotice working={working} onSettle={(keep) => dispatch(conflictSettled({ id, keep }))} />
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
          />
        </div>
        <section aria-label="Additions" className="card order-1 flex min-h-0 flex-col p-4 lg:order-2">
          <RatioBar
            formula={formula}
            reckoning={reckoning}
            settings={settings}
            editing={editingRatio}
            onEditing={setEditingRatio}
            onSet={(wanted, follows) => {
              const next = setRatio(formula, reckoning, wanted, follows, context);
              if (next) edit(next);
            }}
          />
          <div className="min-h-0 flex-1 lg:overflow-auto">
            {formula.additions.length === 0 && (
              <p className="my-4 text-quiet">
                Nothing in the jar. Acid and salt go first, oil last: type “30 ml red wine vinegar” below and
                press Enter. A list can be pasted whole.
              </p>
            )}
            <AdditionList
              reckoning={reckoning}
              settings={settings}
              spoons={formula.spoons}
              actions={actions}
              onDrop={(rowId, order) => {
                edit(dropAddition(formula, rowId, order));
              }}
            />
            {hasOptional && (
              <label className="flex min-h-8 items-center gap-2 pt-2 text-sm">
                <input
                  type="checkbox"
                  className="size-4 accent-bottle"
                  checked={formula.countsOptional}
                  onChange={(event) => {
                    edit({ ...formula, countsOptional: event.target.checked });
                  }}
                />
                Count optional additions
              </label>
            )}
          </div>
          <div className="sticky bottom-0 -mx-4 -mb-4 rounded-b-lg bg-card px-4 pt-2 pb-2 lg:static">
            <AddLine
              context={context}
              inputRef={addField}
              foretell={foretell}
              onAdd={(texts) => {
                edit(texts.reduce((next, text) => addTyped(next, text, context, newAdditionId), formula));
              }}
            />
          </div>
        </section>
        <div className="order-3 grid min-h-0">
          <PalateRail reckoning={reckoning} settings={settings} />
        </div>
      </div>
      {details && (
        <AdditionPanel
          addition={details}
          catalogue={kitchen.catalogue}
          onSave={(patch) => {
            edit(patchAddition(formula, details.id, patch));
          }}
          onClose={() => {
            setDetailsOf(null);
          }}
        />
      )}
      <KeyHelp
        open={showKeys}
        onClose={() => {
          setShowKeys(false);
        }}
        groups={[
          { title: 'Anywhere on this page', shortcuts },
          { title: 'In an amount', shortcuts: ROW_KEYS },
        ]}
      />
    </div>
  );
}
