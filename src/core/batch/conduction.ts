/**
 * How the middle of something thick gets cold: it does not stir itself, so heat has to be conducted out. A cylinder as tall
 * as it is wide, in moving air all round; the product of the series for a slab and for an endless cylinder (Carslaw &
 * Jaeger; from memory):
 *
 *   slab      Σ 4 sin x/(2x + sin 2x) exp(−x² a t/L²),            x tan x = h L/k
 *   cylinder  Σ 2 J1(x)/(x (J0² + J1²)) exp(−x² a t/R²),          x J1(x) = (h R/k) J0(x)
 *
 * Range: 0.05-100 l, any two temperatures with the wanted one between them. Diffusivity and conductivity: mayonnaise and
 * thick dressings, from memory of handbooks; the surface: a fridge whose air moves, estimate.
 */
import bessel from 'bessel';
import { findRoot } from '#core/numeric';

const DIFFUSIVITY_M2_PER_S = 1.2e-7;
const CONDUCTIVITY_W_PER_M_K = 0.4;
const SURFACE_W_PER_M2_K = 15;
const TERMS = 24;
const ROOT = { tolerance: 1e-9 } as const;

interface Term {
  readonly weight: number;
  readonly rate: number;
}

/** Between n π and the next pole lies one root of x tan x = Bi. @param biot > 0 */
function slabTerms(biot: number): readonly Term[] {
  return terms((n) => {
    const x = rootOf((at) => at * Math.sin(at) - biot * Math.cos(at), n * Math.PI, (n + 0.5) * Math.PI);
    return { weight: (4 * Math.sin(x)) / (2 * x + Math.sin(2 * x)), rate: x ** 2 };
  });
}

/** Between a zero of J1 and the next of J0 lies one root of x J1(x) = Bi J0(x). */
function cylinderTerms(biot: number): readonly Term[] {
  return terms((n) => {
    const x = rootOf(
      (at) => at * bessel.besselj(at, 1) - biot * bessel.besselj(at, 0),
      zeroOf(1, n),
      zeroOf(0, n + 1),
    );
    const [j0, j1] = [bessel.besselj(x, 0), bessel.besselj(x, 1)];
    return { weight: (2 * j1) / (x * (j0 ** 2 + j1 ** 2)), rate: x ** 2 };
  });
}

const terms = (of: (n: number) => Term): readonly Term[] => Array.from({ length: TERMS }, (_, n) => of(n));

function rootOf(f: (x: number) => number, low: number, high: number): number {
  const found = findRoot(f, { low: low + 1e-9, high: high - 1e-9, ...ROOT });
  return found.status === 'not-bracketed' ? low : found.x;
}

/** The n-th positive zero of J_order (n = 0 of J1: 0), by its bracket: zeros lie about π apart. */
function zeroOf(order: 0 | 1, n: number): number {
  if (n === 0) return 0;
  const guess = (n + order / 2 - 0.25) * Math.PI;
  return rootOf((x) => bessel.besselj(x, order), guess - 0.5, guess + 0.5);
}

/** Share of the first difference that the middle still has after a time. */
export function middleLeft(volumeMl: number): (seconds: number) => number {
  const radiusM = Math.cbrt((volumeMl * 1e-6) / (2 * Math.PI));
  const biot = (SURFACE_W_PER_M2_K * radiusM) / CONDUCTIVITY_W_PER_M_K;
  const [slab, cylinder] = [slabTerms(biot), cylinderTerms(biot)];
  const sum = (series: readonly Term[], fourier: number): number =>
    series.reduce((total, { weight, rate }) => total + weight * Math.exp(-rate * fourier), 0);
  return (seconds) => {
    const fourier = (DIFFUSIVITY_M2_PER_S * seconds) / radiusM ** 2;
    return Math.min(1, sum(slab, fourier) * sum(cylinder, fourier));
  };
}

const LONGEST_S = 60 * 86_400;

/** Until the middle has reached `toC`, s. @param volumeMl > 0 @param toC between the two others */
export function conductedS(volumeMl: number, fromC: number, airC: number, toC: number): number {
  const left = middleLeft(volumeMl);
  const wanted = (toC - airC) / (fromC - airC);
  const found = findRoot((logS) => left(Math.exp(logS)) - wanted, {
    low: Math.log(30),
    high: Math.log(LONGEST_S),
    tolerance: 1e-6,
  });
  return found.status === 'not-bracketed' ? LONGEST_S : Math.exp(found.x);
}
