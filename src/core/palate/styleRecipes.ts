/**
 * Invented dressings, a few a style, from which the style windows are computed and from which a new
 * formula may start. Volumes by spoon density, tsp 5 ml, tbsp 15 ml. Tag: estimate.
 */
export const STYLE_RECIPES = {
  classic_3_1: {
    name: 'Classic, 3 : 1',
    recipes: [
      'olive_ev 90ml, vin_redwine6 30ml, salt_table 0.25tsp, black_pepper 0.3g',
      'olive_ev 90ml, vin_sherry7 30ml, salt_table 1.5g, mustard_dijon 5g',
      'rapeseed 60ml, olive_ev 30ml, vin_cider5 30ml, mustard_dijon 8g, salt_table 1.2g, honey 5g',
      'olive_ev 90ml, vin_whitewine6 30ml, mustard_dijon 10g, shallot 15g, salt_table 1.8g',
      'grapeseed 90ml, vin_champ6 28ml, salt_table 1.4g, mustard_dijon 4g, honey 3g',
    ],
  },
  sharp_2_1: {
    name: 'Sharp, 2 : 1',
    recipes: [
      'olive_ev 80ml, vin_redwine6 40ml, mustard_dijon 8g, salt_table 1.8g, garlic 2g',
      'olive_ev 80ml, vin_cider5 40ml, honey 8g, mustard_grain 8g, salt_table 1.6g',
      'sunflower 80ml, vin_balsamic 40ml, mustard_dijon 6g, salt_table 1.5g',
      'olive_ev 80ml, vin_whitewine6 38ml, shallot 10g, tarragon 2g, salt_table 2g, sugar_white 3g',
    ],
  },
  brisk_1_5_1: {
    name: 'Brisk, 1½ : 1',
    recipes: [
      'olive_ev 75ml, vin_cider5 50ml, maple 10g, mustard_dijon 10g, salt_table 2g',
      'grapeseed 75ml, vin_rice42 50ml, honey 10g, ginger 6g, soy_sauce 8g, salt_table 0.8g',
      'olive_ev 75ml, vin_balsamic_white 50ml, mustard_dijon 8g, salt_table 2g',
      'olive_light 75ml, vin_white5 48ml, sugar_white 10g, salt_table 2.2g, celery_seed 1g',
    ],
  },
  equal_mild: {
    name: 'Mild vinegar, 1 : 1',
    recipes: [
      'olive_ev 60ml, vin_balsamic_fruit 60ml, salt_table 0.8g',
      'olive_ev 60ml, vin_balsamic_fruit 55ml, mustard_dijon 6g, salt_table 0.8g',
      'olive_light 60ml, vin_balsamic_white 55ml, honey 5g, salt_table 1.2g',
      'avocado_oil 60ml, vin_rice_seasoned 60ml, ginger 4g, sesame_toasted 5ml',
    ],
  },
  lemon_oil: {
    name: 'Lemon and oil',
    recipes: [
      'olive_ev 90ml, lemon_juice 30ml, salt_table 1.5g',
      'olive_ev 80ml, lemon_juice 40ml, garlic 2g, salt_table 1.8g, oregano_dry 0.5g',
      'olive_ev 75ml, lemon_juice 45ml, lemon_zest 2g, honey 5g, salt_table 1.8g',
      'olive_ev 90ml, lemon_juice 35ml, mustard_dijon 8g, salt_table 1.5g, parsley 4g',
    ],
  },
  sweet_fruit: {
    name: 'Sweet or fruity',
    recipes: [
      'sunflower 120ml, vin_white5 60ml, sugar_white 60g, poppy_seed 8g, mustard_powder 2g, salt_table 3g, onion_red 10g',
      'olive_light 90ml, vin_raspberry 45ml, raspberry_puree 50g, honey 25g, salt_table 1.8g',
      'grapeseed 90ml, vin_cider5 45ml, honey 45g, poppy_seed 6g, mustard_dijon 8g, salt_table 2g',
      'avocado_oil 75ml, orange_juice 40ml, vin_champ6 30ml, sugar_white 25g, salt_table 1.8g, poppy_seed 5g',
      'olive_light 80ml, blueberry_puree 60g, vin_balsamic_fruit 45ml, honey 10g, salt_table 1.5g',
    ],
  },
  creamy_yoghurt: {
    name: 'Yoghurt',
    recipes: [
      'yoghurt_whole 200g, lemon_juice 15ml, olive_ev 22ml, salt_table 2g, garlic 2g, dill 6g',
      'yoghurt_greek 150g, lemon_juice 20ml, olive_ev 20ml, water 30g, salt_table 2.2g, mint 5g',
      'yoghurt_greek 120g, buttermilk 80g, vin_cider5 12ml, chives 6g, honey 6g, salt_table 2g, garlic_powder 0.8g',
      'yoghurt_whole 160g, mayo_full 40g, lemon_juice 12ml, salt_table 1.4g, garlic 2g, parsley 6g, cucumber 30g',
    ],
  },
  mayo_buttermilk: {
    name: 'Mayonnaise and buttermilk',
    recipes: [
      'mayo_full 120g, buttermilk 100g, vin_white5 10ml, salt_table 1.4g, garlic_powder 1g, onion_powder 1g, dill 4g, chives 4g',
    ],
  },
  mayo_pink: {
    name: 'Mayonnaise and tomato',
    recipes: ['mayo_full 120g, ketchup 45g, gherkin 30g, vin_white5 8ml, paprika 1g, salt_table 0.5g'],
  },
  mayo_blue: {
    name: 'Blue cheese',
    recipes: ['mayo_full 100g, soured_cream 60g, lemon_juice 15ml, blue_cheese 50g, milk 30g'],
  },
  mayo_mustard: {
    name: 'Mayonnaise, honey and mustard',
    recipes: ['mayo_light 150g, lemon_juice 12ml, mustard_dijon 8g, honey 12g'],
  },
  yolk_built: {
    name: 'Built on yolk',
    recipes: [
      'egg_yolk_past 34g, olive_light 160ml, lemon_juice 30ml, anchovy 16g, parmesan 25g, garlic 4g, mustard_dijon 6g, water 10g',
      'egg_yolk_past 17g, olive_light 120ml, vin_whitewine6 15ml, lemon_juice 10ml, mustard_dijon 10g, anchovy 8g, parmesan 15g, garlic 3g, salt_table 0.5g',
      'egg_yolk_past 17g, sunflower 180ml, vin_whitewine6 20ml, mustard_dijon 8g, salt_table 2g',
      'egg_yolk_past 34g, sunflower 150ml, olive_ev 30ml, lemon_juice 25ml, vin_white5 10ml, garlic 8g, salt_table 2.5g',
    ],
  },
  tahini: {
    name: 'Tahini',
    recipes: [
      'tahini 60g, lemon_juice 45ml, water 60g, garlic 3g, salt_table 2g',
      'tahini 90g, lemon_juice 45ml, water 75g, garlic 3g, salt_table 2.5g, cumin 0.6g',
      'tahini 60g, lemon_juice 30ml, water 45g, maple 12g, soy_sauce 8g, salt_table 0.6g',
      'tahini 60g, vin_rice42 25ml, soy_sauce 15g, sesame_toasted 10ml, honey 10g, water 30g, ginger 5g',
    ],
  },
  herb_in_oil: {
    name: 'Herbs in oil',
    recipes: ['cilantro 50g, lime_juice 45ml, olive_ev 120ml, honey 10g, garlic 4g, salt_table 2.2g'],
  },
  avocado_green: {
    name: 'Avocado',
    recipes: [
      'cilantro 40g, avocado 80g, lime_juice 40ml, olive_ev 60ml, garlic 4g, salt_table 2.5g, water 40g, jalapeno 10g',
      'avocado 136g, lime_juice 35ml, yoghurt_whole 80g, cilantro 20g, salt_table 2.5g, water 30g',
    ],
  },
  herb_mayonnaise: {
    name: 'Herb mayonnaise',
    recipes: [
      'parsley 30g, basil 15g, tarragon 5g, mayo_full 60g, yoghurt_whole 100g, lemon_juice 20ml, anchovy 4g, salt_table 1.4g, scallion 15g',
    ],
  },
  light_soy: {
    name: 'Soy and citrus, light',
    recipes: ['sesame_toasted 10ml, vin_rice42 40ml, soy_sauce 20g, orange_juice 40ml, ginger 5g, honey 10g'],
  },
  light_tofu: {
    name: 'Silken tofu, light',
    recipes: [
      'olive_ev 30ml, lemon_juice 30ml, tofu_silken 80g, mustard_dijon 8g, salt_table 1.6g, garlic 2g',
    ],
  },
  light_thickened: {
    name: 'Light, thickened',
    recipes: [
      'olive_ev 30ml, vin_cider5 30ml, water 40g, mustard_dijon 10g, honey 10g, salt_table 1.3g, xanthan 0.2g',
      'olive_ev 30ml, vin_balsamic 45ml, water 25g, mustard_grain 10g, salt_table 1.2g, xanthan 0.2g',
    ],
  },
} as const satisfies Record<string, StyleRecipes>;

export interface StyleRecipes {
  readonly name: string;
  /** "olive_ev 90ml, salt_table 0.25tsp": ingredient id, amount. */
  readonly recipes: readonly string[];
}

export type StyleId = keyof typeof STYLE_RECIPES;
export const STYLE_IDS = Object.keys(STYLE_RECIPES) as readonly StyleId[];
