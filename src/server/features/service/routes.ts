import { Router } from 'express';
import { newDressingSchema } from '#contract';
import { parse } from '../../http/apiError';
import type { ServiceStore } from './store';

export function serviceRoutes(store: ServiceStore): Router {
  const router = Router();

  router.get('/dressings', async (_request, response) => {
    response.json(await store.dressings());
  });

  router.post('/dressings', async (request, response) => {
    response.status(201).json(await store.addDressing(parse(newDressingSchema, request.body, 'Dressing')));
  });

  return router;
}
