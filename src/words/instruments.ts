/** The instruments at the counter by name. */
import { sentencesNow, spoken } from './tongue';
import type { InstrumentInfo } from '#contract';

const NAMES: Readonly<Record<InstrumentInfo['instrument'], string>> = spoken('instruments', {
  scale: 'scale',
  thermometer: 'thermometer',
  'ph-meter': 'pH meter',
});

/** "Simulated scale"; a real one by its maker's name. */
export const sayInstrument = ({ instrument, source, name }: InstrumentInfo): string =>
  source === 'simulated'
    ? (sentencesNow()?.simulated(NAMES[instrument]) ?? `Simulated ${NAMES[instrument]}`)
    : name;
