import { Router } from 'express';
import { newPictureSchema, PICTURE_LIMITS, trialIdSchema } from '#contract';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import type { LiveHub } from '../../live/hub';
import { cleanJpeg } from './jpeg';
import type { PictureStore } from './store';

/** Pictures of jars: taken in, shown, taken away. They never leave this server. */
export function pictureRoutes(store: PictureStore, hub: LiveHub): Router {
  const router = Router();

  router.get('/trials/:id/pictures', async (request, response) => {
    response.json(await store.ofTrial(parse(trialIdSchema, request.params.id, answersWords.jarId)));
  });

  router.post('/trials/:id/pictures', async (request, response) => {
    const trialId = parse(trialIdSchema, request.params.id, answersWords.jarId);
    const sent = parse(newPictureSchema, request.body, answersWords.picture);
    const file = cleanJpeg(Buffer.from(sent.jpeg, 'base64'), PICTURE_LIMITS.longEdgePx);
    if (typeof file === 'string') throw new ApiError('invalid', answersWords.pictureTroubles[file]);
    const outcome = await store.keep(trialId, sent, file);
    switch (outcome.status) {
      case 'kept':
        hub.tell({ about: 'trials', formulaId: outcome.formulaId });
        response.status(201).json(outcome.picture);
        return;
      case 'no-trial':
        throw new ApiError('not-found', answersWords.thisJarIsNotKnown);
      case 'id-taken':
        throw new ApiError('exists', answersWords.somethingElseAlreadyHasThisId);
      case 'full':
        throw new ApiError('too-large', answersWords.noRoomForPictures);
    }
  });

  router.get('/pictures/:id', async (request, response) => {
    const bytes = await store.bytesOf(parse(trialIdSchema, request.params.id, answersWords.picture));
    if (!bytes) throw new ApiError('not-found', answersWords.thereIsNoSuchPicture);
    // Whatever somebody managed to put there, it is drawn and nothing else.
    response.set({
      'Content-Type': 'image/jpeg',
      'Content-Security-Policy': "default-src 'none'; sandbox",
      'Cache-Control': 'private, max-age=86400',
    });
    response.send(bytes);
  });

  router.delete('/pictures/:id', async (request, response) => {
    const formulaId = await store.remove(parse(trialIdSchema, request.params.id, answersWords.picture));
    if (formulaId !== null) hub.tell({ about: 'trials', formulaId });
    response.json({ status: 'ok' });
  });

  return router;
}
