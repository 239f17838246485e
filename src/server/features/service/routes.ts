import { Router } from 'express';
import { daySchema, newDressingSchema, putPlanSchema } from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import { changed } from '../changes/routes';
import type { SharedStore } from '../changes/store';
import type { ServiceStore } from './store';

export function serviceRoutes(store: ServiceStore, shared: SharedStore, hub: LiveHub): Router {
  const router = Router();

  router.get('/dressings', async (_request, response) => {
    response.json(await store.dressings());
  });

  router.get('/plans', async (_request, response) => {
    response.json(await store.days());
  });

  router.get('/plans/:day', async (request, response) => {
    response.json(await store.plan(parse(daySchema, request.params.day, answersWords.day)));
  });

  router.get('/weeks/:day', async (request, response) => {
    response.json(await store.week(parse(daySchema, request.params.day, answersWords.day)));
  });

  router.put('/plans/:day', async (request, response) => {
    const { day, revision, content } = parse(putPlanSchema, request.body, answersWords.plan);
    if (day !== request.params.day) throw new ApiError('invalid', answersWords.thePlanIsOfAnotherDay);
    const plan = changed(await shared.replace('plan', day, content, revision), hub);
    response.json({ day, revision: plan.revision, content: plan.doc });
  });

  router.post('/dressings', async (request, response) => {
    const entry = await store.addDressing(parse(newDressingSchema, request.body, answersWords.dressing));
    hub.tell({ about: 'kept', what: 'dressings' });
    response.status(201).json(entry);
  });

  return router;
}
