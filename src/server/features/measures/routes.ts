import { Router } from 'express';
import { newMeasureSchema } from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import type { MeasureStore } from './store';

export function measureRoutes(store: MeasureStore, hub: LiveHub): Router {
  const router = Router();
  const tell = (): void => {
    hub.tell({ about: 'kept', what: 'measures' });
  };

  router.get('/measures', async (_request, response) => {
    response.json(await store.all());
  });

  router.post('/measures', async (request, response) => {
    const made = await store.add(parse(newMeasureSchema, request.body, answersWords.measure));
    if (!made) throw new ApiError('exists', answersWords.anotherMeasureAlreadyHasThis);
    tell();
    response.status(201).json(made);
  });

  return router;
}
