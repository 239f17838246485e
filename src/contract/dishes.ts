/** What a formula is made for: dishes by name, each typed like a formula, one thing a line. */
import { z } from 'zod';
import { DRESSED } from '#core/service';
import { nameSchema } from './formula';

export const MOST_DISHES = 20;
export const MOST_DISH_TEXT = 4000;

export const dishesContentSchema = z.strictObject({
  dishes: z
    .array(
      z.strictObject({
        id: z.string().regex(/^[\w-]{1,40}$/),
        name: nameSchema,
        /** As it was typed, for so many servings. */
        text: z.string().max(MOST_DISH_TEXT, `at most ${MOST_DISH_TEXT} characters`),
        servings: z.number().gt(0, 'more than nothing').max(5000),
        dressed: z.enum(DRESSED),
      }),
    )
    .max(MOST_DISHES, `at most ${MOST_DISHES} dishes`),
});
export type DishesContent = z.infer<typeof dishesContentSchema>;
export type KeptDish = DishesContent['dishes'][number];
