import type { InstrumentInfo } from '#contract';
import type { Reading } from '#core/trial';

/**
 * Only an instrument that stands here can be a device. What cannot be vouched for counts as simulated: it
 * is kept, and no caution or sign-off ever uses it.
 */
export function vouchedReading(reading: Reading, instruments: readonly InstrumentInfo[]): Reading {
  if (reading.source === 'typed') return { source: 'typed', deviceId: '' };
  const known = instruments.find(({ id }) => id === reading.deviceId);
  return { ...reading, source: known?.source ?? 'simulated' };
}
