import { Router, type Request, type Response } from 'express';
import {
  ingredientIdSchema,
  SETTINGS_ID,
  SHARED_SCHEMAS,
  type SharedKind,
  type SharedRecord,
} from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import { changed } from '../changes/routes';
import type { SharedStore } from '../changes/store';
import type { KitchenStore } from './store';

/** What a kitchen keeps, listed; and put in place whole, by whoever sets it up. Screens send changes instead. */
export function kitchenRoutes(store: KitchenStore, shared: SharedStore, hub: LiveHub): Router {
  const router = Router();
  const put = async (
    kind: SharedKind,
    id: string,
    body: unknown,
    what: string,
  ): Promise<SharedRecord['doc']> => {
    const doc = parse<unknown>(SHARED_SCHEMAS[kind].doc, body, what);
    return changed(await shared.replace(kind, id, doc), hub).doc;
  };
  /** Of things that say their own id. */
  const putById =
    (kind: SharedKind, what: string, otherId: string) =>
    async (request: Request<{ id: string }>, response: Response): Promise<void> => {
      const { id } = request.params;
      parse<unknown>(SHARED_SCHEMAS[kind].doc, request.body, what);
      if ((request.body as { id?: unknown } | null)?.id !== id) throw new ApiError('invalid', otherId);
      response.json(await put(kind, id, request.body, what));
    };

  router.get('/settings', async (_request, response) => {
    response.json(await store.settings());
  });
  router.put('/settings', async (request, response) => {
    response.json(await put('settings', SETTINGS_ID, request.body, answersWords.settings));
  });

  router.get('/vessels', async (_request, response) => {
    response.json(await store.vessels());
  });
  router.put('/vessels/:id', putById('vessel', answersWords.vessel, answersWords.theVesselSIdIs));

  router.get('/styles', async (_request, response) => {
    response.json(await store.styles());
  });
  router.put('/styles/:id', putById('style', answersWords.style, answersWords.theStyleSIdIs));
  router.delete('/styles/:id', async (request, response) => {
    changed(await shared.replace('style', request.params.id, null), hub);
    response.json({ status: 'ok' });
  });

  router.get('/cooks', async (_request, response) => {
    response.json(await store.cooks());
  });
  router.put('/cooks/:id', putById('cook', answersWords.cook, answersWords.theCookSIdIs));

  router.get('/pantry', async (_request, response) => {
    response.json(await store.pantry());
  });
  router.put('/pantry/:id', async (request, response) => {
    const id = parse(ingredientIdSchema, request.params.id, answersWords.ingredientId);
    response.json(await put('pantry', id, request.body, answersWords.pantryEntry));
  });

  router.get('/ingredients', async (_request, response) => {
    response.json(await store.ownIngredients());
  });
  router.put(
    '/ingredients/:id',
    putById('ingredient', answersWords.ingredient, answersWords.theIngredientSIdIs),
  );

  return router;
}
