import { Router, type Response } from 'express';
import { printLabelSchema, printSheetSchema, printStripSchema } from '#contract';
import { labelSizeOf } from '#core/paper';
import { parse } from '../../http/apiError';
import { printLabels } from '../../print/label';
import { printSheet } from '../../print/sheet';
import { printStrip } from '../../print/strip';

/** Paper as PDF, with its fonts in it. */
export function printRoutes(now: () => Date): Router {
  const router = Router();

  router.post('/print/label', async (request, response) => {
    const { size, copies, skip, words } = parse(printLabelSchema, request.body, 'Label');
    sendPdf(response, await printLabels(words, labelSizeOf(size)!, copies, skip, now()), 'label');
  });

  router.post('/print/sheet', async (request, response) => {
    sendPdf(response, await printSheet(parse(printSheetSchema, request.body, 'Sheet'), now()), 'sheet');
  });

  router.post('/print/strip', async (request, response) => {
    const { strip, words } = parse(printStripSchema, request.body, 'Jar strip');
    sendPdf(response, await printStrip(strip, words, now()), 'strip');
  });

  return router;
}

function sendPdf(response: Response, pdf: Buffer, name: string): void {
  response.type('application/pdf');
  response.set('Content-Disposition', `inline; filename="${name}.pdf"`);
  response.send(pdf);
}
