import { Router } from 'express';
import { claimSchema, handSchema, tareSchema, trialIdSchema } from '#contract';
import type { Counter } from '../../devices/counter';
import { ApiError, parse } from '../../http/apiError';
import { openEventStream } from '../../http/eventStream';

/** The instruments at the counter: who has the scale, its readings as they come, its tare. */
export function deviceRoutes(counter: Counter): Router {
  const router = Router();

  router.get('/devices', (_request, response) => {
    response.json(counter.answer);
  });

  router.get('/devices/stream', (request, response) => {
    const { trial, screen } = request.query;
    const looker =
      trial === undefined
        ? null
        : {
            trialId: parse(trialIdSchema, trial, 'Jar id'),
            screenId: parse(trialIdSchema, screen, 'Screen'),
          };
    const stream = openEventStream(request, response, () => {
      leave();
    });
    const leave = counter.watch((frame) => {
      stream.send('frame', frame);
    }, looker);
  });

  router.post('/devices/scale/claim', (request, response) => {
    const { takeOver, ...claim } = parse(claimSchema, request.body, 'Claim');
    if (!counter.take(claim, takeOver)) {
      throw new ApiError(
        'claimed',
        `The scale is in use: ${counter.claim?.label ?? 'another jar'}. Wait, or take it over.`,
        counter.claim,
      );
    }
    response.json(counter.answer);
  });

  router.post('/devices/scale/release', (request, response) => {
    counter.release(parse(tareSchema, request.body, 'Release').trialId);
    response.json(counter.answer);
  });

  router.post('/devices/scale/tare', (request, response) => {
    const { trialId } = parse(tareSchema, request.body, 'Tare');
    switch (counter.tare(trialId)) {
      case 'done':
        response.json(counter.answer);
        return;
      case 'claimed':
        throw new ApiError('claimed', 'Another jar has the scale. Take it over first.', counter.claim);
      case 'no-instrument':
        throw new ApiError(
          'no-instrument',
          'The scale cannot be set to zero now: it is unplugged, or too much lies on it.',
        );
    }
  });

  router.post('/devices/hand', (request, response) => {
    if (!counter.byHand(parse(handSchema, request.body, 'Hand'))) {
      throw new ApiError('no-instrument', 'There are no simulated instruments here.');
    }
    response.json({ status: 'ok' });
  });

  return router;
}
