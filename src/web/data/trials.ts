/** Jars of a formula as pages need them: what lies in one now. */
import type { TrialRecord } from '#contract';
import type { Catalogue } from '#core/ingredient';
import type { JudgedPortion } from '#core/reckoning';
import { trialPortions } from '#core/trial';

export const portionsNow = ({ lines, events }: TrialRecord, catalogue: Catalogue): readonly JudgedPortion[] =>
  trialPortions(lines, events, catalogue);
