import { useEffect, useRef, useState } from 'react';
import type { Hand } from '#contract';
import { partsWords } from '#words/screens/parts';
import { useMoveHandMutation } from '../data/kitchenApi';
import { typedNumber } from '../form/typed';
import type { CounterView } from '../data/instruments';
import { Button } from '../ui/Button';
import { Chips } from '../ui/Chips';
import { Field } from '../ui/Field';

const RATES = [
  { value: '0.4', label: partsWords.drops },
  { value: '3', label: partsWords.thread },
  { value: '15', label: partsWords.stream },
] as const;
/** Well within what the server waits for. */
const RENEW_MS = 600;
const DRIP_G = 0.3;
const SPILL_G = 15;

/** Hands for the stand-ins: pours onto the simulated scale. Only where the instruments are simulated. */
/** @param docked at the edge of the window, folded until a hand is wanted: it never pushes the work away */
export function TesterPanel({ counter, docked = false }: { counter: CounterView; docked?: boolean }) {
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
  const { value: exact, fits: exactFits } = typedNumber(grams, { from: -100_000, to: 100_000 });
  return (
    <details
      className={`card not-on-paper border-2 border-dashed border-sweet ${docked ? 'z-30 sm:fixed sm:top-40 sm:right-0 max-h-[70dvh] max-w-[min(15.5rem,94vw)] overflow-auto px-1 py-2 shadow-lg open:px-3 lg:max-w-48 xl:max-w-[15.5rem] sm:[&:not([open])>summary]:[writing-mode:vertical-rl]' : 'p-4'}`}
      open={!docked}
      data-testid="hands"
    >
      <summary className="min-h-8 cursor-pointer text-sm font-semibold text-sweet-ink">
        {partsWords.simulatedInstrumentsYourHands}
      </summary>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Chips label={partsWords.pourAs} value={rate} options={RATES} onChange={setRate} />
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
          {partsWords.holdToPour}
        </Button>
        <Button
          className="min-h-12"
          onClick={() => {
            hand({ does: 'drop', massG: DRIP_G });
          }}
        >
          {partsWords.drip}
        </Button>
        <Button
          className="min-h-12"
          onClick={() => {
            hand({ does: 'drop', massG: SPILL_G });
          }}
        >
          {partsWords.spill}
        </Button>
        <Button
          className="min-h-12"
          onClick={() => {
            hand({ does: 'clear' });
          }}
        >
          {partsWords.liftItAllOff}
        </Button>
        <Button
          className="min-h-12"
          onClick={() => {
            hand({ does: 'plug', in: !plugged });
          }}
        >
          {plugged ? partsWords.unplug : partsWords.plugIn}
        </Button>
        <Dip
          label={partsWords.probeInC}
          low={-30}
          high={150}
          onDip={(temperatureC) => {
            hand({ does: 'dip', temperatureC });
          }}
        />
        <Dip
          label={partsWords.meterInPh}
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
            label={partsWords.putOnG}
            className="w-28 text-sm"
            inputMode="decimal"
            value={grams}
            onText={setGrams}
            problem={grams.trim() === '' || exactFits ? null : partsWords.aNumber}
          />
          <Button className="min-h-12" type="submit" disabled={!exactFits}>
            {partsWords.putItOn}
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
  const { value, fits, wrong } = typedNumber(text, { from: low, to: high });
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
        problem={wrong ? partsWords.lowToHigh(low, high) : null}
      />
      <Button className="min-h-12" type="submit" disabled={!fits}>
        {partsWords.dip}
      </Button>
    </form>
  );
}
