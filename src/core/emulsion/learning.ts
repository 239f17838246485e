/**
 * Learning from what was seen: ln t is normal with mean μ and deviation s = ln b / 1.2816 (80 % in the
 * band). An observed time narrows it (Bayes, normal and normal); "still fine at" is a censored observation;
 * what one dressing taught shifts the others of the same tool and binder by the part they share.
 */
export interface Belief {
  readonly medianS: number;
  /** Of ln t, > 0. */
  readonly deviation: number;
}

const HALF_OF_80 = 1.2815515655446004;

export const beliefFrom = (medianS: number, bandFactor: number): Belief => ({
  medianS,
  deviation: Math.log(bandFactor) / HALF_OF_80,
});

/** 80 % lie within the median × or ÷ this. */
export const bandFactorFrom = ({ deviation }: Belief): number => Math.exp(deviation * HALF_OF_80);

/** How sharp one look is: a factor of 1.3 either way. */
export const LOOK_DEVIATION = Math.log(1.3);

/** Seen to separate at `seconds`. */
export function observed(belief: Belief, seconds: number, deviation = LOOK_DEVIATION): Belief {
  const [prior, look] = [belief.deviation ** -2, deviation ** -2];
  const variance = 1 / (prior + look);
  const mean = variance * (Math.log(belief.medianS) * prior + Math.log(seconds) * look);
  return { medianS: Math.exp(mean), deviation: Math.sqrt(variance) };
}

/** Fine at the first look and apart at the second. @param fromS, @param toS 0 < from < to */
export const observedBetween = (belief: Belief, fromS: number, toS: number): Belief =>
  observed(belief, Math.sqrt(fromS * toS), Math.log(toS / fromS) / Math.sqrt(12));

/** Still fine at `seconds`: the time is longer than that, by nobody knows how much. */
export function stillFine({ medianS, deviation }: Belief, seconds: number): Belief {
  const z = (Math.log(seconds) - Math.log(medianS)) / deviation;
  const hazard = density(z) / Math.max(1 - cumulative(z), 1e-12);
  return {
    medianS: Math.exp(Math.log(medianS) + deviation * hazard),
    deviation: deviation * Math.sqrt(Math.max(1e-6, 1 - hazard * (hazard - z))),
  };
}

/** The part of the doubt that dressings of one kitchen share; estimate. */
export const SHARED = { sameToolAndBinder: 0.6, otherwise: 0.3 } as const;

/** What another dressing's observation says of this one. @param residual ln(observed / predicted) of the other */
export function shifted(
  belief: Belief,
  residual: number,
  shared: number,
  lookDeviation = LOOK_DEVIATION,
): Belief {
  const common = (shared * belief.deviation) ** 2;
  const gain = common / (belief.deviation ** 2 + lookDeviation ** 2);
  return {
    medianS: belief.medianS * Math.exp(gain * residual),
    deviation: Math.sqrt(Math.max(1e-6, belief.deviation ** 2 - common * gain)),
  };
}

const density = (z: number): number => Math.exp(-(z ** 2) / 2) / Math.sqrt(2 * Math.PI);

/** Standard normal distribution (Abramowitz & Stegun 7.1.26, error below 1.5e-7). */
function cumulative(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-(x ** 2));
  return z >= 0 ? 0.5 * (1 + erf) : 0.5 * (1 - erf);
}
