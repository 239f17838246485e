import type { Settings } from '#contract';
import { formatAmount } from '#words/numbers';
import { pourWords } from '#words/screens/pour';
import { ScaleLine } from '../../parts/ScaleLine';
import { Button } from '../../ui/Button';
import type { ScaleAtPour } from './useScaleAtPour';

interface ScaleCardProps {
  readonly scale: ScaleAtPour;
  readonly settings: Settings;
}

/** What the scale shows, large. */
export function ScaleCard({ scale, settings }: ScaleCardProps) {
  return (
    <div className="card flex flex-wrap items-center justify-between gap-x-4 px-4">
      <ScaleLine scale={scale} weighable readabilityG={scale.info?.readability ?? 0.1} settings={settings} />
      {scale.netG !== null && (
        <span className="font-name ml-auto text-3xl font-bold tabular-nums" data-testid="shows">
          {formatAmount(scale.netG, 'g', settings)}
        </span>
      )}
      {scale.info && (
        <Button
          className="my-2 min-h-16 min-w-20"
          disabled={scale.status !== 'ready'}
          onClick={() => void scale.tare()}
        >
          {pourWords.tare}
        </Button>
      )}
    </div>
  );
}
