/**
 * How much of one thing a cook puts in at most, as a share of the mass: by what it is, and by the style. Common practice;
 * an answer never goes beyond, unless the cook locks more of it in.
 */
import type { Ingredient } from '#core/ingredient';

/** Seeds are eaten, spices season. */
const SEEDS = /_seed$|^(?:sesame|poppy|nigella|chia|flax|hemp|pumpkin|sunflower)_seed|dukkah|furikake|zaatar/;
const STRONG_HERBS = /^(?:thyme|rosemary|sage|oregano|marjoram|lime_leaf|curry_leaf|lovage)/;
const ALLIUM_MILD = /^(?:shallot|onion|scallion|leek)/;
/** Above this a pinch is felt by everybody. */
const HOT = 0.2;
const SPICE = { hot: 0.004, seed: 0.06, other: 0.008 };
const HERB = { strong: 0.02, soft: 0.12 };
const AROMATIC = { garlic: 0.04, zest: 0.025, mild: 0.15, other: 0.06 };
const SALT = 0.022;
const MUSTARD = 0.12;
const POWDER = 0.02;
const THICKENER = 0.02;
const GUM = 0.004;
const SWEET = 0.12;
/** What salty things bring of salt at most, as a share of the whole. */
const SALT_OF_SAVOURY = 0.02;
const SAVOURY = 0.35;

/** Styles in which a thing is more than seasoning. */
const MORE_IN: Readonly<Record<string, (ingredient: Ingredient) => number | null>> = {
  herb_in_oil: ({ category }) => (category === 'herb' ? 0.3 : null),
  herb_mayonnaise: ({ category }) => (category === 'herb' ? 0.2 : null),
  avocado_green: ({ category }) => (category === 'herb' ? 0.2 : null),
  sweet_fruit: ({ category }) => (category === 'sweet' ? 0.27 : null),
  mayo_mustard: ({ id, category }) => (isMustard(id) || category === 'sweet' ? 0.25 : null),
  light_soy: ({ category, composition }) => {
    if (category === 'sweet') return 0.15;
    return category === 'savoury' && composition.salt > 0 ? Math.min(0.65, 0.06 / composition.salt) : null;
  },
  yolk_built: ({ id }) => (id === 'garlic' ? 0.05 : null),
  mayonnaise: ({ id }) => (id === 'garlic' ? 0.06 : null),
  honey_mustard: ({ id, category }) => (isMustard(id) || category === 'sweet' ? 0.25 : null),
  green_sauce: ({ id, category }) => (category === 'herb' ? 0.35 : id === 'garlic' ? 0.05 : null),
  // From the pan: cooked alliums are mild.
  warm: ({ id }) => (ALLIUM_MILD.test(id) ? 0.25 : id === 'garlic' ? 0.08 : null),
  fruit_puree: ({ category }) => (category === 'sweet' ? 0.18 : null),
  miso_soy_oil: ({ category, composition }) =>
    category === 'savoury' && composition.salt > 0 ? Math.min(0.35, 0.035 / composition.salt) : null,
};

const isMustard = (id: string): boolean => id.startsWith('mustard_') && id !== 'mustard_seed';

/** Null: as much as fits. */
export function ceilingOf(ingredient: Ingredient, styleId: string | null): number | null {
  const more = styleId === null ? null : (MORE_IN[styleId]?.(ingredient) ?? null);
  return more ?? byKind(ingredient);
}

function byKind({ id, category, composition, pungencyIndex, bodyIndex }: Ingredient): number | null {
  switch (category) {
    case 'spice':
      if (SEEDS.test(id)) return SPICE.seed;
      return pungencyIndex.heat > HOT ? SPICE.hot : SPICE.other;
    case 'herb':
      return STRONG_HERBS.test(id) ? HERB.strong : HERB.soft;
    case 'aromatic':
      if (id === 'garlic') return AROMATIC.garlic;
      if (/_zest$/.test(id)) return AROMATIC.zest;
      return ALLIUM_MILD.test(id) ? AROMATIC.mild : AROMATIC.other;
    case 'salt':
      return SALT;
    case 'emulsifier':
      if (!isMustard(id)) return null;
      return composition.water < 0.2 ? POWDER : MUSTARD;
    case 'thickener':
      return bodyIndex > 1000 ? GUM : THICKENER;
    case 'sweet':
      return SWEET;
    case 'savoury':
      return composition.salt > 0.02 ? Math.min(SAVOURY, SALT_OF_SAVOURY / composition.salt) : null;
    default:
      return null;
  }
}
