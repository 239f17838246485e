import { ROOM_C, emulsionState, holdRequest, USUAL_HEIGHT_M, type Rescue } from '#core/emulsion';
import type { IngredientId } from '#core/ingredient';
import type { JudgedPortion } from '#core/reckoning';
import type { PlanReason, PlanWay, Step } from '#core/trial';
import type { Vessel } from '#core/vessel';
import { makeWeighWords } from '#words/screens/makeWeigh';
import { newId } from '../../sync/device';
import { makingOf, type Jar } from '../../data/jars';
import type { Kitchen } from '#kitchen/reading';
import { Button } from '../../ui/Button';
import { RescueSection } from '../../parts/RescueSection';
import { weighStep } from '#kitchen/repair';

interface SplitPanelProps {
  readonly jar: Jar;
  readonly portions: readonly JudgedPortion[];
  readonly volumeMl: number;
  readonly vessel: Vessel;
  readonly kitchen: Kitchen;
  readonly before: string | null;
  readonly onPlan: (
    reason: PlanReason,
    targets: readonly [],
    steps: readonly Step[],
    before: string | null,
    way: PlanWay,
  ) => void;
}

/** It broke: how to save it, with the quantities of this very batch. */
export function SplitPanel({ jar, portions, volumeMl, vessel, kitchen, before, onPlan }: SplitPanelProps) {
  const making = makingOf(jar);
  const temperatureC = making.roomC ?? ROOM_C;
  const request = holdRequest(portions, {
    tool: making.tool,
    seconds: making.seconds,
    volumeMl,
    heightM: USUAL_HEIGHT_M,
    temperatureC,
    mixedC: making.roomC,
    fillShare: Math.min(1, volumeMl / vessel.brimfulVolumeMl),
  });
  const state = portions.length > 0 ? emulsionState(request) : null;
  return (
    <section
      aria-label={makeWeighWords.itHasSplit}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 border-l-4 border-l-acid p-5 sm:p-6"
    >
      <h2 className="font-name text-3xl font-bold">{makeWeighWords.itHasSplitDoNot}</h2>
      {state ? (
        <RescueSection
          request={request}
          state={state}
          portions={portions}
          kitchen={kitchen}
          volumeMl={volumeMl}
          trouble="split"
          onTake={(way) => {
            onPlan('rescue', [], rescueSteps(way), before, 'rescue');
          }}
        />
      ) : (
        <p className="text-lg">{makeWeighWords.thereIsNoOilAnd}</p>
      )}
      <Button
        className="min-h-16 justify-self-start px-6"
        onClick={() => {
          onPlan('rescue', [], [], before, 'without-rescue');
        }}
      >
        {makeWeighWords.goOnWithout}
      </Button>
    </section>
  );
}

/** What is weighed for a rescue, and what is done, in its order. */
function rescueSteps({ steps }: Rescue): readonly Step[] {
  const weigh = (ingredientId: IngredientId, massG: number): Step =>
    weighStep({ ingredientId, form: '', massG }, 'add', newId);
  const water = 'water' as IngredientId;
  return steps.flatMap((step): Step[] => {
    const deed: Step = {
      kind: 'do',
      id: `do-${newId()}`,
      deed: 'said',
      seconds: null,
      said: '',
      note: { code: 'rescue', step },
    };
    switch (step.code) {
      case 'new-base':
        return [
          weigh(step.ingredientId, step.massG),
          ...(step.waterMl > 0 ? [weigh(water, step.waterMl)] : []),
          deed,
        ];
      case 'add-water-first':
        return [weigh(water, step.volumeMl), deed];
      case 'thin-with':
        return [weigh(step.ingredientId, step.massG), deed];
      case 'thicken-with-gum':
        return [weigh('xanthan' as IngredientId, step.massG), deed];
      default:
        return [deed];
    }
  });
}
