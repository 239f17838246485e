/**
 * pH of a water phase by charge balance. Concentrations per kg of water; unknown pH = −log10 a_H:
 *
 *   SID + [H] − [OH] − Σ_a Σ_j j C_a f_aj + B (7 − pH) = 0
 *
 * Activities: Davies, log10 γ_z = −0.509 z² (√I/(1+√I) − 0.3 I), I clipped at 0.5 inside the
 * formula (its range ends there; saltier phases are an extrapolation). Proteins are one straight
 * buffer B around pH 7 (estimate); phosphate and carbonate are not modelled apart.
 * Valid for 25 °C, pH 0.5 to 12.
 */
import { findRoot } from '#core/numeric';
import { ACID_KEYS, ACIDS, type AcidKey } from './acids';

export interface WaterPhase {
  /** Strong cations less strong anions, eq/kg water; salt counts on both sides and cancels. */
  readonly strongIonDifferenceEqPerKg: number;
  readonly acidMolPerKg: Readonly<Record<AcidKey, number>>;
  /** Eq of protons per pH unit, per kg water. */
  readonly bufferEqPerPhPerKg: number;
  readonly saltMolPerKg: number;
}

export type PhSolution =
  | { readonly status: 'converged'; readonly ph: number; readonly ionicStrengthMolPerKg: number }
  | { readonly status: 'no-ph' };

const DAVIES_A = 0.509;
const LARGEST_DAVIES_I = 0.5;
const PH_BRACKET = { low: 0.5, high: 12 };
const LARGEST_RESIDUAL = 1e-9;
const PASSES = 30;

const LIST = ACID_KEYS.map((key) => ({
  key,
  k: ACIDS[key].pKa.map((pKa) => 10 ** -pKa),
}));

/** log10 of the activity coefficient of a single charge. */
function log10Gamma1(ionicStrength: number): number {
  const i = Math.min(ionicStrength, LARGEST_DAVIES_I);
  const root = Math.sqrt(i);
  return -DAVIES_A * (root / (1 + root) - 0.3 * i);
}

interface Speciation {
  /** Charge of the acids' anions, eq/kg. */
  readonly anionEq: number;
  readonly hydrogen: number;
  readonly hydroxide: number;
  readonly ionicStrength: number;
}

/** Species at a pH, with the ionic strength they make themselves (fixed point). */
function speciate(ph: number, phase: WaterPhase): Speciation {
  const a = 10 ** -ph;
  const others = phase.saltMolPerKg + 0.5 * Math.abs(phase.strongIonDifferenceEqPerKg);
  let ionicStrength = 0.01 + phase.saltMolPerKg;
  let [anionEq, hydrogen, hydroxide] = [0, 0, 0];
  for (let pass = 0; pass < PASSES; pass++) {
    const g = 10 ** log10Gamma1(ionicStrength);
    hydrogen = a / g;
    hydroxide = 1e-14 / a / g;
    anionEq = 0;
    let squares = 0;
    for (const { key, k } of LIST) {
      const c = phase.acidMolPerKg[key];
      if (c === 0) continue;
      // t_j = t_(j−1) K_j γ_(j−1) / (a γ_j), with γ_z = γ_1^(z²)
      let [t, sum, charge, square] = [1, 1, 0, 0];
      for (let j = 1; j <= k.length; j++) {
        t *= (k[j - 1]! / a) * g ** ((j - 1) ** 2 - j ** 2);
        sum += t;
        charge += j * t;
        square += j * j * t;
      }
      anionEq += (c * charge) / sum;
      squares += (c * square) / sum;
    }
    const next = others + 0.5 * squares + 0.5 * hydrogen;
    const settled = Math.abs(next - ionicStrength) < 1e-9;
    ionicStrength = next;
    if (settled) break;
  }
  return { anionEq, hydrogen, hydroxide, ionicStrength };
}

/** What is left of the balance at a pH, eq/kg water; falls with pH, 0 at the answer. */
export function chargeResidualEqPerKg(ph: number, phase: WaterPhase): number {
  const { anionEq, hydrogen, hydroxide } = speciate(ph, phase);
  return (
    phase.strongIonDifferenceEqPerKg + hydrogen - hydroxide - anionEq + phase.bufferEqPerPhPerKg * (7 - ph)
  );
}

/** @returns the pH, or `no-ph` where none in 0.5-12 balances to 1e-9 eq/kg; never NaN */
export function solvePh(phase: WaterPhase): PhSolution {
  const root = findRoot((ph) => chargeResidualEqPerKg(ph, phase), { ...PH_BRACKET, tolerance: 1e-12 });
  if (root.status !== 'converged' || !(Math.abs(chargeResidualEqPerKg(root.x, phase)) < LARGEST_RESIDUAL)) {
    return { status: 'no-ph' };
  }
  return {
    status: 'converged',
    ph: root.x,
    ionicStrengthMolPerKg: speciate(root.x, phase).ionicStrength,
  };
}

/** The strong ion difference with which a phase has a given pH, eq/kg: the balance read the other way. */
export function strongIonDifferenceAt(
  ph: number,
  phase: Omit<WaterPhase, 'strongIonDifferenceEqPerKg'>,
): number {
  let sid = 0;
  // The difference is itself part of the ionic strength; a few rounds settle it.
  for (let pass = 0; pass < PASSES; pass++) {
    const before = sid;
    const { anionEq, hydrogen, hydroxide } = speciate(ph, { ...phase, strongIonDifferenceEqPerKg: sid });
    sid = anionEq + hydroxide - hydrogen - phase.bufferEqPerPhPerKg * (7 - ph);
    if (Math.abs(sid - before) < 1e-12) break;
  }
  return sid;
}
