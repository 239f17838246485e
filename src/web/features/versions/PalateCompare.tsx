import { PALATE, PALATE_KEYS, type PalateKey, type Style } from '#core/palate';
import { MEASURE_WORDS } from '#words/palate';
import type { Judgement } from '#core/reckoning';
import type { Settings } from '#contract';
import { versionsWords } from '#words/screens/versions';
import { Track } from '../../parts/drawing/Track';
import { MARKS, showMeasure } from '#words/judgement';

/** Changes smaller than this share of what a taster would notice are the same. */
const SAME_STEPS = 0.1;

/** Both dressings on the same tracks, the largest difference first. */
export function PalateCompare({
  before,
  after,
  names,
  style,
  settings,
}: {
  before: Judgement;
  after: Judgement;
  names: readonly [string, string];
  style: Style | null;
  settings: Settings;
}) {
  const rows = PALATE_KEYS.map((key) => {
    const [from, to] = [before.palate[key].value, after.palate[key].value];
    const steps = from === null || to === null ? 0 : Math.abs(to - from) / PALATE[key].step;
    return { key, from, to, steps };
  })
    .filter(({ from, to }) => (from ?? 0) > 0 || (to ?? 0) > 0)
    .sort((a, b) => b.steps - a.steps);
  const show = (key: PalateKey, value: number | null): string =>
    showMeasure(key, value, settings.decimalSign);
  const same = rows.filter(({ steps }) => steps < SAME_STEPS);
  return (
    <section aria-label={versionsWords.onThePalate} className="mt-5">
      <h3 className="font-name font-bold">{versionsWords.onThePalate}</h3>
      <p className="mb-2 text-sm text-quiet">
        {versionsWords.needleNamesDottedMarkNames2(names[1], names[0])}
        {style && versionsWords.bandName(style.name)}
      </p>
      <ul className="grid gap-x-6 gap-y-3 xl:grid-cols-2" data-testid="compared">
        {rows
          .filter(({ steps }) => steps >= SAME_STEPS)
          .map(({ key, from, to }) => (
            <li key={key}>
              <p className="mb-1 flex justify-between gap-3 text-sm">
                <span className="font-semibold">{MEASURE_WORDS[key].title}</span>
                <span>
                  {show(key, from)} → <strong>{show(key, to)}</strong>
                </span>
              </p>
              <Track
                component={MARKS[key]}
                value={to}
                range={after.palate[key].range}
                window={style?.windows[key]}
                mark={from}
                label={`${MEASURE_WORDS[key].title}: ${names[0]} ${show(key, from)}, ${names[1]} ${show(key, to)}`}
              />
            </li>
          ))}
      </ul>
      {same.length > 0 && (
        <p className="mt-3 text-sm text-quiet">
          {versionsWords.theSameToTheTongue(
            same.map(({ key }) => MEASURE_WORDS[key].title.toLowerCase()).join(', '),
          )}
        </p>
      )}
    </section>
  );
}
