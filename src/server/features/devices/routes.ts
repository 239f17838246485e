import { Router } from 'express';
import { claimSchema, handSchema, tareSchema, trialIdSchema } from '#contract';
import { answersWords } from '#words/screens/answers';
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
            trialId: parse(trialIdSchema, trial, answersWords.jarId),
            screenId: parse(trialIdSchema, screen, answersWords.screen),
          };
    const stream = openEventStream(request, response, () => {
      leave();
    });
    const leave = counter.watch((frame) => {
      stream.send('frame', frame);
    }, looker);
  });

  router.post('/devices/scale/claim', (request, response) => {
    const { takeOver, ...claim } = parse(claimSchema, request.body, answersWords.claim);
    if (!counter.take(claim, takeOver)) {
      throw new ApiError(
        'claimed',
        answersWords.theScaleIsInUse(counter.claim?.label ?? answersWords.anotherJar),
        counter.claim,
      );
    }
    response.json(counter.answer);
  });

  router.post('/devices/scale/release', (request, response) => {
    counter.release(parse(tareSchema, request.body, answersWords.release).trialId);
    response.json(counter.answer);
  });

  router.post('/devices/scale/tare', (request, response) => {
    const { trialId } = parse(tareSchema, request.body, answersWords.tare);
    switch (counter.tare(trialId)) {
      case 'done':
        response.json(counter.answer);
        return;
      case 'claimed':
        throw new ApiError('claimed', answersWords.anotherJarHasTheScale, counter.claim);
      case 'no-instrument':
        throw new ApiError('no-instrument', answersWords.theScaleCannotBeSet);
    }
  });

  router.post('/devices/hand', (request, response) => {
    if (!counter.byHand(parse(handSchema, request.body, answersWords.hand))) {
      throw new ApiError('no-instrument', answersWords.thereAreNoSimulatedInstruments);
    }
    response.json({ status: 'ok' });
  });

  return router;
}
