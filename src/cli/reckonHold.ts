/** What the emulsion does in the jar, for the command line: the very model of the screens. */
import { hold, holdRequest, ROOM_C, USUAL_HEIGHT_M, usualSeconds, usualTemperatureC } from '#core/emulsion';
import { sayHold } from '#words/hold';
import type { Tool } from '#core/formula';
import { composition } from '#core/composition';
import { judgePortions, type JudgedPortion } from '#core/reckoning';

export interface HoldAsk {
  readonly tool: Tool;
  readonly mixS: number | null;
  readonly heightM: number | null;
  readonly temperatureC: number | null;
  /** Lines that could not be read, as typed. */
  readonly unread: readonly string[];
}

const DAY_S = 86_400;

/** Null values where there is nothing to separate. */
export function holdOfText(portions: readonly JudgedPortion[], ask: HoldAsk) {
  const { keeping } = judgePortions(portions, ask.unread);
  const request = holdRequest(portions, {
    tool: ask.tool,
    seconds: ask.mixS ?? usualSeconds(ask.tool),
    volumeMl: composition(portions).mixedVolumeMl,
    heightM: ask.heightM ?? USUAL_HEIGHT_M,
    temperatureC: ask.temperatureC ?? (keeping.cold ? usualTemperatureC(true) : ROOM_C),
  });
  const found = hold(request);
  if (!found)
    return {
      hold: null,
      sauterMeanDiameterM: null,
      coverage: null,
      dispersedVolumeFraction: null,
      outsidePhase: null,
      thickness: null,
    };
  const { state, medianS, lowS, highS, firstLayer, class: holdClass, limitedBy } = found;
  const inverted = state.outsidePhase === 'oil';
  return {
    hold: {
      medianS,
      lowS,
      highS,
      firstLayer,
      class: holdClass,
      limitedBy,
      keepingLimitS: keeping.days * DAY_S,
      split: state.split,
      temperatureC: request.temperatureC,
      message: sayHold(found),
    },
    sauterMeanDiameterM: inverted ? state.column.sauterMeanDiameterM : state.drops.sauterMeanDiameterM,
    coverage: state.drops.coverage,
    dispersedVolumeFraction: inverted ? 1 - state.phases.oilVolumeFraction : state.phases.oilVolumeFraction,
    outsidePhase: state.outsidePhase,
    thickness: state.thickness,
  };
}
