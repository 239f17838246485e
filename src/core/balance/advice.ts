/** What a verdict's weightiest reason asks a cook to do. */
import { PALATE, type VerdictReason } from '#core/palate';
import type { Complaint, Severity } from './complaints';
import type { Asked } from './together';

const LOW: Readonly<Partial<Record<VerdictReason['measure'], Complaint>>> = {
  acid: 'needs-acid',
  ratio: 'lean',
  salt: 'needs-salt',
  sweet: 'needs-sweet',
  sugarToAcid: 'needs-sweet',
  fat: 'lean',
  body: 'too-thin',
};
const HIGH: Readonly<Record<VerdictReason['measure'], Complaint>> = {
  acid: 'too-sharp',
  ratio: 'needs-acid',
  salt: 'too-salty',
  sweet: 'too-sweet',
  sugarToAcid: 'too-sweet',
  fat: 'too-oily',
  body: 'too-thick',
  garlic: 'harsh-garlic',
  heat: 'too-hot',
  mustard: 'strong-mustard',
  bitter: 'bitter',
};

/** From so many noticeable steps outside it is clearly so; estimate. */
export const CLEARLY_STEPS = 1.5;

/** The complaint a reason amounts to; null for what cannot be too little. */
export function complaintOf({ measure, direction, moveBy }: VerdictReason): Asked | null {
  const complaint = direction === 'high' ? HIGH[measure] : LOW[measure];
  const severity: Severity = moveBy / PALATE[measure].step >= CLEARLY_STEPS ? 2 : 1;
  return complaint ? { complaint, severity } : null;
}
