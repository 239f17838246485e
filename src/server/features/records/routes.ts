import { json, Router } from 'express';
import { recordsSchema } from '#contract';
import { answersWords } from '#words/screens/answers';
import { parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import type { RecordStore } from './store';

export const RECORDS_LIMIT = '64mb';

/** Jars and batches as they were made, out and in. Mounted before the small limit of other bodies. */
export function recordRoutes(store: RecordStore, hub: LiveHub): Router {
  const router = Router();

  router.get('/records', async (_request, response) => {
    response.json(await store.all());
  });

  router.post('/records', json({ limit: RECORDS_LIMIT }), async (request, response) => {
    const report = await store.add(parse(recordsSchema, request.body, answersWords.records));
    hub.tell({ about: 'gap' });
    response.status(201).json(report);
  });

  return router;
}
