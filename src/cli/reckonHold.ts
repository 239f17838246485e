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

/** `hold` is null where there is nothing to separate; thickness is said all the same. */
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
      drops: [],
      thickness: null,
    };
  const { state, medianS, lowS, highS, firstLayer, class: holdClass, limitedBy, bandFactor } = found;
  const { fresh, bought, phases } = state;
  const inverted = state.outsidePhase === 'oil';
  const parts = state.settling.ruledBy !== 'nothing';
  return {
    hold: !parts
      ? null
      : {
          medianS,
          lowS,
          highS,
          firstLayer,
          class: holdClass,
          limitedBy,
          keepingLimitS: keeping.days * DAY_S,
          bandFactor,
          freeOilFraction: state.freeOilFraction,
          split: state.split,
          temperatureC: request.temperatureC,
          message: sayHold(found),
        },
    // Of the poured oil; of what is in drops already where none was poured.
    sauterMeanDiameterM: fresh?.diameterM ?? bought?.diameterM ?? null,
    coverage: fresh?.coverage ?? null,
    dispersedVolumeFraction: inverted ? 1 - phases.oilVolumeFraction : phases.oilVolumeFraction,
    outsidePhase: state.outsidePhase,
    drops: [
      ...(fresh
        ? [
            {
              population: 'fresh',
              sauterMeanDiameterM: fresh.diameterM,
              volumeFraction: phases.oilVolumeFraction - (bought?.volumeFraction ?? 0),
            },
          ]
        : []),
      ...(bought
        ? [
            {
              population: 'bought',
              sauterMeanDiameterM: bought.diameterM,
              volumeFraction: bought.volumeFraction,
            },
          ]
        : []),
    ],
    thickness: state.thickness,
  };
}
