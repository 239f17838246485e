import { Router } from 'express';
import { findQuerySchema } from '#contract';
import { answersWords } from '#words/screens/answers';
import { parse } from '../../http/apiError';
import type { FindStore } from './store';

export function findRoutes(store: FindStore): Router {
  const router = Router();

  router.get('/find', async (request, response) => {
    response.json(await store.find(parse(findQuerySchema, request.query, answersWords.search).q));
  });

  return router;
}
