import type { AdditionId, Formula, ReadingContext } from '#core/formula';
import type { PalateKey, Style } from '#core/palate';
import type { Judgement, Reckoning } from '#core/reckoning';
import type { Vessel } from '#core/vessel';
import { patchAddition } from '#kitchen/edits';
import type { Kitchen } from '#kitchen/reading';
import { composeWords } from '#words/screens/compose';
import type { KitchenStyle } from '../../data/styles';
import { KeyHelp } from '../../ui/KeyHelp';
import type { Shortcut } from '../../ui/shortcuts';
import { AdditionPanel } from './AdditionPanel';
import type { LearntReading } from '../../data/learnt';
import { ROW_KEYS } from './benchKeys';
import { CautionPanel } from './CautionPanel';
import { HoldPanel } from './HoldPanel';
import { MeasurePanel } from './MeasurePanel';
import { RoundPanel } from './RoundPanel';
import { ScalePanel } from './ScalePanel';
import { StylePanel } from './StylePanel';
import { SwapPanel } from './SwapPanel';
import { VesselPanel } from './VesselPanel';
import { WaysPanel } from './WaysPanel';

/** Which sheet lies over the bench. */
export type PlainPanel = 'keys' | 'scale' | 'vessel' | 'style' | 'cautions' | 'ways' | 'round' | 'hold';
export type OpenPanel =
  | { readonly kind: PlainPanel }
  | { readonly kind: 'swap'; readonly id: AdditionId }
  | { readonly kind: 'details'; readonly id: AdditionId }
  | { readonly kind: 'measure'; readonly measure: PalateKey };

interface BenchPanelsProps {
  readonly panel: OpenPanel;
  readonly formula: Formula;
  readonly reckoning: Reckoning;
  readonly judgement: Judgement;
  readonly vessel: Vessel;
  readonly context: ReadingContext;
  readonly kitchen: Kitchen;
  readonly styles: readonly KitchenStyle[];
  readonly style: Style | null;
  readonly shortcuts: readonly Shortcut[];
  readonly onEdit: (next: Formula) => void;
  readonly onStyle: () => void;
  readonly temperatureC: number;
  readonly learnt: LearntReading;
  readonly onTemperature: (temperatureC: number) => void;
  readonly onClose: () => void;
}

/** The sheets of the bench; each edits the formula as a whole, so that each is one step of undo. */
export function BenchPanels(props: BenchPanelsProps) {
  const { panel, formula, reckoning, judgement, kitchen, style, onEdit, onClose } = props;
  const { settings } = kitchen;
  switch (panel.kind) {
    case 'details': {
      const addition = formula.additions.find(({ id }) => id === panel.id);
      return addition ? (
        <AdditionPanel
          addition={addition}
          catalogue={kitchen.catalogue}
          onSave={(patch) => {
            onEdit(patchAddition(formula, addition.id, patch));
          }}
          onClose={onClose}
        />
      ) : null;
    }
    case 'measure':
      return (
        <MeasurePanel
          measure={panel.measure}
          judgement={judgement}
          style={style}
          settings={settings}
          servingMassG={servingMassG(reckoning.totals, formula.servingVolumeMl)}
          onClose={onClose}
        />
      );
    case 'ways':
      return (
        <WaysPanel
          formula={formula}
          reckoning={reckoning}
          judgement={judgement}
          style={style}
          vessel={props.vessel}
          context={props.context}
          kitchen={kitchen}
          onTake={onEdit}
          onStyle={props.onStyle}
          onClose={onClose}
        />
      );
    case 'swap': {
      const addition = formula.additions.find(({ id }) => id === panel.id);
      return addition ? (
        <SwapPanel
          addition={addition}
          formula={formula}
          reckoning={reckoning}
          judgement={judgement}
          style={style}
          context={props.context}
          kitchen={kitchen}
          onTake={onEdit}
          onClose={onClose}
        />
      ) : null;
    }
    case 'hold':
      return (
        <HoldPanel
          formula={formula}
          reckoning={reckoning}
          judgement={judgement}
          vessel={props.vessel}
          context={props.context}
          kitchen={kitchen}
          temperatureC={props.temperatureC}
          learnt={props.learnt}
          onEdit={onEdit}
          onTemperature={props.onTemperature}
          onClose={onClose}
        />
      );
    case 'round':
      return (
        <RoundPanel
          formula={formula}
          reckoning={reckoning}
          context={props.context}
          settings={settings}
          onTake={onEdit}
          onClose={onClose}
        />
      );
    case 'cautions':
      return <CautionPanel judgement={judgement} onClose={onClose} />;
    case 'style':
      return (
        <StylePanel
          styles={props.styles}
          chosenId={formula.styleId}
          typedRatio={formula.targetRatio}
          judgement={judgement}
          kitchen={kitchen}
          onChoose={(styleId) => {
            onEdit({ ...formula, styleId });
          }}
          onForgetRatio={() => {
            onEdit({ ...formula, targetRatio: null });
          }}
          onClose={onClose}
        />
      );
    case 'scale':
      return (
        <ScalePanel
          formula={formula}
          reckoning={reckoning}
          vessel={props.vessel}
          context={props.context}
          settings={settings}
          onScale={onEdit}
          onClose={onClose}
        />
      );
    case 'vessel':
      return (
        <VesselPanel
          onMade={(vesselId) => {
            onEdit({ ...formula, vesselId });
          }}
          onClose={onClose}
        />
      );
    case 'keys':
      return (
        <KeyHelp
          open
          onClose={onClose}
          groups={[
            { title: composeWords.anywhereOnThisPage, shortcuts: props.shortcuts },
            { title: composeWords.inAnAmount, shortcuts: ROW_KEYS },
          ]}
        />
      );
  }
}

/** What one serving weighs, g; null in an empty jar. */
function servingMassG(
  { massG, mixedVolumeMl }: { readonly massG: number; readonly mixedVolumeMl: number },
  servingVolumeMl: number,
): number | null {
  return mixedVolumeMl > 0 ? (massG / mixedVolumeMl) * servingVolumeMl : null;
}
