/** Who may talk to the kitchen: only pages it served itself, under the names it was started with. */
import type { RequestHandler } from 'express';
import { answersWords } from '#words/screens/answers';
import { ApiError } from './apiError';

const SAFE_METHODS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Refuses requests for another host: a page elsewhere must not reach the kitchen by renaming an address. */
export const hostGuard =
  (hosts: ReadonlySet<string>): RequestHandler =>
  (request, _response, next) => {
    // Behind a proxy that is believed, the name that it was asked for.
    if (!hosts.has((request.host ?? '').toLowerCase())) {
      throw new ApiError('wrong-host', answersWords.thisAddressIsNotOne);
    }
    next();
  };

/** Changes come only from our own pages, as JSON. */
export const originGuard =
  (hosts: ReadonlySet<string>): RequestHandler =>
  (request, _response, next) => {
    if (SAFE_METHODS.has(request.method)) {
      next();
      return;
    }
    const origin = request.headers.origin;
    const host = origin && URL.canParse(origin) ? new URL(origin).host.toLowerCase() : null;
    if (host === null || !hosts.has(host)) {
      throw new ApiError('wrong-origin', answersWords.changesAreTakenOnlyFrom);
    }
    // A backup is the one thing that is no JSON; a form of another page can send neither.
    if (!request.is(['application/json', 'application/gzip'])) {
      throw new ApiError('not-json', answersWords.sendTheRequestAsApplication);
    }
    next();
  };
