/**
 * What holds drops: surface load, tension, film rupture, how much oil stays inside, how drops cling. Loads, tensions and
 * most oil: from memory (Walstra; McClements); the rest: estimate, fitted to kitchen practice.
 */
import type { EmulsifierKind } from '#core/ingredient';

export interface BinderValues {
  /** Surface load, kg/m². */
  readonly loadKgPerM2: number;
  /** Interfacial tension of a covered drop, N/m. */
  readonly tensionNPerM: number;
  /** Film rupture of a covered 100 µm drop, 1/s. */
  readonly ruptureHz: number;
  /** Oil by volume that stays inside, 0..1. */
  readonly mostOil: number;
  /** Factor on creaming once drops crowd; 1: none. */
  readonly network: number;
  /** Factor on the body of packed drops. */
  readonly adhesion: number;
}

export const BINDERS: Readonly<Record<EmulsifierKind, BinderValues>> = {
  yolk: {
    loadKgPerM2: 2.8e-6,
    tensionNPerM: 0.005,
    ruptureHz: 1e-8,
    mostOil: 0.88,
    network: 0.15,
    adhesion: 4,
  },
  milk: {
    loadKgPerM2: 2.5e-6,
    tensionNPerM: 0.009,
    ruptureHz: 3e-6,
    mostOil: 0.82,
    network: 0.3,
    adhesion: 1.5,
  },
  lecithin: {
    loadKgPerM2: 2e-6,
    tensionNPerM: 0.004,
    ruptureHz: 5e-6,
    mostOil: 0.82,
    network: 1,
    adhesion: 1,
  },
  mustard: {
    loadKgPerM2: 4e-6,
    tensionNPerM: 0.01,
    ruptureHz: 4e-5,
    mostOil: 0.85,
    network: 0.6,
    adhesion: 1.5,
  },
  protein: {
    loadKgPerM2: 4e-6,
    tensionNPerM: 0.011,
    ruptureHz: 4e-5,
    mostOil: 0.83,
    network: 0.6,
    adhesion: 2,
  },
  weak: { loadKgPerM2: 6e-6, tensionNPerM: 0.015, ruptureHz: 5e-4, mostOil: 0.8, network: 1, adhesion: 1 },
  none: { loadKgPerM2: 1, tensionNPerM: 0.024, ruptureHz: 3e-3, mostOil: 0.8, network: 1, adhesion: 1 },
};
export const BARE = BINDERS.none;

/** Which is on the surface first where several are there: surface activity, strongest first. */
export const STRONGEST_FIRST = ['yolk', 'milk', 'lecithin', 'mustard', 'protein', 'weak'] as const;
export type Binder = (typeof STRONGEST_FIRST)[number];
