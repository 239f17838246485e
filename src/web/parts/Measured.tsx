import { sayInstrument } from '#words/instruments';
import { useState } from 'react';
import type { Instrument, Settings } from '#contract';
import { isKind, measuredPh, standingEvents, type Reading, type TrialEvent } from '#core/trial';
import { formatMoment, formatNumber } from '#words/numbers';
import { partsWords } from '#words/screens/parts';
import { typedNumber } from '../form/typed';
import { useCounter } from '../data/instruments';
import type { Jar } from '../data/jars';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';

interface MeasuredProps {
  readonly jar: Jar;
  readonly settings: Settings;
  readonly onSay: (...events: readonly TrialEvent[]) => void;
}

/** Temperature and pH of this jar as it stands: from an instrument, or typed. */
export function Measured({ jar, settings, onSay }: MeasuredProps) {
  const [open, setOpen] = useState(false);
  const ph = measuredPh(jar.events);
  const temperature = standingEvents(jar.events)
    .filter(isKind('measured'))
    .filter(({ event }) => event.what === 'temperature')
    .at(-1);
  return (
    <details
      className="border-t border-rule pt-2"
      onToggle={({ currentTarget }) => {
        setOpen(currentTarget.open);
      }}
    >
      <summary className="min-h-11 cursor-pointer font-semibold">
        {partsWords.measured}{' '}
        {temperature ? `${formatNumber(temperature.event.value, 1, settings)} °C` : partsWords.noTemperature},{' '}
        {ph.status === 'none' ? partsWords.noPh : partsWords.phValue(formatNumber(ph.value, 2, settings))}
      </summary>
      {open && <Probes settings={settings} onSay={onSay} />}
      {ph.status !== 'none' && (
        <p className="text-sm" data-testid="measured-ph">
          {ph.status === 'void' && partsWords.phValueWasMeasuredBefore(formatNumber(ph.value, 2, settings))}
          {ph.status === 'simulated' && partsWords.phValueIsSimulatedFor(formatNumber(ph.value, 2, settings))}
          {ph.status === 'counts' &&
            partsWords.phValueAtOfThis(formatNumber(ph.value, 2, settings), formatMoment(ph.at))}
        </p>
      )}
    </details>
  );
}

/** The instruments, listened to only while somebody measures. */
function Probes({ settings, onSay }: Omit<MeasuredProps, 'jar'>) {
  const counter = useCounter(null);
  const say =
    (what: 'ph' | 'temperature') =>
    (value: number, reading: Reading): void => {
      onSay({ kind: 'measured', what, value, reading });
    };
  const probe = (instrument: Instrument): { value: number | null; reading: Reading; name: string } | null => {
    const info = counter.infoOf(instrument);
    const shows = counter.frame?.readings[instrument];
    if (!info) return null;
    return {
      value: shows?.status === 'ok' && shows.stable ? shows.value : null,
      reading: { source: info.source, deviceId: info.id },
      name: sayInstrument(info),
    };
  };
  return (
    <div className="grid gap-4 py-2 sm:grid-cols-2">
      <Probe
        label={partsWords.temperatureC}
        decimals={1}
        low={-40}
        high={200}
        probe={probe('thermometer')}
        settings={settings}
        onTake={say('temperature')}
      />
      <Probe
        label={partsWords.ph}
        decimals={2}
        low={0}
        high={14}
        probe={probe('ph-meter')}
        settings={settings}
        onTake={say('ph')}
      />
    </div>
  );
}

function Probe({
  label,
  decimals,
  low,
  high,
  probe,
  settings,
  onTake,
}: {
  label: string;
  decimals: number;
  low: number;
  high: number;
  probe: { value: number | null; reading: Reading; name: string } | null;
  settings: Settings;
  onTake: (value: number, reading: Reading) => void;
}) {
  const [text, setText] = useState('');
  const { value, fits, wrong } = typedNumber(text, { from: low, to: high });
  return (
    <div className="grid content-start gap-2">
      <Field
        label={label}
        inputMode="decimal"
        value={text}
        onText={setText}
        problem={wrong ? partsWords.fromLowToHigh(low, high) : null}
      />
      <div className="flex flex-wrap gap-4">
        <Button
          className="min-h-16 px-5"
          disabled={!fits}
          onClick={() => {
            if (!fits) return;
            onTake(value, { source: 'typed', deviceId: '' });
            setText('');
          }}
        >
          {partsWords.keepWhatIsTyped}
        </Button>
        {probe && (
          <Button
            className="min-h-16 px-5"
            disabled={probe.value === null}
            onClick={() => {
              if (probe.value !== null) onTake(probe.value, probe.reading);
            }}
          >
            {probe.value === null
              ? partsWords.nameSettling(probe.name)
              : partsWords.takeValueName(
                  formatNumber(probe.value, decimals, settings),
                  probe.name.toLowerCase(),
                )}
          </Button>
        )}
      </div>
    </div>
  );
}
