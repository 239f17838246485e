import type { Control } from 'react-hook-form';
import type { Settings } from '#contract';
import { settingsWords } from '#words/screens/settings';
import { inUnitOf, ReadField } from '../../form/fields';
import { ProblemOf } from './SmallMeasures';

const PER_CENT = inUnitOf(100);
const ROWS = [
  { path: 'batch.lossShare', label: settingsWords.staysInToolsAndOn, unit: '%' },
  { path: 'batch.scale.readabilityG', label: settingsWords.theScaleSSmallestStep, unit: 'g' },
  { path: 'batch.scale.capacityG', label: settingsWords.theMostItCarries, unit: 'g' },
  { path: 'batch.scale.vesselG', label: settingsWords.theJugThatStandsOn, unit: 'g' },
  { path: 'batch.fridgeC', label: settingsWords.theFridge, unit: '°C' },
  { path: 'batch.roomC', label: settingsWords.theKitchen, unit: '°C' },
  { path: 'batch.holdBack.salt', label: settingsWords.saltHeldBack, unit: '%' },
  { path: 'batch.holdBack.rawAllium', label: settingsWords.rawGarlicAndOnionHeld, unit: '%' },
  { path: 'batch.holdBack.chilli', label: settingsWords.chilliAndPepperHeldBack, unit: '%' },
  { path: 'batch.holdBack.strongHerbs', label: settingsWords.strongDriedHerbsHeldBack, unit: '%' },
  { path: 'batch.holdBack.fromFold', label: settingsWords.heldBackFromMoreThan, unit: settingsWords.fold },
] as const;

/** What batches are planned with; shares are shown as per cent. */
export function BatchSettings({ control }: { control: Control<Settings, unknown, Settings> }) {
  return (
    <fieldset>
      <legend className="font-semibold">{settingsWords.batches}</legend>
      <p className="mb-2 text-sm text-quiet">{settingsWords.heldBackByCommonPractice}</p>
      <div className="grid gap-x-6 gap-y-1.5 sm:grid-cols-2">
        {ROWS.map(({ path, label, unit }) => (
          <div key={path} className="grid grid-cols-[minmax(0,1fr)_5.2rem_2.2rem] items-center gap-2">
            <span>{label}</span>
            <ReadField
              bare
              control={control}
              name={path}
              label={`${label}, ${unit}`}
              {...(unit === '%' ? PER_CENT : {})}
            />
            <span className="text-sm text-quiet">{unit}</span>
            <ProblemOf control={control} paths={[path]} label={label} />
          </div>
        ))}
        <ProblemOf control={control} paths={['batch.scale']} />
      </div>
    </fieldset>
  );
}
