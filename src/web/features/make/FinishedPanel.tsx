import type { JudgedPortion } from '#core/reckoning';
import { mixedAt, type TrialEvent } from '#core/trial';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { formatAmount, formatMass, formatVolume } from '#words/numbers';
import type { Settings, TrialBatch } from '#contract';
import { makeWords } from '#words/screens/make';
import { isBeingMade, type Jar } from '../../data/jars';
import { Button } from '../../ui/Button';
import type { NextStage } from './useNextStage';
import { BestWhen } from '../../parts/BestWhen';
import { Measured } from '../../parts/Measured';

interface FinishedPanelProps {
  readonly jar: Jar;
  readonly batchMates: readonly Jar[];
  readonly portions: readonly JudgedPortion[];
  readonly volumeMl: number;
  readonly settings: Settings;
  /** Of the formula. */
  readonly name: string;
  readonly onSay: (...events: readonly TrialEvent[]) => void;
  readonly onTaste: () => void;
  readonly onAnother: () => void;
  /** What the formula goes on with, where it was stopped before; null: nothing. */
  readonly next: NextStage | null;
}

/** Everything is in: on to tasting. */
export function FinishedPanel({
  jar,
  batchMates,
  portions,
  volumeMl,
  settings,
  name,
  onSay,
  onTaste,
  onAnother,
  next: nextStage,
}: FinishedPanelProps) {
  const massG = portions.reduce((sum, portion) => sum + portion.massG.nominal, 0);
  if (jar.batch?.role === 'load') {
    const next = batchMates
      .filter((load) => load.batch?.role === 'load' && isBeingMade(load))
      .sort((a, b) => a.batch!.load - b.batch!.load)[0];
    return (
      <LoadFinished jar={jar} next={next ?? null} batch={jar.batch}>
        {makeWords.massgVolumemlAsWeighed(formatMass(massG, settings), formatVolume(volumeMl, settings))}
      </LoadFinished>
    );
  }
  return (
    <section
      aria-label={makeWords.allInTheJar}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-5 sm:p-8"
    >
      <h2 className="font-name text-4xl font-bold" data-step-heading>
        {nextStage ? makeWords.stageStands(nextStage.here) : makeWords.allInTheJar}
      </h2>
      <p className="text-lg">
        {makeWords.massgVolumemlAsWeighedTaste(
          formatAmount(massG, 'g', settings),
          formatAmount(volumeMl, 'ml', settings),
        )}
      </p>
      <BestWhen
        portions={portions}
        since={mixedAt(jar.events)}
        name={name}
        formulaId={jar.formulaId}
        trialId={jar.id}
      />
      <Measured jar={jar} settings={settings} onSay={onSay} />
      <div className="flex flex-wrap gap-4">
        <Button kind="main" data-next className="min-h-16 flex-1 basis-60 text-xl" onClick={onTaste}>
          {makeWords.tasteIt}
        </Button>
        {nextStage && (
          <Button
            className="min-h-16 px-6 text-lg"
            onClick={() => {
              onSay(nextStage.event);
            }}
          >
            {makeWords.goOnWithStage(nextStage.name)}
          </Button>
        )}
        <Button className="min-h-16 px-6 text-lg" onClick={onAnother}>
          {makeWords.makeAnother}
        </Button>
      </div>
    </section>
  );
}

const WIDE = 'inline-flex min-h-16 items-center justify-center rounded-md border px-6 text-lg font-semibold';

/** A load is tasted with the others, not by itself. */
function LoadFinished({
  jar,
  next,
  batch,
  children,
}: {
  jar: Jar;
  next: Jar | null;
  batch: TrialBatch;
  children: ReactNode;
}) {
  const toBatch = `/formulas/${jar.formulaId}/batch/${batch.batchId}`;
  const main = 'flex-1 basis-60 border-leaf bg-bottle text-white hover:bg-bottle-soft';
  return (
    <section
      aria-label={makeWords.loadWeighed}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-4 p-5 sm:p-8"
    >
      <h2 className="font-name text-4xl font-bold" data-step-heading>
        {makeWords.loadLoadOfPartIs(batch.load, batch.of)}
      </h2>
      <p className="text-lg">{children}</p>
      <div className="flex flex-wrap gap-4">
        {next ? (
          <Link to={`/formulas/${jar.formulaId}/make?jar=${next.id}`} data-next className={`${WIDE} ${main}`}>
            {makeWords.onToLoadLoad(next.batch!.load)}
          </Link>
        ) : (
          <Link to={toBatch} data-next className={`${WIDE} ${main}`}>
            {makeWords.allLoadsWeighedToThe}
          </Link>
        )}
        {next && (
          <Link to={toBatch} className={`${WIDE} border-edge bg-paper hover:bg-mint`}>
            {makeWords.theBatch}
          </Link>
        )}
      </div>
    </section>
  );
}
