/** What can be said of the jar while it fills. */
import { useMemo } from 'react';
import { findingOf, type Finding } from '#core/balance';
import { composition } from '#core/composition';
import { usualSeconds, usualTool, type Hold } from '#core/emulsion';
import { emptyFormula } from '#core/formula';
import { nextRatio, type NextRatio } from '#core/pour';
import { judgePortions, type Judgement } from '#core/reckoning';
import type { Style } from '#core/palate';
import type { Vessel } from '#core/vessel';
import { makingHold } from '#kitchen/holds';
import {
  linesOf,
  massOf,
  portionsIn,
  unnamedIn,
  volumeOf,
  type FreePour,
  type PouredLine,
} from '#kitchen/pour';
import { vesselOf, type Kitchen } from '#kitchen/reading';
import { formatAmount } from '#words/numbers';
import { pourWords } from '#words/screens/pour';
import { judgedBy, useStyles } from '../../data/styles';
import { useHolds } from '../../workers/useHolds';

export interface Poured {
  readonly vessel: Vessel;
  readonly lines: readonly PouredLine[];
  readonly volumeMl: number;
  readonly massG: number;
  /** By volume, oil to 1 of acid; null: one of them is not in it. */
  readonly ratio: number | null;
  readonly next: NextRatio | null;
  readonly judgement: Judgement;
  readonly style: Style | null;
  readonly finding: Finding;
  readonly hold: Hold | null;
}

export function usePoured(pour: FreePour, kitchen: Kitchen): Poured {
  const { catalogue, settings } = kitchen;
  const styles = useStyles();
  const vessel = vesselOf(pour, kitchen.vessels);
  const { lines, portions, unread, volumeMl, massG } = useMemo(
    () => ({
      lines: linesOf(pour, catalogue),
      portions: portionsIn(pour, catalogue),
      unread: unnamedIn(pour).map(
        (thing) => `${formatAmount(massOf(thing, catalogue), 'g', settings)} ${pourWords.somethingPoured}`,
      ),
      volumeMl: volumeOf(pour, catalogue),
      massG: pour.things.reduce((sum, thing) => sum + massOf(thing, catalogue), 0),
    }),
    [pour, catalogue, settings],
  );
  const asked = useMemo(() => {
    const tool = usualTool(vessel);
    return [makingHold(portions, { tool, seconds: usualSeconds(tool), vessel })];
  }, [portions, vessel]);
  const [hold = null] = useHolds(asked);
  return useMemo(() => {
    const judgement = judgePortions(portions, unread);
    const { style } = judgedBy(emptyFormula('', vessel.id, settings.spoons), styles, portions);
    return {
      vessel,
      lines,
      volumeMl,
      massG,
      ratio: composition(portions).measures.oilToAcidVolumeRatio,
      next: nextRatio(portions),
      judgement,
      style,
      finding: findingOf({ judgement, hold, style, unread }),
      hold,
    };
  }, [vessel, lines, volumeMl, massG, portions, unread, styles, settings.spoons, hold]);
}
