import { useEffect, useRef, useState } from 'react';
import { mixedVolumeMlPerG } from '#core/composition';
import { paceNow, pourOn, startPouring, type PaceNow, type Pouring } from '#core/emulsion';
import type { Ingredient } from '#core/ingredient';
import { pouringRate, type MakingPlan } from '#core/trial';
import { formatNumber, type NumberStyle } from '#words/numbers';
import { makeWeighWords } from '#words/screens/makeWeigh';
import type { CounterView } from '../../data/instruments';
import { beep } from '../../ui/sound';

interface PaceBarProps {
  readonly counter: CounterView;
  readonly ingredient: Ingredient;
  /** What stands in the bowl before this oil, ml. */
  readonly baseMl: number;
  readonly oilG: number;
  readonly making: MakingPlan;
  readonly settings: NumberStyle;
}

const PACE_WORDS = {
  drops: makeWeighWords.drops,
  'thin-thread': makeWeighWords.aThinThread,
  stream: makeWeighWords.aStream,
} as const;
const USUAL_C = 20;

/** How fast the oil may go in, and how fast it does. */
export function PaceBar({ counter, ingredient, baseMl, oilG, making, settings }: PaceBarProps) {
  const mlPerG = mixedVolumeMlPerG(ingredient);
  const { tool, roomC } = making;
  const [now, setNow] = useState<{ pace: PaceNow; rate: number; state: Pouring } | null>(null);
  const pouring = useRef<{ state: Pouring; atMs: number } | null>(null);
  const warned = useRef(false);
  useEffect(() => {
    const newest = counter.readings.at(-1);
    if (newest?.status !== 'ok') return;
    const setting = { oilMl: oilG * mlPerG, tool, yolkC: roomC ?? USUAL_C };
    const last = pouring.current;
    if (last && newest.atMs <= last.atMs) return;
    const pouredMl = Math.max(0, newest.netG) * mlPerG;
    // What was in before the page was (re)opened is taken as worked in.
    const begun = last?.state ?? { ...startPouring(baseMl + pouredMl), pouredMl };
    const state = pourOn(begun, pouredMl, last ? (newest.atMs - last.atMs) / 1000 : 0, setting);
    pouring.current = { state, atMs: newest.atMs };
    const rate = (pouringRate(counter.readings) ?? 0) * mlPerG;
    const pace = paceNow(state, rate, setting);
    if (pace.verdict === 'stop' && !warned.current) beep('warning');
    warned.current = pace.verdict === 'stop';
    setNow({ pace, rate, state });
  }, [counter, baseMl, oilG, mlPerG, tool, roomC]);
  if (!now || !Number.isFinite(now.pace.mostMlPerS)) return null;
  const { pace, rate, state } = now;
  const perMin = (mlPerS: number): string => formatNumber(mlPerS * 60, mlPerS * 60 < 20 ? 1 : 0, settings);
  const share = Math.min(1, rate / (2 * pace.mostMlPerS));
  return (
    <div className="grid gap-1" data-testid="pace">
      <p
        role="status"
        className={`font-name text-2xl font-bold ${pace.verdict === 'fine' ? '' : 'text-acid-ink'}`}
      >
        {pace.verdict === 'stop'
          ? makeWeighWords.tooFastStopWhisk
          : pace.verdict === 'fast'
            ? makeWeighWords.slower
            : makeWeighWords.paceUpToPerminMl(PACE_WORDS[pace.pace], perMin(pace.mostMlPerS))}
      </p>
      <div className="relative h-8 overflow-hidden rounded-md bg-track" aria-hidden>
        <div className="absolute inset-y-0 left-0 w-1/2 border-r-3 border-leaf bg-bottle/20" />
        <div
          className={`absolute inset-y-0 left-0 ${pace.verdict === 'fine' ? 'bg-oil' : 'bg-acid'}`}
          style={{ width: `${share * 100}%` }}
        />
      </div>
      <p className="text-quiet">
        {makeWeighWords.nowPerminMlAMinute(perMin(rate))}
        {state.freeMl > 0.5 &&
          makeWeighWords.freemlMlNotWorkedIn(formatNumber(state.freeMl, 0, settings))}{' '}
        {makeWeighWords.estimate}
      </p>
    </div>
  );
}
