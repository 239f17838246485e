/** How much everything must grow or shrink to fill a volume, while locked amounts stay. */
export type FillFactor =
  | { readonly status: 'scale'; readonly factor: number }
  /** Nothing that may move. */
  | { readonly status: 'nothing-to-scale' }
  /** The locked amounts alone take more than is wanted. */
  | { readonly status: 'locked-too-large'; readonly lockedMl: number };

/** V_wanted = V_locked + f · V_free. All volumes mixed, ml, ≥ 0. */
export function factorToFill(freeMl: number, lockedMl: number, wantedMl: number): FillFactor {
  if (!(freeMl > 0)) return { status: 'nothing-to-scale' };
  if (wantedMl <= lockedMl) return { status: 'locked-too-large', lockedMl };
  return { status: 'scale', factor: (wantedMl - lockedMl) / freeMl };
}
