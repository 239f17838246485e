import { useSaveShared } from '../../sync/useSaveShared';
import { SETTINGS_ID } from '#contract';
import { useMemo, useRef, useState } from 'react';
import type { AdditionId, VesselId } from '#core/formula';
import type { PalateKey } from '#core/palate';
import { composeWords } from '#words/screens/compose';
import { useKitchen } from '../../data/kitchen';
import { sayError } from '../../data/kitchenApi';
import { useFreezeNow } from '../../sync/freeze';
import { useAppDispatch } from '../../sync/store';
import { keyOf } from '../../sync/shared';
import { formulaRedone, formulaUndone, type WorkingFormula } from '../../sync/working';
import { ClashNotice } from '../../parts/ClashList';
import { Alert } from '../../ui/Alert';
import { useSteady } from '../../ui/useSteady';
import { useShortcuts } from '../../ui/shortcuts';
import { AdditionsCard } from './AdditionsCard';
import { benchShortcuts } from './benchKeys';
import { BenchFirst } from './BenchFirst';
import { BenchPanels, type OpenPanel, type PlainPanel } from './BenchPanels';
import { FormulaHeader } from './FormulaHeader';
import { JarPanel } from './JarPanel';
import { PalateRail } from './PalateRail';
import { useSteadyActions } from './rowActions';
import { useStair } from './useStair';
import { rowActionsFor, useBenchEdit, useBenchReckoning, type LineDraft } from './useBench';

/** What opens which sheet; the same from one drawing to the next. */
function openers(setPanel: (panel: OpenPanel) => void) {
  const show = (kind: PlainPanel) => (): void => {
    setPanel({ kind });
  };
  return {
    style: show('style'),
    cautions: show('cautions'),
    ways: show('ways'),
    scale: show('scale'),
    round: show('round'),
    hold: show('hold'),
    vessel: show('vessel'),
    keys: show('keys'),
    measure: (measure: PalateKey): void => {
      setPanel({ kind: 'measure', measure });
    },
  };
}

const NONE: ReadonlySet<AdditionId> = new Set();

/** The bench: jar, additions, palate, and everything that changes them. */
export function ComposeBench({ working }: { working: WorkingFormula }) {
  const { id } = working;
  const stair = useStair(working);
  const { formula } = stair.working;
  const dispatch = useAppDispatch();
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const [draft, setDraft] = useState<LineDraft | null>(null);
  const [editingRatio, setEditingRatio] = useState(false);
  const [panel, setPanel] = useState<OpenPanel | null>(null);
  const [selection, setSelection] = useState(NONE);
  const freezing = useFreezeNow();
  const [saveSettings] = useSaveShared('settings');
  const addField = useRef<HTMLInputElement>(null);
  const bench = useBenchReckoning(stair.working, kitchen, draft);
  const { vessel, context, reckoning, settled, judgement, style } = bench;
  const { temperatureC, setStands, learnt, failed } = bench.hold;
  const changing = useBenchEdit(stair.working, kitchen, context, stair.whole);
  const { edit } = changing;
  const inVessel = useSteady((vesselId: VesselId) => {
    edit({ ...formula, vesselId });
  });
  const asked = rowActionsFor({ formula, kitchen, edit, setDraft, setPanel, setSelection });
  const actions = useSteadyActions(asked);
  const undo = (): void => void dispatch(formulaUndone(id));
  const redo = (): void => void dispatch(formulaRedone(id));
  const switchUnits = (): void => {
    const amountsIn = settings.amountsIn === 'grams' ? 'spoons' : 'grams';
    saveSettings(SETTINGS_ID, settings, { ...settings, amountsIn }).catch(() => undefined);
  };
  const freezeNow = (): void => void freezing.freezeNow(working, '').catch(() => undefined);
  const open = useMemo(() => openers(setPanel), []);
  const shortcuts = benchShortcuts({
    add: () => addField.current?.focus(),
    ratio: () => {
      setEditingRatio(true);
    },
    units: switchUnits,
    optional: () => {
      edit({ ...formula, countsOptional: !formula.countsOptional });
    },
    ...open,
    letGo: () => {
      setSelection(NONE);
    },
    undo,
    redo,
    stageDown: stair.down,
    stageUp: stair.up,
  });
  useShortcuts(shortcuts);
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
        onKeys={open.keys}
      />
      {freezing.isError && (
        <Alert className="mb-3">{composeWords.notFrozenError(sayError(freezing.error))}</Alert>
      )}
      <ClashNotice workKey={keyOf('formula', id)} />
      <BenchFirst
        formula={formula}
        kitchen={kitchen}
        bench={bench}
        onEdit={edit}
        onStyle={open.style}
        onWays={open.ways}
        onCautions={open.cautions}
        onHold={open.hold}
      />
      <div className="grid min-h-0 flex-1 gap-3.5 lg:min-h-[560px] lg:grid-cols-[310px_minmax(0,1fr)_250px] xl:grid-cols-[344px_minmax(0,1fr)_290px]">
        <div className="order-2 grid min-h-0 lg:order-1">
          <JarPanel
            reckoning={settled}
            vessel={vessel}
            vessels={kitchen.vessels}
            settings={settings}
            onVessel={inVessel}
            onNewVessel={open.vessel}
            onScale={open.scale}
            onRound={open.round}
            hold={learnt.hold}
            failed={failed}
            judgement={judgement}
            onCautions={open.cautions}
            temperatureC={temperatureC}
            onTemperature={setStands}
            onHold={open.hold}
          />
        </div>
        <AdditionsCard
          formula={formula}
          kitchen={kitchen}
          vessel={vessel}
          context={context}
          reckoning={reckoning}
          changing={changing}
          actions={actions}
          selection={selection}
          onSelect={setSelection}
          editingRatio={editingRatio}
          onEditingRatio={setEditingRatio}
          addField={addField}
          stair={stair}
          whole={working.formula}
        />
        <div className="order-3 grid min-h-0">
          <PalateRail
            reckoning={settled}
            judgement={judgement}
            style={style}
            settings={settings}
            onMeasure={open.measure}
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
          style={style}
          shortcuts={shortcuts}
          learnt={learnt}
          styles={bench.styles}
          onEdit={edit}
          onStyle={open.style}
          temperatureC={temperatureC}
          onTemperature={setStands}
          onClose={() => {
            setPanel(null);
          }}
        />
      )}
    </div>
  );
}
