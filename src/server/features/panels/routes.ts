import { Router } from 'express';
import { newAnswerSchema, newPanelSchema, trialIdSchema } from '#contract';
import { answerOf, cardsFor } from '#core/sensory';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import type { PanelStore } from './store';

export function panelRoutes(store: PanelStore, hub: LiveHub): Router {
  const router = Router();
  const tell = (): void => {
    hub.tell({ about: 'kept', what: 'panels' });
  };

  router.get('/panels', async (_request, response) => {
    response.json(await store.all());
  });

  router.post('/panels', async (request, response) => {
    const panel = await store.begin(parse(newPanelSchema, request.body, answersWords.tasting));
    tell();
    response.status(201).json(panel);
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
    const answered = await store.answer(id, answer);
    tell();
    response.status(201).json(answered);
  });

  return router;
}
