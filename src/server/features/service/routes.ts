import { Router } from 'express';
import { daySchema, newDressingSchema, putPlanSchema } from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import type { ServiceStore } from './store';

export function serviceRoutes(store: ServiceStore, hub: LiveHub): Router {
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
    const plan = await store.savePlan(parse(putPlanSchema, request.body, answersWords.plan));
    if (!plan) throw new ApiError('conflict', answersWords.somebodyElseChangedThisDay);
    hub.tell({ about: 'plan', day: plan.day });
    response.json(plan);
  });

  router.post('/dressings', async (request, response) => {
    response
      .status(201)
      .json(await store.addDressing(parse(newDressingSchema, request.body, answersWords.dressing)));
  });

  return router;
}
