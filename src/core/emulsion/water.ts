/**
 * Water and what is dissolved in it. Density of water: Kell 1975; viscosity: Kestin, Sokolov & Wakeham
 * 1978 (0-90 °C, below 1 %); sucrose solutions: Genotelle's equation as used by ICUMSA, scaled so that
 * it meets water at 0 °Bx. All handbook equations as recalled: to be confirmed against the print.
 */

/** kg/m³, 0-100 °C (Kell 1975). */
export function waterDensityKgPerM3(t: number): number {
  const n =
    999.83952 +
    16.945176 * t -
    7.9870401e-3 * t ** 2 -
    46.170461e-6 * t ** 3 +
    105.56302e-9 * t ** 4 -
    280.54253e-12 * t ** 5;
  return n / (1 + 16.87985e-3 * t);
}

/** Pa s, 0-90 °C (Kestin 1978). */
export function waterViscosityPaS(t: number): number {
  const x = 20 - t;
  return 1.0016e-3 * 10 ** ((x / (t + 96)) * (1.2364 - 1.37e-3 * x + 5.7e-6 * x ** 2));
}

const HIGHEST_BRIX = 75;

function genotelleMPaS(brix: number, t: number): number {
  const n = brix / (1900 - 18 * brix);
  const p = (30 - t) / (91 + t);
  return 10 ** (22.46 * n - 0.114 + p * (1.1 + 43.1 * n ** 1.25));
}

/** Sugar in water, Pa s. @param brix g sugar per 100 g of sugar and water, capped at 75 */
export function sugarWaterViscosityPaS(brix: number, t: number): number {
  const b = Math.min(brix, HIGHEST_BRIX);
  const water = waterViscosityPaS(t);
  const scale = (water * 1000) / genotelleMPaS(0, t);
  return (genotelleMPaS(b, t) / 1000) * scale ** (1 - Math.min(1, b / 25));
}
