import type { JudgedPortion } from '#core/reckoning';
import type { TrialEvent } from '#core/trial';
import { formatAmount } from '../../format';
import type { Settings } from '#contract';
import type { Jar } from '../../store/jars';
import { Button } from '../../ui/Button';
import { Measured } from '../../ui/Measured';

interface FinishedPanelProps {
  readonly jar: Jar;
  readonly portions: readonly JudgedPortion[];
  readonly volumeMl: number;
  readonly settings: Settings;
  readonly onSay: (...events: readonly TrialEvent[]) => void;
  readonly onTaste: () => void;
  readonly onAnother: () => void;
}

/** Everything is in: on to tasting. */
export function FinishedPanel({
  jar,
  portions,
  volumeMl,
  settings,
  onSay,
  onTaste,
  onAnother,
}: FinishedPanelProps) {
  const massG = portions.reduce((sum, portion) => sum + portion.massG.nominal, 0);
  return (
    <section aria-label="All in the jar" className="card grid content-start gap-4 p-5 sm:p-8">
      <h2 className="font-name text-4xl font-bold">All in the jar</h2>
      <p className="text-lg">
        {formatAmount(massG, 'g', settings)}, {formatAmount(volumeMl, 'ml', settings)}, as weighed. Taste it
        on a leaf.
      </p>
      <Measured jar={jar} settings={settings} onSay={onSay} />
      <div className="flex flex-wrap gap-4">
        <Button kind="main" className="min-h-16 flex-1 basis-60 text-xl" onClick={onTaste}>
          Taste it
        </Button>
        <Button className="min-h-16 px-6 text-lg" onClick={onAnother}>
          Make another
        </Button>
      </div>
    </section>
  );
}
