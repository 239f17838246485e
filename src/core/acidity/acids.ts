/**
 * The organic acids of the kitchen. pKa at 25 °C and zero ionic strength: CRC Handbook (as
 * recalled); tartaric: Bates & Canham, the values used for the NIST standard. CRC's 2.98/4.34 put
 * saturated potassium hydrogen tartrate at 3.516 against the certified 3.557; these give 3.555.
 */
export type AcidKey = 'acetic' | 'citric' | 'lactic' | 'malic' | 'tartaric';

export interface Acid {
  readonly molarMassGPerMol: number;
  readonly pKa: readonly number[];
}

export const ACIDS: Readonly<Record<AcidKey, Acid>> = {
  acetic: { molarMassGPerMol: 60.052, pKa: [4.756] },
  citric: { molarMassGPerMol: 192.124, pKa: [3.128, 4.761, 6.396] },
  lactic: { molarMassGPerMol: 90.078, pKa: [3.86] },
  malic: { molarMassGPerMol: 134.087, pKa: [3.4, 5.11] },
  tartaric: { molarMassGPerMol: 150.087, pKa: [3.036, 4.366] },
};
export const ACID_KEYS = Object.keys(ACIDS) as readonly AcidKey[];

/** g acetic acid for one meq of acid, and g (anhydrous) citric acid. */
export const G_ACETIC_PER_MEQ = ACIDS.acetic.molarMassGPerMol / 1000;
export const G_CITRIC_PER_MEQ = ACIDS.citric.molarMassGPerMol / 3000;
export const NACL_G_PER_MOL = 58.443;
