/** What the mouth says of a jar, as it is typed and tapped, until it is written down. */
import { useMemo, useRef, useState } from 'react';
import {
  complaintsOf,
  standingComplaints,
  DRAWN_G,
  minutesSinceShake,
  saysNothing,
  type Bite,
  type TastedOn,
  type TasteRows,
  type Tasting,
  type TrialEvent,
} from '#core/trial';
import type { Jar } from '../../data/jars';
import { record } from '../../sync/outbox';
import { typedNumber } from '../../form/typed';

const NO_ROWS: TasteRows = {};

/** A number within bounds, or nothing. */
function readOptional(text: string, low: number, high: number): { fits: boolean; value: number | null } {
  const { value, wrong } = typedNumber(text, { from: low, to: high });
  return { fits: !wrong, value };
}

/** The figures beside the taste, as they are typed. */
function useFigures() {
  const [minutesText, setMinutesText] = useState('');
  const [temperatureText, setTemperatureText] = useState('');
  const [drawnText, setDrawnText] = useState('');
  const minutes = readOptional(minutesText, 0, 100_000);
  const temperature = readOptional(temperatureText, -5, 90);
  const drawn = readOptional(drawnText, 0, 1000);
  return {
    minutesText,
    setMinutesText,
    temperatureText,
    setTemperatureText,
    drawnText,
    setDrawnText,
    minutes,
    temperature,
    drawn,
    fits: minutes.fits && temperature.fits && drawn.fits,
    clear: () => {
      setMinutesText('');
      setTemperatureText('');
      setDrawnText('');
    },
  };
}

export function useTasting(jar: Jar) {
  const [rows, setRows] = useState(NO_ROWS);
  const [bite, setBite] = useState<Bite>('garlic');
  const [flat, setFlat] = useState(false);
  const [on, setOn] = useState<TastedOn>('leaf');
  const [note, setNote] = useState('');
  const figures = useFigures();
  const sinceShake = minutesSinceShake(jar.events, new Date().toISOString());
  const bites = (rows.bite ?? 0) > 0;
  const tasting = (right: boolean): Tasting => ({
    on,
    temperatureC: figures.temperature.value,
    minutesAfterShake: figures.minutes.value ?? (sinceShake === null ? null : Math.round(sinceShake)),
    rows: right ? NO_ROWS : rows,
    bite: bites && !right ? bite : null,
    flat: flat && !right,
    right,
    note,
    drawnG: figures.drawn.value ?? (on === 'dish' ? 0 : DRAWN_G),
  });
  const said = useMemo(() => {
    const now = complaintsOf({ rows, bite: bites ? bite : null, flat, right: false });
    return now.length > 0 ? now : standingComplaints(jar.events);
  }, [rows, bites, bite, flat, jar.events]);
  // Until a tap is written down, a second one is a wet finger's.
  const writing = useRef(false);
  const say = async (...events: readonly TrialEvent[]): Promise<void> => {
    if (writing.current) return;
    writing.current = true;
    try {
      await record({ trialId: jar.id, formulaId: jar.formulaId }, events);
    } finally {
      writing.current = false;
    }
  };
  const clear = (): void => {
    setRows(NO_ROWS);
    setFlat(false);
    setNote('');
    figures.clear();
  };
  const recordTasting = (right: boolean): void => {
    void say({ kind: 'tasted', ...tasting(right) });
    clear();
  };
  /** What was said, and what answers it: together, so that one undo is one step back. */
  const mended = async (answer: TrialEvent): Promise<void> => {
    const before = tasting(false);
    const unsaid = saysNothing({ rows, flat, right: false, note });
    clear();
    // What was recorded before is not said twice.
    await (unsaid ? say(answer) : say({ kind: 'tasted', ...before }, answer));
  };
  return {
    rows,
    setRows,
    bite,
    setBite,
    bites,
    flat,
    setFlat,
    on,
    setOn,
    note,
    setNote,
    figures,
    sinceShake,
    tasting,
    said,
    say,
    recordTasting,
    mended,
    nothing: saysNothing({ rows, flat, right: false, note }),
  };
}
export type TastingDraft = ReturnType<typeof useTasting>;
