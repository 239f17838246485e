/**
 * The units a cook may use. Masses: NIST Handbook 44, Appendix C (avoirdupois pound 453.59237 g).
 * Small measures (pinch to handful): common practice, as low-high ranges that a kitchen may edit.
 */
import { range, type Range } from './range';
import { SPOON_VOLUMES, type SpoonSystem } from './spoons';

export type MassUnit = 'mg' | 'g' | 'kg' | 'oz' | 'ozWeight' | 'lb';
export type VolumeUnit =
  'ml' | 'cl' | 'dl' | 'l' | 'tsp' | 'dessertspoon' | 'tbsp' | 'cup' | 'floz' | 'pint' | 'quart' | 'part';
export type SmallVolumeUnit = 'pinch' | 'dash' | 'drop' | 'splash' | 'ladle';
export type SmallMassUnit = 'grind' | 'knob' | 'handful';
/** What a hand does without measuring; not a kitchen's own to set. */
export type LooseUnit = 'squeeze' | 'glug' | 'dollop' | 'drizzle' | 'spoonful' | 'bit' | 'cm' | 'katori';
export type CountedUnit =
  | 'each'
  | 'clove'
  | 'yolk'
  | 'egg'
  | 'fillet'
  | 'sprig'
  | 'leaf'
  | 'stalk'
  | 'slice'
  | 'sheet'
  | 'bunch'
  | 'piece'
  | 'juice'
  | 'zest';
export type Unit = MassUnit | VolumeUnit | SmallVolumeUnit | SmallMassUnit | LooseUnit | CountedUnit;

/** ml of one; tag: estimate. A bit of what is dry is {@link DRY_BIT_ML}; a centimetre is of a root as thick as a thumb, a katori a small bowl. */
export const LOOSE_ML: Readonly<Record<LooseUnit, Range>> = {
  squeeze: range(6, 3, 12),
  glug: range(20, 10, 40),
  dollop: range(22, 12, 40),
  drizzle: range(8, 3, 15),
  spoonful: range(11, 5, 18),
  bit: range(5, 2, 10),
  cm: range(5, 3, 8),
  katori: range(150, 120, 200),
};
export const DRY_BIT_ML: Range = range(0.6, 0.3, 1.5);

export const GRAMS_PER: Readonly<Record<MassUnit, number>> = {
  mg: 0.001,
  g: 1,
  kg: 1000,
  oz: 28.349523125,
  ozWeight: 28.349523125,
  lb: 453.59237,
};

/** Starting values; tag: common practice. A kitchen's own measures replace them. */
export interface SmallMeasures {
  readonly volumeMl: Readonly<Record<SmallVolumeUnit, Range>>;
  readonly massG: Readonly<Record<SmallMassUnit, Range>>;
}

export const DEFAULT_SMALL_MEASURES: SmallMeasures = {
  volumeMl: {
    pinch: range(0.3, 0.2, 0.6),
    dash: range(0.6, 0.3, 0.9),
    drop: range(0.05, 0.03, 0.07),
    splash: range(5, 3, 10),
    ladle: range(90, 60, 120),
  },
  massG: {
    grind: range(0.05, 0.03, 0.15),
    knob: range(15, 10, 20),
    handful: range(15, 8, 30),
  },
};

/** One part of "3 parts oil, 1 part vinegar" where the formula does not say; tag: estimate. */
export const DEFAULT_PART_VOLUME_ML = 30;

/** Volume in ml of one unit, for everything that has a plain volume. */
export function unitVolumeMl(unit: VolumeUnit, spoons: SpoonSystem, partVolumeMl: number): number {
  const volumes = SPOON_VOLUMES[spoons];
  switch (unit) {
    case 'ml':
      return 1;
    case 'cl':
      return 10;
    case 'dl':
      return 100;
    case 'l':
      return 1000;
    case 'tsp':
      return volumes.tspMl;
    case 'dessertspoon':
      return volumes.dessertspoonMl;
    case 'tbsp':
      return volumes.tbspMl;
    case 'cup':
      return volumes.cupMl;
    case 'floz':
      return volumes.fluidOunceMl;
    case 'pint':
      return volumes.pintMl;
    case 'quart':
      return volumes.quartMl;
    case 'part':
      return partVolumeMl;
  }
}

const VOLUME_UNITS: ReadonlySet<Unit> = new Set<Unit>([
  ...(['ml', 'cl', 'dl', 'l', 'tsp', 'dessertspoon', 'tbsp', 'cup'] as const),
  ...(['floz', 'pint', 'quart', 'part'] as const),
]);

export const isMassUnit = (unit: Unit): unit is MassUnit => unit in GRAMS_PER;
export const isVolumeUnit = (unit: Unit): unit is VolumeUnit => VOLUME_UNITS.has(unit);
export const isSmallVolumeUnit = (unit: Unit): unit is SmallVolumeUnit =>
  unit in DEFAULT_SMALL_MEASURES.volumeMl;
export const isLooseUnit = (unit: Unit): unit is LooseUnit => unit in LOOSE_ML;
export const isSmallMassUnit = (unit: Unit): unit is SmallMassUnit => unit in DEFAULT_SMALL_MEASURES.massG;
