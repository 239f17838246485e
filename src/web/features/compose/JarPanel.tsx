import { Ruler, Scaling, Weight } from 'lucide-react';
import { useMemo } from 'react';
import type { Formula, VesselId } from '#core/formula';
import type { Reckoning } from '#core/reckoning';
import type { Headspace, Vessel } from '#core/vessel';
import { SHAKE_LINE_SHARE } from '#core/vessel';
import type { Keeping } from '#core/safety';
import type { Settings } from '#contract';
import { jarParts } from '../../drawing/jarParts';
import { formatAmount, formatPercent } from '#words/numbers';
import { IconButton } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import type { HoldReading } from '../../workers/useHolds';
import { JarInTime } from './JarInTime';

interface JarPanelProps {
  readonly formula: Formula;
  readonly reckoning: Reckoning;
  readonly vessel: Vessel;
  readonly vessels: readonly Vessel[];
  readonly settings: Settings;
  readonly onVessel: (id: VesselId) => void;
  readonly onNewVessel: () => void;
  readonly onScale: () => void;
  readonly onRound: () => void;
  readonly reading: HoldReading | null;
  readonly keeping: Keeping;
  readonly temperatureC: number;
  readonly onTemperature: (temperatureC: number) => void;
  readonly onHold: () => void;
}

const WARNING: Partial<Record<Headspace, string>> = {
  amber: 'border-l-sweet',
  'hardly-mixes': 'border-l-acid',
  overflows: 'border-l-acid',
};

export function JarPanel({
  reckoning,
  vessel,
  vessels,
  settings,
  onVessel,
  onNewVessel,
  onScale,
  onRound,
  reading,
  keeping,
  temperatureC,
  onTemperature,
  onHold,
}: JarPanelProps) {
  const { headspace } = reckoning;
  const volumeMl = reckoning.totals.mixedVolumeMl;
  const parts = useMemo(() => jarParts(reckoning), [reckoning]);
  const sentence = sayHeadspace(headspace, vessel, volumeMl, settings);
  return (
    <section aria-label="Jar" className="card flex min-h-0 flex-col p-4">
      <div className="grid gap-1">
        <Choice
          label="Vessel"
          value={vessel.id}
          options={vessels.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={onVessel}
          className="w-full"
        />
        <div className="flex flex-wrap items-center justify-between gap-x-2">
          <span className="text-sm text-quiet" data-testid="fill">
            {formatPercent(reckoning.fillShare, settings, 0)} of brimful
          </span>
          <span className="flex gap-1">
            <IconButton label="Scale this jar" onClick={onScale} disabled={volumeMl <= 0}>
              <Scaling size={16} aria-hidden />
            </IconButton>
            <IconButton label="Round to what can be measured" onClick={onRound} disabled={volumeMl <= 0}>
              <Weight size={16} aria-hidden />
            </IconButton>
            <IconButton label="A vessel of your own" onClick={onNewVessel}>
              <Ruler size={16} aria-hidden />
            </IconButton>
          </span>
        </div>
      </div>
      <JarInTime
        vessel={vessel}
        parts={parts}
        volumeMl={volumeMl}
        reading={reading}
        keeping={keeping}
        temperatureC={temperatureC}
        onTemperature={onTemperature}
        onPanel={onHold}
        label={`${vessel.name}, ${formatAmount(volumeMl, 'ml', settings)} in it, ${formatPercent(reckoning.fillShare, settings, 0)} of brimful. ${sentence}`}
      />
      <p
        className={`border-l-4 pl-2 text-sm ${WARNING[headspace] ?? 'border-l-rule text-quiet'}`}
        data-testid="headspace"
      >
        {sentence}
      </p>
    </section>
  );
}

function sayHeadspace(headspace: Headspace, vessel: Vessel, volumeMl: number, settings: Settings): string {
  const ml = (value: number): string => formatAmount(Math.round(value), 'ml', settings);
  const overLine = volumeMl - vessel.brimfulVolumeMl * SHAKE_LINE_SHARE;
  switch (headspace) {
    case 'empty':
      return 'Empty. Type the first addition.';
    case 'room':
      return vessel.closes
        ? `Room to shake: ${ml(-overLine)} below the shake line.`
        : 'Fits. Whisk or blend in it; it does not close.';
    case 'snug':
      return `${ml(overLine)} over the shake line. It still mixes; shake longer.`;
    case 'amber':
      return 'Above three quarters: shakes poorly. Take a larger vessel or shake in two halves.';
    case 'hardly-mixes':
      return 'Too full: it will hardly mix. Take a larger vessel.';
    case 'overflows':
      return `Does not fit: ${ml(volumeMl - vessel.brimfulVolumeMl)} over the brim.`;
  }
}
