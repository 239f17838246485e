import { Ruler, Scaling, Weight } from 'lucide-react';
import { memo, useMemo } from 'react';
import type { VesselId } from '#core/formula';
import type { Judgement, Reckoning } from '#core/reckoning';
import type { Headspace, Vessel } from '#core/vessel';
import { SHAKE_LINE_SHARE } from '#core/vessel';
import type { Settings } from '#contract';
import { composeWords } from '#words/screens/compose';
import { jarParts } from '../../parts/drawing/jarParts';
import { formatAmount, formatPercent } from '#words/numbers';
import { IconButton } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import type { Hold } from '#core/emulsion';
import { CautionBox } from './CautionBox';
import { JarInTime } from './JarInTime';

interface JarPanelProps {
  readonly reckoning: Reckoning;
  readonly vessel: Vessel;
  readonly vessels: readonly Vessel[];
  readonly settings: Settings;
  readonly onVessel: (id: VesselId) => void;
  readonly onNewVessel: () => void;
  readonly onScale: () => void;
  readonly onRound: () => void;
  readonly hold: Hold | null;
  readonly failed: string | null;
  readonly judgement: Judgement;
  readonly temperatureC: number;
  readonly onTemperature: (temperatureC: number) => void;
  readonly onHold: () => void;
  readonly onCautions: () => void;
}

const WARNING: Partial<Record<Headspace, string>> = {
  amber: 'border-l-sweet',
  'hardly-mixes': 'border-l-acid',
  overflows: 'border-l-acid',
};

/** Drawn anew only where what it shows has changed: the amounts beside it change with every key. */
export const JarPanel = memo(function JarPanel({
  reckoning,
  vessel,
  vessels,
  settings,
  onVessel,
  onNewVessel,
  onScale,
  onRound,
  hold,
  failed,
  judgement,
  temperatureC,
  onTemperature,
  onHold,
  onCautions,
}: JarPanelProps) {
  const { headspace } = reckoning;
  const volumeMl = reckoning.totals.mixedVolumeMl;
  const parts = useMemo(() => jarParts(reckoning), [reckoning]);
  const sentence = sayHeadspace(headspace, vessel, volumeMl, settings);
  return (
    <section aria-label={composeWords.jar} className="card flex min-h-0 flex-col p-4">
      <div className="flex flex-wrap items-center gap-1">
        <Choice
          label={composeWords.vessel}
          value={vessel.id}
          options={vessels.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={onVessel}
          className="min-w-32 flex-1"
        />
        <IconButton label={composeWords.scaleThisJar2} onClick={onScale} disabled={volumeMl <= 0}>
          <Scaling size={16} aria-hidden />
        </IconButton>
        <IconButton label={composeWords.roundToWhatCanBeMeasured} onClick={onRound} disabled={volumeMl <= 0}>
          <Weight size={16} aria-hidden />
        </IconButton>
        <IconButton label={composeWords.aVesselOfYourOwn} onClick={onNewVessel}>
          <Ruler size={16} aria-hidden />
        </IconButton>
      </div>
      <JarInTime
        vessel={vessel}
        parts={parts}
        volumeMl={volumeMl}
        hold={hold}
        failed={failed}
        keeping={judgement.keeping}
        temperatureC={temperatureC}
        onTemperature={onTemperature}
        onPanel={onHold}
        label={composeWords.nameVolumemlInItFillshare(
          vessel.name,
          formatAmount(volumeMl, 'ml', settings),
          formatPercent(reckoning.fillShare, settings, 0),
          sentence,
        )}
      >
        <div>
          <p className="font-semibold" data-testid="fill">
            {composeWords.fillshareOfBrimful(formatPercent(reckoning.fillShare, settings, 0))}
          </p>
          <p
            className={`border-l-4 pl-2 text-[0.8125rem] leading-[1.1rem] ${WARNING[headspace] ?? 'border-l-rule text-quiet'}`}
            data-testid="headspace"
          >
            {sentence}
          </p>
        </div>
      </JarInTime>
      {judgement.portions.length > 0 && <CautionBox judgement={judgement} onAll={onCautions} />}
    </section>
  );
});

function sayHeadspace(headspace: Headspace, vessel: Vessel, volumeMl: number, settings: Settings): string {
  const ml = (value: number): string => formatAmount(Math.round(value), 'ml', settings);
  const overLine = volumeMl - vessel.brimfulVolumeMl * SHAKE_LINE_SHARE;
  switch (headspace) {
    case 'empty':
      return composeWords.emptyTypeTheFirstAddition;
    case 'room':
      return vessel.closes ? composeWords.roomToShakeMlBelow(ml(-overLine)) : composeWords.fitsWhiskOrBlendIn;
    case 'snug':
      return composeWords.mlOverTheShakeLine(ml(overLine));
    case 'amber':
      return composeWords.aboveThreeQuartersShakesPoorly;
    case 'hardly-mixes':
      return composeWords.tooFullItWillHardly;
    case 'overflows':
      return composeWords.doesNotFitMlOver(ml(volumeMl - vessel.brimfulVolumeMl));
  }
}
