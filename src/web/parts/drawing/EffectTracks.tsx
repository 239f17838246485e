import { PALATE, PALATE_KEYS, type Palate, type PalateKey, type Style } from '#core/palate';
import { MEASURE_WORDS } from '#words/palate';
import type { DecimalSign } from '#core/quantity';
import { drawingWords } from '#words/screens/drawing';
import { MARKS, showMeasure } from '#words/judgement';
import { Track } from './Track';

/** Moves smaller than this share of what a taster notices are not drawn. */
const NOTICED_STEPS = 0.25;
const MOST_SHOWN = 6;

interface EffectTracksProps {
  readonly before: Palate;
  readonly after: Palate;
  readonly style: Style | null;
  readonly decimalSign: DecimalSign;
  /** One below the other, where there is little room. */
  readonly narrow?: boolean;
}

/** What a change would move, most first: needle after, dotted mark before. */
export function EffectTracks({ before, after, style, decimalSign, narrow = false }: EffectTracksProps) {
  const moved = PALATE_KEYS.map((key) => {
    const [from, to] = [before[key].value, after[key].value];
    const steps =
      from === null || to === null ? (from === to ? 0 : 1) : Math.abs(to - from) / PALATE[key].step;
    return { key, from, to, steps };
  })
    .filter(({ steps, key }) => steps >= NOTICED_STEPS && (!style || style.windows[key] !== undefined))
    .sort((a, b) => b.steps * PALATE[b.key].weight - a.steps * PALATE[a.key].weight)
    .slice(0, MOST_SHOWN);
  if (moved.length === 0)
    return <p className="text-sm text-quiet">{drawingWords.hardlyChangesHowItTastes}</p>;
  const show = (key: PalateKey, value: number | null): string => showMeasure(key, value, decimalSign);
  return (
    <ul className={`grid gap-x-5 gap-y-1.5 ${narrow ? '' : 'sm:grid-cols-2'}`} data-testid="effect">
      {moved.map(({ key, from, to }) => (
        <li key={key}>
          <p className="flex justify-between gap-2 text-[0.8125rem] leading-5">
            <span>{MEASURE_WORDS[key].title}</span>
            <span className="whitespace-nowrap">
              {show(key, from)} → <strong>{show(key, to)}</strong>
            </span>
          </p>
          <Track
            component={MARKS[key]}
            value={to}
            window={style?.windows[key]}
            mark={from}
            label={drawingWords.titleFromShowToShow2(
              MEASURE_WORDS[key].title,
              show(key, from),
              show(key, to),
            )}
          />
        </li>
      ))}
    </ul>
  );
}
