import { Router } from 'express';
import { newAnswerSchema, newPanelSchema, trialIdSchema } from '#contract';
import { answerOf, cardsFor } from '#core/sensory';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { PanelStore } from './store';

export function panelRoutes(store: PanelStore): Router {
  const router = Router();

  router.get('/panels', async (_request, response) => {
    response.json(await store.all());
  });

  router.post('/panels', async (request, response) => {
    response.status(201).json(await store.begin(parse(newPanelSchema, request.body, answersWords.tasting)));
  });

  router.post('/panels/:id/answers', async (request, response) => {
    const id = parse(trialIdSchema, request.params.id, answersWords.tastingId);
    const answer = parse(newAnswerSchema, request.body, answersWords.answer);
    const panel = await store.get(id);
    if (!panel) throw new ApiError('not-found', answersWords.thereIsNoSuchTasting);
    const card = cardsFor(panel.kind, panel.tasters, panel.seed)[answer.taster - 1];
    if (!card || answerOf(card, answer.code) === null) {
      throw new ApiError('invalid', answersWords.tasterTasterHasNoSample(answer.taster, answer.code));
    }
    response.status(201).json(await store.answer(id, answer));
  });

  return router;
}
