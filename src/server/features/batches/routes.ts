import { Router } from 'express';
import {
  combineSchema,
  daySchema,
  formulaIdSchema,
  newBatchEventSchema,
  newBatchSchema,
  trialIdSchema,
  type InstrumentInfo,
} from '#contract';
import { SIGN_WORDS, USE_BY_WORDS } from '#words/batch';
import { ApiError, parse } from '../../http/apiError';
import { vouchedReading } from '../../http/vouched';
import type { LiveHub } from '../../live/hub';
import type { BatchOutcome, BatchStore } from './store';

/** Batches: taken on from a version, weighed load by load, combined, recorded. */
export function batchRoutes(store: BatchStore, hub: LiveHub, instruments: readonly InstrumentInfo[]): Router {
  const router = Router();

  router.get('/batches', async (request, response) => {
    const { day } = request.query;
    response.json(day === undefined ? await store.latest() : await store.ofDay(parse(daySchema, day, 'Day')));
  });

  router.get('/batches/:id', async (request, response) => {
    const batch = await store.get(parse(trialIdSchema, request.params.id, 'Batch id'));
    if (!batch) throw new ApiError('not-found', 'There is no such batch.');
    response.json(batch);
  });

  router.get('/formulas/:id/batches', async (request, response) => {
    response.json(await store.ofFormula(parse(formulaIdSchema, request.params.id, 'Formula id')));
  });

  router.post('/batches', async (request, response) => {
    const batch = recorded(await store.begin(parse(newBatchSchema, request.body, 'Batch')));
    hub.tell({ about: 'trials', formulaId: batch.formulaId });
    response.status(201).json(batch);
  });

  router.post('/batches/:id/events', async (request, response) => {
    const id = parse(trialIdSchema, request.params.id, 'Batch id');
    const sent = parse(newBatchEventSchema, request.body, 'Event');
    const event =
      sent.event.kind === 'temperature'
        ? { ...sent.event, reading: vouchedReading(sent.event.reading, instruments) }
        : sent.event;
    const batch = recorded(await store.append(id, { ...sent, event }));
    hub.tell({ about: 'trials', formulaId: batch.formulaId });
    response.status(201).json(batch);
  });

  router.post('/batches/:id/combine', async (request, response) => {
    const id = parse(trialIdSchema, request.params.id, 'Batch id');
    const batch = recorded(await store.combine(id, parse(combineSchema, request.body, 'Batch')));
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
      throw new ApiError('not-found', 'There is no such version to make a batch from. Freeze it first.');
    case 'no-batch':
      throw new ApiError('not-found', 'There is no such batch.');
    case 'id-taken':
      throw new ApiError('exists', 'Something else already has this id.');
    case 'not-weighed':
      throw new ApiError('conflict', 'Not every load is weighed out yet. Finish the loads, then combine.');
    case 'closed':
      throw new ApiError(
        'conflict',
        'This batch is closed: it was combined, recorded or called off already.',
      );
    case 'unsigned':
      throw new ApiError('conflict', SIGN_WORDS[outcome.problem]);
    case 'use-by':
      throw new ApiError('invalid', USE_BY_WORDS[outcome.problem]);
  }
}
