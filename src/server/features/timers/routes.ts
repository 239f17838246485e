import { Router } from 'express';
import { newTimerSchema, trialIdSchema } from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import type { TimerStore } from './store';

export function timerRoutes(store: TimerStore, hub: LiveHub): Router {
  const router = Router();

  router.get('/timers', async (_request, response) => {
    response.json(await store.running());
  });

  router.post('/timers', async (request, response) => {
    await store.start(parse(newTimerSchema, request.body, answersWords.timer));
    hub.tell({ about: 'timers' });
    response.status(201).json(await store.running());
  });

  router.post('/timers/:id/end', async (request, response) => {
    const id = parse(trialIdSchema, request.params.id, answersWords.timerId);
    if (!(await store.end(id))) throw new ApiError('not-found', answersWords.thereIsNoSuchTimer);
    hub.tell({ about: 'timers' });
    response.json(await store.running());
  });

  return router;
}
