import { TOOL_WORDS } from '#words/hold';
import { useMemo, useState } from 'react';
import { usualSeconds, usualTool } from '#core/emulsion';
import { stagesOf, upToStage, type Tool } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { planMaking, type MakingPlan } from '#core/trial';
import { makeWords } from '#words/screens/make';
import { useCooksQuery } from '../../data/kitchenApi';
import { formatAmount, inSentence } from '#words/numbers';
import { typedNumber } from '../../form/typed';
import { useBeginJar } from '../../sync/beginJar';
import { cookHere } from '../../sync/cook';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useSpokenKitchen } from '../../data/kitchen';
import { useKept } from '../../sync/useKept';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { CautionLines } from '../../parts/CautionLines';
import { SoundOffer } from '../../parts/Sound';
import { Bottles, SetUpFields, SetUpLine, StepsToCome, type BottlesInUse } from './SetUp';

/** Settles what a making needs before the first gram: how much, in what, with what. */
export function BeginMaking({
  working,
  stage: chosen,
  onStage,
  onBegun,
}: {
  working: WorkingFormula;
  /** Only as far as this stage; null: all of it. */
  stage: number | null;
  onStage: (stage: number | null) => void;
  onBegun: (jarId: string) => void;
}) {
  const names = stagesOf(working.formula);
  const last = names.length - 1;
  const stage = chosen === null ? last : Math.min(chosen, last);
  const formula = useMemo(() => upToStage(working.formula, stage), [working.formula, stage]);
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
    const making = last > 0 ? { ...plan, stage } : plan;
    const id = await jar.begin({ vesselId: vessel.id, lines: [], making });
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
            [
              formatAmount(wantedMl ?? volumeMl, 'ml', settings),
              stage < last ? makeWords.stopAt(names[stage]!) : '',
            ]
              .filter(Boolean)
              .join(', '),
            vessel.name,
            inSentence(TOOL_WORDS[tool]),
            room === null ? makeWords.kitchenNotMeasured : makeWords.kitchenAt(roomText),
          )}
          open={setup}
          onOpen={setSetup}
        />
        <SetUpFields
          hidden={!setup && volumeFits && !roomWrong}
          kitchen={kitchen}
          volumeText={volumeText}
          onVolumeText={setVolumeText}
          volumeMl={volumeMl}
          wantedMl={wantedMl}
          vessel={vessel}
          onVessel={setVesselId}
          tool={tool}
          onTool={setTool}
          stages={names}
          stage={stage}
          onStage={(next) => {
            onStage(next === last ? null : next);
          }}
          roomText={roomText}
          onRoomText={setRoomText}
          roomWrong={roomWrong}
        />
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

const filled = (
  bottles: Readonly<Partial<Record<IngredientId, string>>>,
): Readonly<Partial<Record<IngredientId, string>>> =>
  Object.fromEntries(Object.entries(bottles).filter(([, text]) => (text ?? '').trim() !== ''));
