import { Router } from 'express';
import { formulaIdSchema, newEventSchema, newTrialSchema, trialIdSchema } from '#contract';
import { ApiError, parse } from '../../http/apiError';
import type { TrialOutcome, TrialStore } from './store';

/** Jars: begun from a version, then tasted and mended. */
export function trialRoutes(store: TrialStore): Router {
  const router = Router();

  router.get('/formulas/:id/trials', async (request, response) => {
    response.json(await store.ofFormula(parse(formulaIdSchema, request.params.id, 'Formula id')));
  });

  router.post('/trials', async (request, response) => {
    response.status(201).json(recorded(await store.begin(parse(newTrialSchema, request.body, 'Jar'))));
  });

  router.post('/trials/:id/events', async (request, response) => {
    const id = parse(trialIdSchema, request.params.id, 'Jar id');
    response.status(201).json(recorded(await store.append(id, parse(newEventSchema, request.body, 'Event'))));
  });

  return router;
}

function recorded(outcome: TrialOutcome) {
  switch (outcome.status) {
    case 'recorded':
      return outcome.trial;
    case 'no-version':
      throw new ApiError('not-found', 'There is no such version to make a jar from. Freeze it first.');
    case 'no-trial':
      throw new ApiError('not-found', 'This jar is not known here. Begin it again.');
    case 'id-taken':
      throw new ApiError('exists', 'Something else already has this id.');
  }
}
