import { Router, type Request, type Response } from 'express';
import {
  daySchema,
  jarLabelQuerySchema,
  labelQuerySchema,
  shelfQuerySchema,
  printSheetSchema,
  printStripSchema,
  readerQuerySchema,
  trialIdSchema,
  type BatchRecord,
} from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import { BatchPaper, type PaperStores } from '../../print/batchPaper';
import { labelSizeOf } from '#core/paper';
import { jarLabelOf } from '#kitchen/paper';
import { inTongue } from '../../print/inTongue';
import { printEach } from '../../print/label';
import { printSheet } from '../../print/sheet';
import type { ShelfBoard } from '../formulas/shelf';
import type { KitchenAtWork } from '../kitchen/atWork';
import { printStrip } from '../../print/strip';

const PLAIN_SHELF = shelfQuerySchema.parse({});

/** Paper as PDF, with its fonts in it. */
export function printRoutes(
  stores: PaperStores,
  shelf: Pick<ShelfBoard, 'answer'>,
  atWork: KitchenAtWork,
  now: () => Date,
): Router {
  const router = Router();
  const paper = new BatchPaper(stores, now);
  const batchOf = async (request: Request): Promise<BatchRecord> => {
    const batch = await stores.batches.get(parse(trialIdSchema, request.params.id, answersWords.batchId));
    if (!batch) throw new ApiError('not-found', answersWords.thereIsNoSuchBatch);
    return batch;
  };

  router.get('/print/batches/:id/sheet', async (request, response) => {
    const reader = parse(readerQuerySchema, request.query, answersWords.reader);
    sendPdf(response, await paper.sheet(await batchOf(request), reader), 'sheet');
  });

  router.get('/print/batches/:id/labels', async (request, response) => {
    const { language, timeZone, ...ask } = parse(labelQuerySchema, request.query, answersWords.labels);
    sendPdf(response, await paper.labels(await batchOf(request), ask, { language, timeZone }), 'label');
  });

  router.get('/print/batches/:id/pull-list', async (request, response) => {
    const reader = parse(readerQuerySchema, request.query, answersWords.reader);
    sendPdf(response, await paper.pullList(await batchOf(request), reader), 'pull-list');
  });

  router.get('/print/days/:day/pull-list', async (request, response) => {
    const reader = parse(readerQuerySchema, request.query, answersWords.reader);
    const day = parse(daySchema, request.params.day, answersWords.day);
    const open = (await stores.batches.ofDay(day)).filter(({ state }) => OPEN.has(state));
    sendPdf(response, await paper.pullListOfDay(day, open, reader), 'pull-list');
  });

  router.get('/print/labels', async (request, response) => {
    const { language, timeZone, formulas, size, copies, skip, tongue } = parse(
      jarLabelQuerySchema,
      request.query,
      answersWords.labels,
    );
    const reader = { language, timeZone };
    const { records } = await shelf.answer({ ...PLAIN_SHELF, ids: formulas });
    if (records.length === 0) throw new ApiError('not-found', answersWords.thisFormulaIsNotOn);
    const { kitchen } = await atWork.now();
    const at = now();
    const pdf = inTongue(tongue, () => {
      const each = records.flatMap((record) =>
        Array.from({ length: copies }, () => jarLabelOf(record, kitchen, at, reader)),
      );
      return printEach(each, labelSizeOf(size)!, skip, at);
    });
    sendPdf(response, await pdf, 'labels');
  });

  // A formula is printed as it stands on the screen that asks, unsent changes included.
  router.post('/print/sheet', async (request, response) => {
    sendPdf(
      response,
      await printSheet(parse(printSheetSchema, request.body, answersWords.sheet), now()),
      'sheet',
    );
  });

  router.post('/print/strip', async (request, response) => {
    const { strip, words } = parse(printStripSchema, request.body, answersWords.jarStrip);
    sendPdf(response, await printStrip(strip, words, now()), 'strip');
  });

  return router;
}

/** Still to be weighed out. */
const OPEN: ReadonlySet<BatchRecord['state']> = new Set<BatchRecord['state']>(['planned', 'weighing']);

function sendPdf(response: Response, pdf: Buffer, name: string): void {
  response.type('application/pdf');
  response.set('Content-Disposition', `inline; filename="${name}.pdf"`);
  response.send(pdf);
}
