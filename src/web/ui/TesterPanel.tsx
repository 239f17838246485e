import { useEffect, useRef, useState } from 'react';
import type { Hand } from '#contract';
import { useMoveHandMutation } from '../api/kitchenApi';
import { readDecimal } from '../readDecimal';
import type { Counter } from '../store/instruments';
import { Button } from './Button';
import { Chips } from './Chips';
import { Field } from './Field';

const RATES = [
  { value: '0.4', label: 'drops' },
  { value: '3', label: 'thread' },
  { value: '15', label: 'stream' },
] as const;
/** Well within what the server waits for. */
const RENEW_MS = 600;
const DRIP_G = 0.3;
const SPILL_G = 15;

/** Hands for the stand-ins: pours onto the simulated scale. Only where the instruments are simulated. */
export function TesterPanel({ counter }: { counter: Counter }) {
  const [move] = useMoveHandMutation();
  const [rate, setRate] = useState<(typeof RATES)[number]['value']>('3');
  const [grams, setGrams] = useState('');
  const hand = (does: Hand): void => void move(does);
  const renewing = useRef<ReturnType<typeof setInterval> | null>(null);
  const stop = (): void => {
    if (!renewing.current) return;
    clearInterval(renewing.current);
    renewing.current = null;
    hand({ does: 'pour', gPerS: 0 });
  };
  const pour = (): void => {
    if (renewing.current) return;
    const gPerS = Number(rate);
    hand({ does: 'pour', gPerS });
    renewing.current = setInterval(() => {
      hand({ does: 'pour', gPerS });
    }, RENEW_MS);
  };
  useEffect(
    () => () => {
      if (renewing.current) clearInterval(renewing.current);
    },
    [],
  );
  const scale = counter.frame?.readings.scale;
  const plugged = scale?.status !== 'unplugged';
  const exact = readDecimal(grams);
  const exactFits = exact !== null && Math.abs(exact) <= 100_000;
  return (
    <details className="card border-2 border-dashed border-sweet p-4" open>
      <summary className="min-h-8 cursor-pointer font-semibold text-sweet-ink">
        Simulated instruments: your hands
      </summary>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Chips label="Pour as" value={rate} options={RATES} onChange={setRate} />
        <Button
          className="min-h-12 touch-none px-5 select-none"
          onPointerDown={pour}
          onPointerUp={stop}
          onPointerLeave={stop}
          onPointerCancel={stop}
          onKeyDown={({ key, repeat }) => {
            if (!repeat && (key === 'Enter' || key === ' ')) pour();
          }}
          onKeyUp={stop}
          onBlur={stop}
        >
          Hold to pour
        </Button>
        <Button
          className="min-h-12"
          onClick={() => {
            hand({ does: 'drop', massG: DRIP_G });
          }}
        >
          Drip
        </Button>
        <Button
          className="min-h-12"
          onClick={() => {
            hand({ does: 'drop', massG: SPILL_G });
          }}
        >
          Spill
        </Button>
        <Button
          className="min-h-12"
          onClick={() => {
            hand({ does: 'clear' });
          }}
        >
          Lift it all off
        </Button>
        <Button
          className="min-h-12"
          onClick={() => {
            hand({ does: 'plug', in: !plugged });
          }}
        >
          {plugged ? 'Unplug' : 'Plug in'}
        </Button>
        <Dip
          label="Probe in, °C"
          low={-30}
          high={150}
          onDip={(temperatureC) => {
            hand({ does: 'dip', temperatureC });
          }}
        />
        <Dip
          label="Meter in, pH"
          low={0}
          high={14}
          onDip={(ph) => {
            hand({ does: 'dip-ph', ph });
          }}
        />
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (exactFits) hand({ does: 'drop', massG: exact });
          }}
        >
          <Field
            label="Put on, g"
            className="w-28 text-sm"
            inputMode="decimal"
            value={grams}
            onText={setGrams}
            problem={grams.trim() === '' || exactFits ? null : 'A number.'}
          />
          <Button className="min-h-12" type="submit" disabled={!exactFits}>
            Put it on
          </Button>
        </form>
      </div>
    </details>
  );
}

/** What a stand-in for a probe is dipped into. */
function Dip({
  label,
  low,
  high,
  onDip,
}: {
  label: string;
  low: number;
  high: number;
  onDip: (value: number) => void;
}) {
  const [text, setText] = useState('');
  const value = readDecimal(text);
  const fits = value !== null && value >= low && value <= high;
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (fits) onDip(value);
      }}
    >
      <Field
        label={label}
        className="w-28 text-sm"
        inputMode="decimal"
        value={text}
        onText={setText}
        problem={text.trim() === '' || fits ? null : `${low} to ${high}.`}
      />
      <Button className="min-h-12" type="submit" disabled={!fits}>
        Dip
      </Button>
    </form>
  );
}
