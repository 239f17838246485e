import { Router, type Request } from 'express';
import {
  changeRequestSchema,
  formulaIdSchema,
  freezeRequestSchema,
  madeQuerySchema,
  newFormulaSchema,
  NOBODY,
  shelfQuerySchema,
  shelfRequestSchema,
} from '#contract';
import type { FormulaId } from '#core/formula';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import type { ShelfBoard } from './shelf';
import type { FormulaStore } from './store';

const idOf = (request: Request): FormulaId =>
  parse(formulaIdSchema, request.params.id, answersWords.formulaId);
const missing = (): ApiError => new ApiError('not-found', answersWords.thisFormulaIsNotOnThe);

const teller = (hub: LiveHub) => (id: FormulaId) => {
  hub.tell({ about: 'formula', id });
};

export function formulaRoutes(store: FormulaStore, shelf: ShelfBoard, hub: LiveHub): Router {
  const router = Router();
  const tell = teller(hub);

  router.get('/', async (request, response) => {
    // Unchanged since the page last asked: nothing to send.
    response.set('Cache-Control', 'private, no-cache');
    response.json(await shelf.answer(parse(shelfQuerySchema, request.query, answersWords.search)));
  });

  router.post('/', async (request, response) => {
    const record = await store.create(parse(newFormulaSchema, request.body, answersWords.formula));
    if (!record) throw new ApiError('exists', answersWords.anotherFormulaAlreadyHasThis);
    tell(record.id);
    response.status(201).json(record);
  });

  router.get('/choices', async (_request, response) => {
    response.json(await shelf.choices());
  });

  router.get('/made', async (request, response) => {
    const { q } = parse(madeQuerySchema, request.query, answersWords.search);
    response.json(q.trim() === '' ? await store.made() : await store.madeNamed(q));
  });

  router.get('/:id', async (request, response) => {
    const record = await store.get(idOf(request));
    if (!record) throw missing();
    response.json(record);
  });

  router.post('/:id/changes', async (request, response) => {
    const outcome = await store.change(
      idOf(request),
      parse(changeRequestSchema, request.body, answersWords.change),
    );
    if (outcome.status === 'not-found') throw missing();
    if (outcome.status === 'circle') {
      throw new ApiError('circle', answersWords.thatFormulaIsMadeWith);
    }
    if (outcome.status === 'conflict') {
      throw new ApiError('conflict', answersWords.theSameFieldWasChanged, {
        conflicts: outcome.conflicts,
        record: outcome.record,
      });
    }
    tell(outcome.record.id);
    response.json(outcome.record);
  });

  router.post('/:id/shelf', async (request, response) => {
    const { shelf } = parse(shelfRequestSchema, request.body, answersWords.place);
    const record = await store.move(idOf(request), shelf);
    if (!record) throw missing();
    tell(record.id);
    response.json(record);
  });

  router.get('/:id/kin', async (request, response) => {
    const kin = await store.kin(idOf(request));
    if (!kin) throw missing();
    response.json(kin);
  });

  addVersionRoutes(router, store, tell);
  return router;
}

function addVersionRoutes(router: Router, store: FormulaStore, tell: (id: FormulaId) => void): void {
  router.get('/:id/versions', async (request, response) => {
    const id = idOf(request);
    if (!(await store.get(id))) throw missing();
    response.json(await store.versions(id));
  });

  router.post('/:id/versions', async (request, response) => {
    const { revision, note, by } = parse(freezeRequestSchema, request.body, answersWords.freeze);
    const outcome = await store.freeze(idOf(request), revision, note ?? '', by ?? NOBODY);
    switch (outcome.status) {
      case 'not-found':
        throw missing();
      case 'moved-on':
        throw new ApiError('conflict', answersWords.theFormulaHasMovedOn, {
          record: outcome.record,
        });
      case 'unchanged':
      case 'frozen': {
        const { status, ...answer } = outcome;
        tell(outcome.record.id);
        response.status(status === 'frozen' ? 201 : 200).json(answer);
      }
    }
  });
}
