/** Jars of a formula as pages need them: what lies in one now. */
import type { TrialRecord } from '#contract';
import type { Hold } from '#core/emulsion';
import type { Catalogue } from '#core/ingredient';
import type { JudgedPortion } from '#core/reckoning';
import { trialPortions, type Predicted } from '#core/trial';
import { makingOf, type Jar } from './jars';

export const portionsNow = ({ lines, events }: TrialRecord, catalogue: Catalogue): readonly JudgedPortion[] =>
  trialPortions(lines, events, catalogue);

/** What was said of it at the time of the look, so that the lesson stays the same when the model changes. */
export const predictedBy = (hold: Hold | null, jar: Jar): Predicted | null =>
  hold?.medianS
    ? {
        medianS: hold.medianS,
        bandFactor: hold.bandFactor,
        tool: makingOf(jar).tool,
        binder: hold.state.mainEmulsifier,
      }
    : null;
