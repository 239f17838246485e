/** Colours of things in the glass. Components have the house colours; some ingredients are known by their own. */
import { componentOf, type Ingredient, type KitchenComponent } from '#core/ingredient';

const BY_COMPONENT: Record<KitchenComponent, string> = {
  oil: '#d6b13c',
  acid: '#c86f8b',
  salt: '#c9d3dc',
  sweet: '#d8924f',
  aroma: '#7fae78',
  body: '#c3ab7c',
  water: '#a9cfdf',
};

/** What a cook would recognise in the jar; estimate by eye. */
const OWN: Readonly<Record<string, string>> = {
  olive_ev: '#b5a83a',
  walnut_oil: '#b68a2c',
  sesame_toasted: '#8a5a22',
  pumpkin_oil: '#4c5224',
  rapeseed_cold: '#cf9a1c',
  vin_redwine6: '#9c3556',
  vin_balsamic: '#4b2a2c',
  vin_balsamic_thick: '#3a2224',
  vin_black_rice: '#43302a',
  vin_rice42: '#e3d9a8',
  vin_whitewine6: '#e2d28c',
  vin_white5: '#dfe6e2',
  vin_cider5: '#cf9156',
  lemon_juice: '#efe27a',
  lime_juice: '#d5e08a',
  soy_sauce: '#4a2f23',
  tamari: '#42291f',
  beetroot_cooked: '#8e1f4d',
  plum_puree: '#8a3a5c',
  raspberry_puree: '#c23a5b',
  blueberry_puree: '#4d3f6e',
  tomato_paste: '#b8402b',
  ketchup: '#b23a2a',
  dates: '#7b4a2a',
  honey: '#d99a2e',
  maple: '#bd7832',
  egg_yolk: '#eeb33b',
  egg_yolk_past: '#eeb33b',
  mayo_full: '#efe6bd',
  buttermilk: '#f3eedb',
  yoghurt_whole: '#f5f2e6',
  yoghurt_greek: '#f5f2e6',
  soured_cream: '#f2ecd6',
  cream: '#f3e9cb',
  milk: '#f4f2ea',
  tahini: '#cdb389',
  white_beans_cooked: '#e9dfc2',
  shallot: '#c9a3b5',
  garlic: '#ece4cd',
  horseradish: '#eee9d8',
  black_pepper: '#55504a',
};

export function liquidColour(ingredient: Ingredient): string {
  return OWN[ingredient.id] ?? BY_COMPONENT[componentOf(ingredient)];
}

/** Ink or white, whichever reads better on a colour (relative luminance, WCAG 2.2). */
export function inkOn(hex: string): string {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b > 0.18 ? '#17201b' : '#ffffff';
}
