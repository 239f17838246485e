/**
 * Spoons and cups of four kitchens, in millilitres.
 *
 * US customary volumes: NIST Handbook 44, Appendix C (1 US gallon = 231 cubic inches, so 1 cup =
 * 236.588 ml). Imperial: UK Weights and Measures (1 imperial gallon = 4.54609 l; the cup as half
 * an imperial pint and the 17.8 ml tablespoon are common practice). Metric and Australian spoons:
 * common practice (Australian tablespoon 20 ml, AS 1325 from memory).
 */
export type SpoonSystem = 'us' | 'metric' | 'imperial' | 'au';

export const SPOON_SYSTEMS: readonly SpoonSystem[] = ['us', 'metric', 'imperial', 'au'];

export interface SpoonVolumes {
  readonly tspMl: number;
  readonly dessertspoonMl: number;
  readonly tbspMl: number;
  readonly cupMl: number;
  readonly fluidOunceMl: number;
  readonly pintMl: number;
  readonly quartMl: number;
}

const US_GALLON_ML = 3785.411784;
const IMPERIAL_GALLON_ML = 4546.09;
const US_CUP_ML = US_GALLON_ML / 16;

const imperialLargeMeasures = {
  fluidOunceMl: IMPERIAL_GALLON_ML / 160,
  pintMl: IMPERIAL_GALLON_ML / 8,
  quartMl: IMPERIAL_GALLON_ML / 4,
};

export const SPOON_VOLUMES: Readonly<Record<SpoonSystem, SpoonVolumes>> = {
  us: {
    tspMl: US_CUP_ML / 48,
    dessertspoonMl: US_CUP_ML / 24,
    tbspMl: US_CUP_ML / 16,
    cupMl: US_CUP_ML,
    fluidOunceMl: US_CUP_ML / 8,
    pintMl: US_CUP_ML * 2,
    quartMl: US_CUP_ML * 4,
  },
  metric: { tspMl: 5, dessertspoonMl: 10, tbspMl: 15, cupMl: 250, ...imperialLargeMeasures },
  imperial: {
    tspMl: IMPERIAL_GALLON_ML / 768,
    dessertspoonMl: IMPERIAL_GALLON_ML / 384,
    tbspMl: IMPERIAL_GALLON_ML / 256,
    cupMl: IMPERIAL_GALLON_ML / 16,
    ...imperialLargeMeasures,
  },
  au: { tspMl: 5, dessertspoonMl: 10, tbspMl: 20, cupMl: 250, ...imperialLargeMeasures },
};
