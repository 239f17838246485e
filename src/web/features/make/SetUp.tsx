/** What a making needs before it begins: one line of it, and the fields behind it. */
import { TOOL_WORDS } from '#words/hold';
import { TOOLS, type Tool } from '#core/formula';
import type { Ingredient, IngredientId } from '#core/ingredient';
import type { MakingPlan } from '#core/trial';
import { sayDeed } from '#words/trial';
import { AMBER_SHARE, HARDLY_MIXES_SHARE, type Vessel } from '#core/vessel';
import type { Kitchen } from '#kitchen/reading';
import { secondsOf, stepWordsOf } from '#kitchen/repair';
import { formatAmount } from '#words/numbers';
import { makeWords } from '#words/screens/make';
import { sayClock } from '../../parts/Timers';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';

const ROOM_PROBLEM = makeWords.n5To60COr;

interface SetUpFieldsProps {
  readonly hidden: boolean;
  readonly kitchen: Kitchen;
  readonly volumeText: string;
  readonly onVolumeText: (text: string) => void;
  /** As composed. */
  readonly volumeMl: number;
  /** Null: what was typed is no volume. */
  readonly wantedMl: number | null;
  readonly vessel: Vessel;
  readonly onVessel: (id: Vessel['id']) => void;
  readonly tool: Tool;
  readonly onTool: (tool: Tool) => void;
  readonly stages: readonly string[];
  readonly stage: number;
  readonly onStage: (stage: number) => void;
  readonly roomText: string;
  readonly onRoomText: (text: string) => void;
  readonly roomWrong: boolean;
}
export function SetUpFields(props: SetUpFieldsProps) {
  const { hidden, kitchen, volumeText, onVolumeText, volumeMl, wantedMl, vessel, onVessel } = props;
  const { tool, onTool, stages, stage, onStage, roomText, onRoomText, roomWrong } = props;
  const { settings } = kitchen;
  return (
    <div className={`grid-cols-[minmax(0,1fr)] gap-4 sm:grid-cols-2 ${hidden ? 'hidden' : 'grid'}`}>
      <Field
        label={makeWords.howMuchMl}
        inputMode="decimal"
        placeholder={`${Math.round(volumeMl)}`}
        value={volumeText}
        onText={onVolumeText}
        problem={wantedMl !== null ? null : makeWords.aVolumeAboveNothingIn}
        hint={makeWords.asComposedVolumeml(formatAmount(volumeMl, 'ml', settings))}
      />
      <div className="grid content-start gap-1 font-semibold">
        {makeWords.vessel}
        <Choice
          label={makeWords.vessel}
          value={vessel.id}
          options={kitchen.vessels.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={onVessel}
          className="font-normal"
        />
        <span className="text-sm font-normal text-quiet" data-testid="fits">
          {wantedMl !== null && sayFit(wantedMl, vessel, (ml) => formatAmount(ml, 'ml', settings))}
        </span>
      </div>
      <div className="grid content-start gap-1 font-semibold">
        {makeWords.mixedWith}
        <Choice
          label={makeWords.mixedWith}
          value={tool}
          options={TOOLS.map((value) => ({ value, label: TOOL_WORDS[value] }))}
          onChange={onTool}
          className="font-normal"
        />
      </div>
      {stages.length > 1 && (
        <div className="grid content-start gap-1 font-semibold">
          {makeWords.asFarAs}
          <Choice
            label={makeWords.asFarAs}
            value={String(stage)}
            options={stages.map((name, i) => ({ value: String(i), label: name }))}
            onChange={(value) => {
              onStage(Number(value));
            }}
            className="font-normal"
          />
        </div>
      )}
      <Field
        label={makeWords.kitchenC}
        inputMode="decimal"
        placeholder={makeWords.nobodyMeasured}
        value={roomText}
        onText={onRoomText}
        problem={roomWrong ? ROOM_PROBLEM : null}
      />
    </div>
  );
}

function sayFit(volumeMl: number, vessel: Vessel, ml: (volumeMl: number) => string): string {
  const { brimfulVolumeMl, closes, name } = vessel;
  if (volumeMl > brimfulVolumeMl) return makeWords.doesNotFitNameHolds(name, ml(brimfulVolumeMl));
  if (closes && volumeMl > HARDLY_MIXES_SHARE * brimfulVolumeMl) return makeWords.tooFullItWillHardly;
  if (closes && volumeMl > AMBER_SHARE * brimfulVolumeMl) return makeWords.aboveThreeQuartersShakesPoorly;
  return makeWords.fits;
}

/** One line is enough where nothing is otherwise than last time. */
export function SetUpLine({
  says,
  open,
  onOpen,
}: {
  says: string;
  open: boolean;
  onOpen: (open: boolean) => void;
}) {
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-2 text-lg" data-testid="setup">
      {says}
      <Button
        aria-expanded={open}
        className="min-h-11"
        onClick={() => {
          onOpen(!open);
        }}
      >
        {open ? makeWords.thatIsIt : makeWords.changeSetUp}
      </Button>
    </p>
  );
}

export type BottlesInUse = Readonly<Partial<Record<IngredientId, string>>>;
interface BottlesProps {
  readonly poured: readonly Ingredient[];
  readonly bottles: BottlesInUse;
  readonly onBottles: (bottles: BottlesInUse) => void;
}
/** Which bottle it was, so that a jar can be compared with the one before. */
export function Bottles({ poured, bottles, onBottles }: BottlesProps) {
  if (poured.length === 0) return null;
  return (
    <details>
      <summary className="min-h-8 cursor-pointer font-semibold">{makeWords.bottlesInUse}</summary>
      <p className="mb-2 text-sm text-quiet">{makeWords.whichBottleItWasSo}</p>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-2">
        {poured.map(({ id, name }) => (
          <Field
            key={id}
            label={name}
            maxLength={200}
            placeholder={makeWords.makerLotOpenedOn}
            value={bottles[id] ?? ''}
            onText={(text) => {
              onBottles({ ...bottles, [id]: text });
            }}
          />
        ))}
      </div>
    </details>
  );
}

export function StepsToCome({ plan, kitchen }: { plan: MakingPlan; kitchen: Kitchen }) {
  const { settings } = kitchen;
  return (
    <section aria-label={makeWords.itsSteps} className="card p-4">
      <h2 className="mb-1 font-semibold">{makeWords.lengthSteps(plan.steps.length)}</h2>
      <ol>
        {plan.steps.map((step) => (
          <li key={step.id} className="flex justify-between gap-3 border-b border-rule py-1.5">
            <span>
              {step.kind === 'do'
                ? sayDeed(step, plan.tool, stepWordsOf(kitchen.catalogue, settings))
                : kitchen.catalogue.get(step.kind === 'weigh' ? step.line.ingredientId : step.ingredientId)
                    ?.name}
            </span>
            <span className="whitespace-nowrap text-quiet">
              {step.kind === 'weigh'
                ? formatAmount(step.line.massG, 'g', settings)
                : step.kind === 'to-taste'
                  ? makeWords.toTaste
                  : step.seconds !== null && sayClock(secondsOf(step))}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
