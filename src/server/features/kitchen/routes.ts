import { Router } from 'express';
import { ingredientRowSchema, settingsSchema } from '#contract';
import { ApiError, parse } from '../../http/apiError';
import type { KitchenStore } from './store';

export function kitchenRoutes(store: KitchenStore): Router {
  const router = Router();

  router.get('/settings', async (_request, response) => {
    response.json(await store.settings());
  });
  router.put('/settings', async (request, response) => {
    response.json(await store.saveSettings(parse(settingsSchema, request.body, 'Settings')));
  });

  router.get('/vessels', async (_request, response) => {
    response.json(await store.vessels());
  });

  router.get('/ingredients', async (_request, response) => {
    response.json(await store.ownIngredients());
  });
  router.put('/ingredients/:id', async (request, response) => {
    const row = parse(ingredientRowSchema, request.body, 'Ingredient');
    if (row.id !== request.params.id) {
      throw new ApiError('invalid', 'The ingredient’s id is not the one in the address.');
    }
    response.json(await store.saveIngredient(row));
  });

  return router;
}
