import { Router, type Request } from 'express';
import { changeRequestSchema, formulaIdSchema, freezeRequestSchema, newFormulaSchema } from '#contract';
import type { FormulaId } from '#core/formula';
import { ApiError, parse } from '../../http/apiError';
import type { FormulaStore } from './store';

const idOf = (request: Request): FormulaId => parse(formulaIdSchema, request.params.id, 'Formula id');
const missing = (): ApiError =>
  new ApiError('not-found', 'This formula is not on the shelf. It may have been deleted elsewhere.');

export function formulaRoutes(store: FormulaStore): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json(await store.list());
  });

  router.post('/', async (request, response) => {
    const record = await store.create(parse(newFormulaSchema, request.body, 'Formula'));
    if (!record) throw new ApiError('exists', 'Another formula already has this id.');
    response.status(201).json(record);
  });

  router.get('/:id', async (request, response) => {
    const record = await store.get(idOf(request));
    if (!record) throw missing();
    response.json(record);
  });

  router.post('/:id/changes', async (request, response) => {
    const outcome = await store.change(idOf(request), parse(changeRequestSchema, request.body, 'Change'));
    if (outcome.status === 'not-found') throw missing();
    if (outcome.status === 'conflict') {
      throw new ApiError('conflict', 'The same field was changed elsewhere meanwhile. Choose which stays.', {
        conflicts: outcome.conflicts,
        record: outcome.record,
      });
    }
    response.json(outcome.record);
  });

  router.get('/:id/versions', async (request, response) => {
    const id = idOf(request);
    if (!(await store.get(id))) throw missing();
    response.json(await store.versions(id));
  });

  router.post('/:id/versions', async (request, response) => {
    const { revision, note } = parse(freezeRequestSchema, request.body, 'Freeze');
    const outcome = await store.freeze(idOf(request), revision, note ?? '');
    switch (outcome.status) {
      case 'not-found':
        throw missing();
      case 'moved-on':
        throw new ApiError('conflict', 'The formula has moved on since. Look at it again, then freeze.', {
          record: outcome.record,
        });
      case 'unchanged':
        response.json(outcome.version);
        return;
      case 'frozen':
        response.status(201).json(outcome.version);
    }
  });

  return router;
}
