/** What a style is nothing without: a share of the mass, of any of these. Common practice, estimate. */
import type { Ingredient } from '#core/ingredient';

export interface Defining {
  readonly is: (ingredient: Ingredient) => boolean;
  /** At least this much of the whole, 0..1. */
  readonly least: number;
  /** It has to be there, and many another dressing has it too: it is no sign of this style. */
  readonly common?: boolean;
}

const named =
  (...patterns: readonly RegExp[]) =>
  ({ id }: Ingredient): boolean =>
    patterns.some((pattern) => pattern.test(id));
const MAYO = named(/^mayo_/);
const HERBS = ({ category }: Ingredient): boolean => category === 'herb';

/** By style; styles that are a balance alone have none. */
export const DEFINED_BY: Readonly<Record<string, readonly Defining[]>> = {
  lemon_oil: [{ is: ({ category }) => category === 'citrus', least: 0.12 }],
  creamy_yoghurt: [{ is: named(/^yoghurt_|_yoghurt$|^labneh|^quark|^kefir|^buttermilk/), least: 0.4 }],
  mayo_buttermilk: [
    { is: MAYO, least: 0.2 },
    { is: named(/^buttermilk$|^kefir$|^milk$|^soured_cream$|^yoghurt_/), least: 0.12 },
  ],
  mayo_pink: [
    { is: MAYO, least: 0.3 },
    { is: named(/^ketchup$|^tomato_|^sundried_tomato$/), least: 0.06 },
  ],
  mayo_blue: [{ is: named(/^blue_cheese$/), least: 0.1 }],
  mayo_mustard: [
    { is: MAYO, least: 0.3 },
    { is: named(/^mustard_/), least: 0.04 },
  ],
  yolk_built: [{ is: named(/^egg_yolk|^egg_whole$/), least: 0.04 }],
  tahini: [{ is: named(/^tahini$/), least: 0.15 }],
  herb_in_oil: [{ is: HERBS, least: 0.06 }],
  avocado_green: [{ is: named(/^avocado$/), least: 0.2 }],
  herb_mayonnaise: [
    { is: MAYO, least: 0.2 },
    { is: HERBS, least: 0.04 },
  ],
  light_soy: [{ is: named(/^soy_|^tamari$|^ponzu$|^fish_sauce$|^coconut_aminos$/), least: 0.08 }],
  mayonnaise: [
    { is: named(/^egg_|^aquafaba$|^soy_milk$|^milk$|^mayo_/), least: 0.04 },
    { is: ({ category, id }) => category === 'oil' || id.startsWith('mayo_'), least: 0.5 },
  ],
  honey_mustard: [
    { is: named(/^mustard_/), least: 0.08 },
    { is: ({ category }) => category === 'sweet', least: 0.05 },
  ],
  miso_soy_oil: [
    { is: named(/^miso|^soy_|^tamari$|^ponzu$|^fish_sauce$|^coconut_aminos$|^doenjang$/), least: 0.07 },
    { is: ({ category }) => category === 'oil', least: 0.25 },
  ],
  nut_seed: [
    { is: named(/_butter$|^(?:wal|hazel|pea|pine_)nuts$|^almonds$|^cashews$|^pistachios$/), least: 0.2 },
  ],
  green_sauce: [{ is: HERBS, least: 0.1 }],
  fruit_puree: [{ is: ({ category }) => category === 'fruit', least: 0.2 }],
  cream: [{ is: named(/cream|creme|half_and_half|mascarpone/), least: 0.4 }],
  warm: [
    {
      is: ({ id, category }) =>
        category === 'aromatic' || /^(?:bacon_fat|butter|ghee|stock|wine_\w+|walnuts|tomato_fresh)$/.test(id),
      least: 0.03,
      common: true,
    },
  ],
  light_tofu: [{ is: named(/^tofu_/), least: 0.35 }],
};
