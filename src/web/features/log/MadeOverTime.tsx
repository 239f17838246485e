import { Suspense, useMemo, useState } from 'react';
import { PALATE_KEYS, palateOf, type PalateKey } from '#core/palate';
import { MEASURE_WORDS } from '#words/palate';
import { asMade, standingOf, trialPortions } from '#core/trial';
import { logWords } from '#words/screens/log';
import type { Jar } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import { aimOf, useStyles } from '../../data/styles';
import type { WorkingFormula } from '../../sync/working';
import { Choice } from '../../ui/Choice';
import { later } from '../../ui/later';

const MakingsChart = later(async () => (await import('../../parts/chart/MakingsChart')).MakingsChart);

/** One measure over the makings, as they were really made. */
export function MadeOverTime({
  working,
  jars,
  all,
}: {
  working: WorkingFormula;
  /** Those that are made; newest first. */
  jars: readonly Jar[];
  /** For their numbers. */
  all: readonly Jar[];
}) {
  const { catalogue } = useKitchen();
  const style = aimOf(working.formula, useStyles());
  const [measure, setMeasure] = useState<PalateKey>('acid');
  const { title, unit, factor } = MEASURE_WORDS[measure];
  const points = useMemo(
    () =>
      [...jars].reverse().map((jar) => {
        const portions = trialPortions(asMade(jar.lines, jar.events), [], catalogue);
        const value = portions.length > 0 ? palateOf(portions)[measure].value : null;
        const standing = standingOf(jar.events);
        return {
          label: logWords.jarPartVVersion(all.length - all.indexOf(jar), jar.version),
          value: value === null ? null : value * factor,
          right: standing === 'untasted' ? null : standing === 'right',
        };
      }),
    [jars, all, catalogue, measure, factor],
  );
  const window = style?.windows[measure];
  return (
    <section aria-label={logWords.overTheMakings} className="card p-4">
      <div className="mb-2 flex flex-wrap items-center justify-between gap-2">
        <h2 className="font-name text-lg font-bold">{logWords.overTheMakings}</h2>
        <Choice
          label={logWords.measure}
          value={measure}
          options={PALATE_KEYS.map((key) => ({ value: key, label: MEASURE_WORDS[key].title }))}
          onChange={setMeasure}
        />
      </div>
      <Suspense fallback={<p className="h-56 text-quiet">{logWords.drawing}</p>}>
        <MakingsChart
          title={title}
          unit={unit}
          points={points}
          band={window ? { low: window.low * factor, high: window.high * factor } : null}
        />
      </Suspense>
      <p className="text-sm text-quiet">
        {logWords.filledCircleRightAsMade}
        {window && logWords.dashedTheWindowAimedAt}
      </p>
    </section>
  );
}
