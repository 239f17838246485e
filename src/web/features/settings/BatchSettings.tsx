import type { Settings } from '#contract';
import { settingsWords } from '#words/screens/settings';
import { NumberField } from './NumberField';

type Batch = Settings['batch'];

interface Row {
  readonly path: string;
  readonly label: string;
  readonly unit: string;
  readonly read: (batch: Batch) => number;
  readonly write: (batch: Batch, value: number) => Batch;
}

const plain = (key: 'fridgeC' | 'roomC', label: string): Row => ({
  path: `batch.${key}`,
  label,
  unit: '°C',
  read: (batch) => batch[key],
  write: (batch, value) => ({ ...batch, [key]: value }),
});
const scale = (key: keyof Batch['scale'], label: string): Row => ({
  path: `batch.scale.${key}`,
  label,
  unit: 'g',
  read: (batch) => batch.scale[key],
  write: (batch, value) => ({ ...batch, scale: { ...batch.scale, [key]: value } }),
});
/** Shown as per cent, kept as a share. */
const held = (key: Exclude<keyof Batch['holdBack'], 'fromFold'>, label: string): Row => ({
  path: `batch.holdBack.${key}`,
  label,
  unit: '%',
  read: (batch) => tidy(batch.holdBack[key] * 100),
  write: (batch, value) => ({ ...batch, holdBack: { ...batch.holdBack, [key]: value / 100 } }),
});
const tidy = (value: number): number => Number(value.toFixed(4));

const ROWS: readonly Row[] = [
  {
    path: 'batch.lossShare',
    label: settingsWords.staysInToolsAndOn,
    unit: '%',
    read: (batch) => tidy(batch.lossShare * 100),
    write: (batch, value) => ({ ...batch, lossShare: value / 100 }),
  },
  scale('readabilityG', settingsWords.theScaleSSmallestStep),
  scale('capacityG', settingsWords.theMostItCarries),
  scale('vesselG', settingsWords.theJugThatStandsOn),
  plain('fridgeC', settingsWords.theFridge),
  plain('roomC', settingsWords.theKitchen),
  held('salt', settingsWords.saltHeldBack),
  held('rawAllium', settingsWords.rawGarlicAndOnionHeld),
  held('chilli', settingsWords.chilliAndPepperHeldBack),
  held('strongHerbs', settingsWords.strongDriedHerbsHeldBack),
  {
    path: 'batch.holdBack.fromFold',
    label: settingsWords.heldBackFromMoreThan,
    unit: settingsWords.fold,
    read: (batch) => batch.holdBack.fromFold,
    write: (batch, value) => ({ ...batch, holdBack: { ...batch.holdBack, fromFold: value } }),
  },
];

/** What batches are planned with. */
export function BatchSettings({
  batch,
  problems,
  onChange,
}: {
  batch: Batch;
  problems: ReadonlyMap<string, string>;
  onChange: (batch: Batch) => void;
}) {
  const scaleProblem = problems.get('batch.scale');
  return (
    <fieldset>
      <legend className="font-semibold">{settingsWords.batches}</legend>
      <p className="mb-2 text-sm text-quiet">{settingsWords.heldBackByCommonPractice}</p>
      <div className="grid gap-x-6 gap-y-1.5 sm:grid-cols-2">
        {ROWS.map(({ path, label, unit, read, write }) => (
          <div key={path} className="grid grid-cols-[minmax(0,1fr)_5.2rem_2.2rem] items-center gap-2">
            <span>{label}</span>
            <NumberField
              value={read(batch)}
              label={`${label}, ${unit}`}
              invalid={problems.has(path)}
              onChange={(value) => {
                onChange(write(batch, value));
              }}
            />
            <span className="text-sm text-quiet">{unit}</span>
            {problems.has(path) && (
              <span className="col-span-full text-sm text-acid-ink">
                {label}: {problems.get(path)}.
              </span>
            )}
          </div>
        ))}
        {scaleProblem && <p className="text-sm text-acid-ink sm:col-span-2">{scaleProblem}.</p>}
      </div>
    </fieldset>
  );
}
