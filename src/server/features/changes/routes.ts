import { Router, type Request } from 'express';
import {
  sharedChangesSchema,
  sharedKindSchema,
  SHARED_SCHEMAS,
  type SharedKind,
  type SharedRecord,
} from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import type { SharedOutcome, SharedStore } from './store';

function placeAsked(request: Request): { kind: SharedKind; id: string } {
  const kind = parse(sharedKindSchema, request.params.kind, answersWords.kindOfThing);
  return { kind, id: parse(SHARED_SCHEMAS[kind].id, request.params.id, answersWords.idOfThing) };
}

export function sharedRoutes(store: SharedStore, hub: LiveHub): Router {
  const router = Router();

  router.get('/shared/:kind/:id', async (request, response) => {
    const { kind, id } = placeAsked(request);
    response.json(await store.get(kind, id));
  });

  router.post('/shared/:kind/:id/changes', async (request, response) => {
    const { kind, id } = placeAsked(request);
    const changes = parse(sharedChangesSchema, request.body, answersWords.change);
    response.json(changed(await store.change(kind, id, changes), hub));
  });

  return router;
}

/** @throws ApiError conflict: something else stands there by now */
export function changed(outcome: SharedOutcome, hub: LiveHub): SharedRecord {
  switch (outcome.status) {
    case 'stays':
      throw new ApiError('invalid', answersWords.thisCannotBeTakenOut);
    case 'conflict':
      throw new ApiError('conflict', answersWords.theSameFieldWasChanged, { record: outcome.record });
    case 'applied': {
      const { kind, id } = outcome.record;
      hub.tell(kind === 'plan' ? { about: 'plan', day: id } : { about: 'shared', kind, id });
      return outcome.record;
    }
  }
}
