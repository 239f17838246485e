import { Router } from 'express';
import {
  cookSchema,
  ingredientIdSchema,
  ingredientRowSchema,
  pantryEntrySchema,
  settingsSchema,
  styleSchema,
  vesselSchema,
} from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { KitchenStore } from './store';

export function kitchenRoutes(store: KitchenStore): Router {
  const router = Router();

  router.get('/settings', async (_request, response) => {
    response.json(await store.settings());
  });
  router.put('/settings', async (request, response) => {
    response.json(await store.saveSettings(parse(settingsSchema, request.body, answersWords.settings)));
  });

  router.get('/vessels', async (_request, response) => {
    response.json(await store.vessels());
  });

  router.put('/vessels/:id', async (request, response) => {
    const vessel = parse(vesselSchema, request.body, answersWords.vessel);
    if (vessel.id !== request.params.id) {
      throw new ApiError('invalid', answersWords.theVesselSIdIs);
    }
    response.json(await store.saveVessel(vessel));
  });

  router.get('/styles', async (_request, response) => {
    response.json(await store.styles());
  });
  router.put('/styles/:id', async (request, response) => {
    const style = parse(styleSchema, request.body, 'Style');
    if (style.id !== request.params.id) {
      throw new ApiError('invalid', answersWords.theStyleSIdIs);
    }
    response.json(await store.saveStyle(style));
  });
  router.delete('/styles/:id', async (request, response) => {
    await store.dropStyle(request.params.id);
    response.json({ status: 'ok' });
  });

  router.get('/cooks', async (_request, response) => {
    response.json(await store.cooks());
  });
  router.put('/cooks/:id', async (request, response) => {
    const cook = parse(cookSchema, request.body, answersWords.cook);
    if (cook.id !== request.params.id) {
      throw new ApiError('invalid', answersWords.theCookSIdIs);
    }
    response.json(await store.saveCook(cook));
  });

  router.get('/pantry', async (_request, response) => {
    response.json(await store.pantry());
  });
  router.put('/pantry/:id', async (request, response) => {
    const id = parse(ingredientIdSchema, request.params.id, answersWords.ingredientId);
    response.json(
      await store.savePantry(id, parse(pantryEntrySchema, request.body, answersWords.pantryEntry)),
    );
  });

  router.get('/ingredients', async (_request, response) => {
    response.json(await store.ownIngredients());
  });
  router.put('/ingredients/:id', async (request, response) => {
    const row = parse(ingredientRowSchema, request.body, answersWords.ingredient);
    if (row.id !== request.params.id) {
      throw new ApiError('invalid', answersWords.theIngredientSIdIs);
    }
    response.json(await store.saveIngredient(row));
  });

  return router;
}
