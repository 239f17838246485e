/** What a label says of a sauce of no consequence. */
export const PLAIN_LABEL = {
  category: 'savoury' as const,
  per: '100 g' as const,
  fatG: 5,
  carbohydrateG: 10,
  sugarsG: 5,
  proteinG: 2,
  saltG: 1,
  acidityGPer100Ml: null,
  densityGPerMl: null,
};
