import { TOOL_WORDS } from '#words/hold';
import { useMemo, useState } from 'react';
import { usualSeconds, usualTool } from '#core/emulsion';
import { TOOLS, type Tool } from '#core/formula';
import type { Ingredient, IngredientId } from '#core/ingredient';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { planMaking, type MakingPlan } from '#core/trial';
import { sayDeed } from '#words/trial';
import { AMBER_SHARE, HARDLY_MIXES_SHARE, type Vessel } from '#core/vessel';
import { makeWords } from '#words/screens/make';
import { useCooksQuery } from '../../data/kitchenApi';
import { formatAmount, inSentence } from '#words/numbers';
import { typedNumber } from '../../form/typed';
import { useBeginJar } from '../../sync/beginJar';
import { cookHere } from '../../sync/cook';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { useSpokenKitchen } from '../../data/kitchen';
import { useKept } from '../../sync/useKept';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { CautionLines } from '../../parts/CautionLines';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { secondsOf, stepWordsOf } from '#kitchen/repair';
import { SoundOffer } from '../../parts/Sound';
import { sayClock } from '../../parts/Timers';

const ROOM_PROBLEM = makeWords.n5To60COr;

/** Settles what a making needs before the first gram: how much, in what, with what. */
export function BeginMaking({
  working,
  onBegun,
}: {
  working: WorkingFormula;
  onBegun: (jarId: string) => void;
}) {
  const { formula } = working;
  const kitchen = useSpokenKitchen();
  const { settings } = kitchen;
  const jar = useBeginJar(working);
  const own = vesselOf(formula, kitchen.vessels);
  const reckoning = useMemo(
    () => reckonFormula(formula, own, contextFor(formula, kitchen)),
    [formula, own, kitchen],
  );
  const judgement = useMemo(() => judgeFormula(reckoning), [reckoning]);
  const volumeMl = reckoning.totals.mixedVolumeMl;
  const [volumeText, setVolumeText] = useState('');
  const [vesselId, setVesselId] = useState(own.id);
  const vessel = kitchen.vessels.find(({ id }) => id === vesselId) ?? own;
  const [chosenTool, setTool] = useState<Tool | null>(formula.tool);
  const tool = chosenTool ?? usualTool(vessel);
  const seconds =
    chosenTool === formula.tool && formula.mixSeconds !== null ? formula.mixSeconds : usualSeconds(tool);
  const [roomText, setRoomText] = useKept('room-c', '', 'device');
  const [bottles, setBottles] = useKept<BottlesInUse>(`bottles-${working.id}`, {}, 'device');
  const [setup, setSetup] = useState(false);

  const typedMl = typedNumber(volumeText, { above: 0, to: 1_000_000 });
  const wantedMl = typedMl.blank ? volumeMl : typedMl.value;
  const volumeFits = wantedMl !== null;
  const { value: room, wrong: roomWrong } = typedNumber(roomText, { from: -5, to: 60 });
  const plan = useMemo((): MakingPlan | null => {
    if (!volumeFits || !(volumeMl > 0)) return null;
    return planMaking(reckoning, judgement, {
      scaleFactor: wantedMl / volumeMl,
      tool,
      seconds,
      vessel,
      roomC: room,
      bottles: filled(bottles),
    });
  }, [volumeFits, volumeMl, wantedMl, reckoning, judgement, tool, seconds, vessel, room, bottles]);
  const poured = judgement.portions
    .map(({ ingredient }) => ingredient)
    .filter(({ category, isAcidLiquid }) => category === 'oil' || isAcidLiquid);

  if (!(volumeMl > 0)) {
    return (
      <section aria-label={makeWords.begin} className="card max-w-2xl p-5">
        <h2 className="font-name mb-1 text-lg font-bold">{makeWords.thereIsNothingToMake}</h2>
        <p className="text-quiet">{makeWords.composeItFirstAMaking}</p>
      </section>
    );
  }
  const begin = async (): Promise<void> => {
    if (!plan) return;
    const id = await jar.begin({ vesselId: vessel.id, lines: [], making: plan });
    if (id) onBegun(id);
  };
  return (
    <form
      aria-label={makeWords.begin}
      className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_360px]"
      onSubmit={(event) => {
        event.preventDefault();
        void begin();
      }}
    >
      <section
        aria-label={makeWords.whatItNeeds}
        className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-5"
      >
        <h2 className="font-name text-lg font-bold">{makeWords.beforeTheFirstGram}</h2>
        <SetUpLine
          says={makeWords.setUp(
            formatAmount(wantedMl ?? volumeMl, 'ml', settings),
            vessel.name,
            inSentence(TOOL_WORDS[tool]),
            room === null ? makeWords.kitchenNotMeasured : makeWords.kitchenAt(roomText),
          )}
          open={setup}
          onOpen={setSetup}
        />
        <div
          className={`grid-cols-[minmax(0,1fr)] gap-4 sm:grid-cols-2 ${setup || !volumeFits || roomWrong ? 'grid' : 'hidden'}`}
        >
          <Field
            label={makeWords.howMuchMl}
            inputMode="decimal"
            placeholder={`${Math.round(volumeMl)}`}
            value={volumeText}
            onText={setVolumeText}
            problem={volumeFits ? null : makeWords.aVolumeAboveNothingIn}
            hint={makeWords.asComposedVolumeml(formatAmount(volumeMl, 'ml', settings))}
          />
          <div className="grid content-start gap-1 font-semibold">
            {makeWords.vessel}
            <Choice
              label={makeWords.vessel}
              value={vessel.id}
              options={kitchen.vessels.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={setVesselId}
              className="font-normal"
            />
            <span className="text-sm font-normal text-quiet" data-testid="fits">
              {volumeFits && sayFit(wantedMl, vessel, (ml) => formatAmount(ml, 'ml', settings))}
            </span>
          </div>
          <div className="grid content-start gap-1 font-semibold">
            {makeWords.mixedWith}
            <Choice
              label={makeWords.mixedWith}
              value={tool}
              options={TOOLS.map((value) => ({ value, label: TOOL_WORDS[value] }))}
              onChange={setTool}
              className="font-normal"
            />
          </div>
          <Field
            label={makeWords.kitchenC}
            inputMode="decimal"
            placeholder={makeWords.nobodyMeasured}
            value={roomText}
            onText={setRoomText}
            problem={roomWrong ? ROOM_PROBLEM : null}
          />
        </div>
        <div className="border-l-4 border-l-sweet pl-3 text-sm">
          <CautionLines of={judgement} />
        </div>
        {setup && <Bottles poured={poured} bottles={bottles} onBottles={setBottles} />}
        <WhoCooks />
        <Button
          kind="main"
          type="submit"
          data-next
          className="min-h-16 text-lg"
          disabled={!plan || roomWrong || !jar.ready || jar.busy}
        >
          {jar.version.freezes
            ? makeWords.freezeAsVNumberAnd(jar.version.number)
            : makeWords.beginMakingVNumber(jar.version.number)}
        </Button>
      </section>
      {plan && <StepsToCome plan={plan} kitchen={kitchen} />}
    </form>
  );
}

/** Whose making it will be in the log, and whether it may sound. */
function WhoCooks() {
  const cook = (useCooksQuery().data ?? []).find(({ id }) => id === cookHere());
  return (
    <>
      <p className="text-sm text-quiet">
        {cook ? makeWords.nameCooksOnThisDevice(cook.name) : makeWords.nobodyIsNamedOnThis}
      </p>
      <SoundOffer />
    </>
  );
}

/** One line is enough where nothing is otherwise than last time. */
function SetUpLine({ says, open, onOpen }: { says: string; open: boolean; onOpen: (open: boolean) => void }) {
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

type BottlesInUse = Readonly<Partial<Record<IngredientId, string>>>;
interface BottlesProps {
  readonly poured: readonly Ingredient[];
  readonly bottles: BottlesInUse;
  readonly onBottles: (bottles: BottlesInUse) => void;
}
/** Which bottle it was, so that a jar can be compared with the one before. */
function Bottles({ poured, bottles, onBottles }: BottlesProps) {
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

function StepsToCome({ plan, kitchen }: { plan: MakingPlan; kitchen: Kitchen }) {
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

const filled = (
  bottles: Readonly<Partial<Record<IngredientId, string>>>,
): Readonly<Partial<Record<IngredientId, string>>> =>
  Object.fromEntries(Object.entries(bottles).filter(([, text]) => (text ?? '').trim() !== ''));

function sayFit(volumeMl: number, vessel: Vessel, ml: (volumeMl: number) => string): string {
  const { brimfulVolumeMl, closes, name } = vessel;
  if (volumeMl > brimfulVolumeMl) return makeWords.doesNotFitNameHolds(name, ml(brimfulVolumeMl));
  if (closes && volumeMl > HARDLY_MIXES_SHARE * brimfulVolumeMl) return makeWords.tooFullItWillHardly;
  if (closes && volumeMl > AMBER_SHARE * brimfulVolumeMl) return makeWords.aboveThreeQuartersShakesPoorly;
  return makeWords.fits;
}
