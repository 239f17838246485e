import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { TimerRecord } from '#contract';
import { frameWords } from '#words/screens/frame';
import { endTimer, useTimers } from '../data/timers';
import { beep } from '../ui/sound';

/** Running timers, wherever one is: they live on the server and outlast a reload. */
export function Timers() {
  const { timers, offsetMs } = useTimers();
  const [, tick] = useState(0);
  const some = timers.length > 0;
  useEffect(() => {
    if (!some) return undefined;
    const timer = setInterval(() => {
      tick((n) => n + 1);
    }, 250);
    return () => {
      clearInterval(timer);
    };
  }, [some]);
  const now = Date.now() + offsetMs;
  const leftS = ({ startedAt, seconds }: TimerRecord): number =>
    seconds - (now - Date.parse(startedAt)) / 1000;
  const rung = timers.filter((timer) => leftS(timer) <= 0);
  useRing(rung);
  if (!some) return null;
  return (
    <div
      aria-label={frameWords.timers}
      role="group"
      className="flex flex-wrap gap-x-4 gap-y-2 bg-tape px-3 py-2 sm:px-5 print:hidden"
    >
      {timers.map((timer) => {
        const left = leftS(timer);
        return (
          <div key={timer.id} className="flex min-h-16 items-center gap-3" data-testid="timer">
            <span className="font-name text-2xl font-bold tabular-nums" role={left <= 0 ? 'alert' : 'timer'}>
              {left <= 0 ? frameWords.time : sayClock(left)}
            </span>
            {timer.formulaId ? (
              <Link to={`/formulas/${timer.formulaId}/make`} className="underline">
                {timer.label}
              </Link>
            ) : (
              timer.label
            )}
            <button
              type="button"
              className="min-h-16 rounded-md border-2 border-ink bg-paper px-5 font-semibold"
              onClick={() => void endTimer(timer.id)}
            >
              {left <= 0 ? frameWords.done : frameWords.stop}
              <span className="sr-only"> {timer.label}</span>
            </button>
          </div>
        );
      })}
    </div>
  );
}

/** Each timer that comes to its end while the page is open says so once: by sound, by a notification, and in the title. */
function useRing(rung: readonly TimerRecord[]): void {
  const heard = useRef<Set<string>>(new Set());
  const ids = rung.map(({ id }) => id).join();
  const names = rung.map(({ label }) => label).join(', ');
  useEffect(() => {
    const fresh = ids.split(',').filter((id) => id && !heard.current.has(id));
    for (const id of fresh) heard.current.add(id);
    if (fresh.length === 0) return;
    beep('time');
    notify(frameWords.timeIsUp(names));
  }, [ids, names]);
  useEffect(() => {
    if (names === '') return undefined;
    // The page writes its own title whenever it changes; the timer stands before it until it is ended.
    const mark = (): void => {
      const before = frameWords.timeIsUp(names);
      if (!document.title.startsWith(before)) document.title = `${before} · ${document.title}`;
    };
    mark();
    const timer = setInterval(mark, 1000);
    return () => {
      clearInterval(timer);
      document.title = document.title.replace(`${frameWords.timeIsUp(names)} · `, '');
    };
  }, [names]);
}

/** Where the cook allowed it, and the page is not in sight. */
function notify(words: string): void {
  if (typeof Notification === 'undefined' || Notification.permission !== 'granted' || !document.hidden)
    return;
  try {
    new Notification(words, { tag: words });
  } catch {
    // Some browsers show them from a worker only: title and sound are left.
  }
}

/** 4:05, 1:02:30. */
export function sayClock(seconds: number): string {
  const whole = Math.ceil(seconds);
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
  const two = (n: number): string => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
