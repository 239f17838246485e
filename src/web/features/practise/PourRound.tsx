import { useEffect, useMemo, useRef, useState } from 'react';
import { SeededRandom } from '#core/numeric';
import {
  nextOf,
  pouredOn,
  pourRounds,
  RESCUE_CHOICES,
  RESCUE_STEPS,
  scoreOfPour,
  startOf,
  strainOf,
  type PourState,
  type RescueChoice,
} from '#core/practise';
import { sayDuration, TOOL_WORDS } from '#words/hold';
import { formatAmount, inSentence } from '#words/numbers';
import { practiseWords, RESCUE_WORDS } from '#words/screens/practise';
import { useHere } from '../../data/here';
import { Button } from '../../ui/Button';
import { Picks } from './Picks';
import { RoundEnd } from './RoundEnd';
import type { RoundProps } from './rounds';

/** Poured as well as can be, a round takes so long, s: nobody holds a key for five minutes to learn it. */
const BEST_TAKES_S = 25;
const HELD: ReadonlySet<string> = new Set([' ', 'PageDown']);

/** Oil poured while a key, a button or a pedal is held; the sauce takes it at its own pace, or splits. */
export function PourRound({ kitchen, answers: now, seed, onDone, onNext }: RoundProps) {
  const [answers] = useState(now);
  const round = useMemo(
    () => nextOf(pourRounds(), answers, 'pour', new SeededRandom(seed).next())!,
    [answers, seed],
  );
  const [state, setState] = useState<PourState>(() => startOf(round));
  const [rescued, setRescued] = useState<readonly RescueChoice[]>([]);
  const [score, setScore] = useState<number | null>(null);
  const pours = useRef(false);
  const { settings } = kitchen;
  const { ended } = state;
  const end = (found: number): void => {
    setScore(found);
    onDone({ kind: 'pour', item: round.item, difficulty: round.difficulty, score: found });
  };
  const { footKey } = useHere();
  useBowl(ended === null, pours, footKey, (seconds, hand) => {
    const inBowlS = (seconds * round.bestS) / BEST_TAKES_S;
    setState((before) => pouredOn(before, round, inBowlS, hand));
  });
  const scored = useRef(false);
  useEffect(() => {
    if (ended !== 'done' || scored.current) return;
    scored.current = true;
    end(scoreOfPour(state, round, null));
  });
  const ml = (volumeMl: number): string => formatAmount(volumeMl, 'ml', settings);
  const strain = Math.round(strainOf(state) * 100);
  return (
    <section aria-label={practiseWords.holdToPour} className="card grid grid-cols-[minmax(0,1fr)] gap-4 p-5">
      <h2 className="font-name text-2xl font-bold">
        {practiseWords.pourInto(
          ml(round.setting.oilMl),
          ml(round.baseMl),
          inSentence(TOOL_WORDS[round.tool]),
        )}
      </h2>
      <p className="text-quiet">{practiseWords.begin}</p>
      <p className="text-xl" data-testid="poured">
        {practiseWords.poured(ml(state.pouring.pouredMl), ml(round.setting.oilMl))}
      </p>
      <div className="grid gap-1">
        <span id="strain">{practiseWords.strain}</span>
        <div
          role="meter"
          aria-labelledby="strain"
          aria-valuenow={strain}
          aria-valuemin={0}
          aria-valuemax={100}
          className="h-8 overflow-hidden rounded bg-rule"
        >
          <div className={`h-full ${strain >= 60 ? 'bg-acid' : 'bg-leaf'}`} style={{ width: `${strain}%` }} />
        </div>
      </div>
      {ended === null && (
        <Button
          kind="main"
          className="font-name min-h-40 touch-none text-3xl select-none"
          onPointerDown={() => {
            pours.current = true;
          }}
          onPointerUp={() => {
            pours.current = false;
          }}
          onPointerLeave={() => {
            pours.current = false;
          }}
          onContextMenu={(event) => {
            event.preventDefault();
          }}
        >
          {practiseWords.holdToPour}
        </Button>
      )}
      {ended === 'split' && score === null && (
        <>
          <h3 role="alert" className="font-name text-xl font-bold">
            {practiseWords.split}
          </h3>
          <Picks
            label={practiseWords.split}
            most={RESCUE_STEPS.length}
            picked={rescued}
            options={RESCUE_CHOICES.map((value) => ({ value, label: RESCUE_WORDS[value] }))}
            onPick={setRescued}
          />
          <Button
            kind="main"
            data-next
            className="min-h-16 justify-self-start px-8 text-lg"
            disabled={rescued.length < RESCUE_STEPS.length}
            onClick={() => {
              end(scoreOfPour(state, round, rescued));
            }}
          >
            {practiseWords.check}
          </Button>
        </>
      )}
      {score !== null && (
        <RoundEnd score={score} onNext={onNext}>
          <span>
            {ended === 'done'
              ? practiseWords.done(sayDuration(state.seconds), sayDuration(round.bestS))
              : practiseWords.rescued}
          </span>
        </RoundEnd>
      )}
    </section>
  );
}

/** The bowl's clock, and the keys that pour while they are held. */
function useBowl(
  runs: boolean,
  pours: { current: boolean },
  /** The key that was taught as the foot switch. */
  footKey: string | null,
  onTick: (seconds: number, pours: boolean) => void,
): void {
  const tick = useRef(onTick);
  useEffect(() => {
    tick.current = onTick;
  });
  useEffect(() => {
    if (!runs) return undefined;
    let [frame, last] = [0, performance.now()];
    const step = (at: number): void => {
      // A page that lay in the background goes on where it was.
      const seconds = Math.min(0.25, (at - last) / 1000);
      last = at;
      tick.current(Math.max(0, seconds), pours.current);
      frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    const key = (down: boolean) => (event: KeyboardEvent) => {
      if (!HELD.has(event.key) && event.key !== footKey) return;
      event.preventDefault();
      pours.current = down;
    };
    const [down, up] = [key(true), key(false)];
    const away = (): void => {
      pours.current = false;
    };
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', away);
    return () => {
      cancelAnimationFrame(frame);
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', away);
    };
  }, [runs, pours, footKey]);
}
