import { Router } from 'express';
import { openEventStream } from '../http/eventStream';
import type { LiveHub } from './hub';

export function liveRoutes(hub: LiveHub): Router {
  const router = Router();
  router.get('/live', (request, response) => {
    const stream = openEventStream(request, response, () => {
      leave();
    });
    const leave = hub.listen((news) => {
      stream.send('news', news);
    });
  });
  return router;
}
