import { Router } from 'express';
import {
  combineSchema,
  batchesQuerySchema,
  batchListQuerySchema,
  formulaIdSchema,
  newBatchEventSchema,
  newBatchSchema,
  trialIdSchema,
  type InstrumentInfo,
} from '#contract';
import { SIGN_WORDS, USE_BY_WORDS } from '#words/batch';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import { vouchedReading } from '../../http/vouched';
import type { LiveHub } from '../../live/hub';
import type { BatchOutcome } from './refusal';
import type { BatchStore } from './store';

/** Batches: taken on from a version, weighed load by load, combined, recorded. */
export function batchRoutes(store: BatchStore, hub: LiveHub, instruments: readonly InstrumentInfo[]): Router {
  const router = Router();

  router.get('/batches', async (request, response) => {
    const { day, from, to } = parse(batchesQuerySchema, request.query, answersWords.day);
    if (day !== undefined) response.json(await store.ofDay(day));
    else if (from !== undefined && to !== undefined) response.json(await store.between(from, to));
    else response.json(await store.latest());
  });

  router.get('/batches/days', async (_request, response) => {
    response.json(await store.days());
  });

  router.get('/batches/:id', async (request, response) => {
    const batch = await store.get(parse(trialIdSchema, request.params.id, answersWords.batchId));
    if (!batch) throw new ApiError('not-found', answersWords.thereIsNoSuchBatch);
    response.json(batch);
  });

  router.get('/formulas/:id/batches', async (request, response) => {
    const { offset } = parse(batchListQuerySchema, request.query, answersWords.search);
    const id = parse(formulaIdSchema, request.params.id, answersWords.formulaId);
    response.json(await store.ofFormula(id, offset));
  });

  router.post('/batches', async (request, response) => {
    const batch = recorded(await store.begin(parse(newBatchSchema, request.body, answersWords.batch)));
    hub.tell({ about: 'trials', formulaId: batch.formulaId });
    response.status(201).json(batch);
  });

  router.post('/batches/:id/events', async (request, response) => {
    const id = parse(trialIdSchema, request.params.id, answersWords.batchId);
    const sent = parse(newBatchEventSchema, request.body, answersWords.event);
    const event =
      sent.event.kind === 'temperature'
        ? { ...sent.event, reading: vouchedReading(sent.event.reading, instruments) }
        : sent.event;
    const batch = recorded(await store.append(id, { ...sent, event }));
    hub.tell({ about: 'trials', formulaId: batch.formulaId });
    response.status(201).json(batch);
  });

  router.post('/batches/:id/combine', async (request, response) => {
    const id = parse(trialIdSchema, request.params.id, answersWords.batchId);
    const batch = recorded(await store.combine(id, parse(combineSchema, request.body, answersWords.batch)));
    hub.tell({ about: 'trials', formulaId: batch.formulaId });
    response.status(201).json(batch);
  });

  return router;
}

function recorded(outcome: BatchOutcome) {
  switch (outcome.status) {
    case 'recorded':
      return outcome.batch;
    case 'no-version':
      throw new ApiError('not-found', answersWords.thereIsNoSuchVersion);
    case 'no-batch':
      throw new ApiError('not-found', answersWords.thereIsNoSuchBatch);
    case 'id-taken':
      throw new ApiError('exists', answersWords.somethingElseAlreadyHasThisId);
    case 'not-weighed':
      throw new ApiError('conflict', answersWords.notEveryLoadIsWeighed);
    case 'closed':
      throw new ApiError('conflict', answersWords.thisBatchIsClosedIt);
    case 'unsigned':
      throw new ApiError('conflict', SIGN_WORDS[outcome.problem]);
    case 'use-by':
      throw new ApiError('invalid', USE_BY_WORDS[outcome.problem]);
  }
}
