/** The lines a careful kitchen draws, each with where it comes from, as recalled: to be confirmed there. */
import type { Tag } from '#core/ingredient';

export interface Threshold {
  readonly value: number;
  readonly unit: string;
  readonly source: string;
  readonly tag: Tag;
}

const fromMemory = (value: number, unit: string, source: string): Threshold => ({
  value,
  unit,
  source,
  tag: 'from memory',
});

export const THRESHOLDS = {
  rawEggPh: fromMemory(4.1, 'pH', 'Smittle 2000; UK and EU trade guidance'),
  rawEggAcetic: fromMemory(0.014, 'of the water phase', 'trade guidance on mayonnaise'),
  coldPh: fromMemory(4.2, 'pH', 'FDA Food Code 1-201.10, Table B'),
  alarmPh: fromMemory(4.6, 'pH', '21 CFR 114.3'),
  coldC: fromMemory(5, '°C', 'FDA Food Code 3-501.16 (41 °F)'),
  outOfColdServiceH: fromMemory(4, 'h', 'FDA Food Code 3-501.19'),
  outOfColdHomeH: fromMemory(2, 'h', 'home food-safety advice'),
  garlicOilDays: fromMemory(4, 'days', 'advice ranges 2 to 7 days; FDA Food Code names garlic-in-oil'),
  rawEggServed: fromMemory(0, '', 'FDA Food Code 3-302.13 and 3-801.11'),
  consumerNotice: fromMemory(0, '', 'FDA Food Code 3-603.11'),
  honeyMonths: fromMemory(12, 'months', 'WHO and national infant-feeding advice on honey'),
  saltSaturation: fromMemory(
    0.26,
    'of the water phase',
    'CRC Handbook: sodium chloride 26.4 % at saturation',
  ),
  driedBeansBoilMin: fromMemory(10, 'min', 'national food-safety advice on kidney-bean lectin'),
  allergensEu: fromMemory(14, 'groups', 'Regulation (EU) 1169/2011, Annex II'),
  allergensUs: fromMemory(9, 'groups', 'FALCPA 2004 and FASTER Act 2021'),
  acidMetal: fromMemory(0, '', 'common practice; FDA Food Code 4-101.14 on copper and pH below 6'),
  sprouts: fromMemory(0, '', 'FDA Food Code 1-201.10 and 3-801.11: raw seed sprouts'),
  rawFood: fromMemory(
    0,
    '',
    'FDA Food Code 3-603.11 and 3-801.11: raw or undercooked animal food, juice not pasteurised',
  ),
  unread: fromMemory(3, 'days', 'what is not known counts as low-acid; estimate'),
  marinade: fromMemory(0, '', 'home food-safety advice on marinades'),
} as const satisfies Record<string, Threshold>;
export type ThresholdKey = keyof typeof THRESHOLDS;
