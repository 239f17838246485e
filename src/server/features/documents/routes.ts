import { json, Router } from 'express';

import { documentJsonSchema, documentQuerySchema, readDocument } from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import type { DocumentStore } from './store';

export const DOCUMENT_LIMIT = '32mb';

/** Documents that others may read and write. Mounted before the small limit of other bodies. */
export function documentRoutes(store: DocumentStore, hub: LiveHub): Router {
  const router = Router();

  router.get('/document', async (request, response) => {
    const { formula, formulas } = parse(documentQuerySchema, request.query, answersWords.formulaId);
    const ids = formula ? [formula, ...(formulas ?? [])] : (formulas ?? null);
    const document = await store.write(ids);
    if (ids && document.formulas.length === 0)
      throw new ApiError('not-found', answersWords.thisFormulaIsNotOn);
    response.set('Content-Disposition', 'attachment; filename="ygrana.json"');
    response.json(document);
  });

  router.get('/document/schema', (_request, response) => {
    response.type('application/schema+json').send(JSON.stringify(documentJsonSchema(), null, 2));
  });

  router.post('/document', json({ limit: DOCUMENT_LIMIT }), async (request, response) => {
    const reading = readDocument(request.body);
    if (reading.status === 'refused') throw new ApiError('invalid', reading.message);
    const report = await store.read(reading.document);
    // Formulas, vessels, styles, ingredients: whatever is shown may be another now.
    hub.tell({ about: 'gap' });
    response.status(201).json(report);
  });

  return router;
}
