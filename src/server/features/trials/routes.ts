import { Router } from 'express';
import {
  formulaIdSchema,
  jarsQuerySchema,
  logQuerySchema,
  newEventSchema,
  newTrialSchema,
  trialIdSchema,
} from '#contract';
import type { z } from 'zod';
import type { freezeContentSchema, InstrumentInfo, NewTrial } from '#contract';
import type { TrialEvent } from '#core/trial';
import { answersWords } from '#words/screens/answers';
import { ApiError, parse } from '../../http/apiError';
import { vouchedReading } from '../../http/vouched';
import type { LiveHub } from '../../live/hub';
import type { FormulaStore } from '../formulas/store';
import type { TrialOutcome, TrialStore } from './store';
import type { DiaryStore } from './diary';
import type { KitchenNewsStore } from './news';

/** Jars of the whole kitchen that are sent at once. */
const LISTED = 30;

/** Jars: begun from a version, made, tasted and mended. */
export function trialRoutes(
  store: TrialStore,
  news: KitchenNewsStore,
  diary: DiaryStore,
  formulas: FormulaStore,
  hub: LiveHub,
  instruments: readonly InstrumentInfo[],
  provenAfter: () => Promise<number>,
): Router {
  const router = Router();
  const frozen = async (
    { formulaId, by }: Pick<NewTrial, 'formulaId' | 'by'>,
    { formula, note }: z.output<typeof freezeContentSchema>,
  ): Promise<number> => {
    const number = await formulas.freezeContent(formulaId, formula, note, by);
    if (number === null) throw new ApiError('not-found', answersWords.thisFormulaIsNotOnThe);
    hub.tell({ about: 'formula', id: formulaId });
    return number;
  };

  router.get('/formulas/:id/trials', async (request, response) => {
    response.json(await store.ofFormula(parse(formulaIdSchema, request.params.id, answersWords.formulaId)));
  });

  router.get('/log', async (request, response) => {
    response.json(await store.log(parse(logQuerySchema, request.query, answersWords.search)));
  });

  router.get('/log/jars', async (request, response) => {
    response.json(await diary.page(parse(jarsQuerySchema, request.query, answersWords.search)));
  });

  router.get('/log/times', async (request, response) => {
    const query = parse(jarsQuerySchema.omit({ before: true }), request.query, answersWords.search);
    response.json(await diary.times(query));
  });

  router.get('/formulas/:id/standings', async (request, response) => {
    const id = parse(formulaIdSchema, request.params.id, answersWords.formulaId);
    response.json((await store.standingsOf([id], await provenAfter())).get(id) ?? {});
  });

  router.get('/log/news', async (_request, response) => {
    response.json(await news.news());
  });

  router.get('/log/said', async (_request, response) => {
    response.json(await news.said());
  });

  router.get('/log/lessons', async (_request, response) => {
    response.json(await news.lessons());
  });

  router.get('/trials', async (_request, response) => {
    response.json(await store.latest(LISTED));
  });

  router.post('/trials', async (request, response) => {
    const { freeze, ...jar } = parse(newTrialSchema, request.body, answersWords.jar);
    // Sent again after an answer was lost: what it was made from is settled.
    const known = freeze && (await store.get(jar.id));
    const version = known ? known.version : (jar.version ?? (await frozen(jar, freeze!)));
    const trial = recorded(await store.begin({ ...jar, version }));
    hub.tell({ about: 'trials', formulaId: trial.formulaId });
    response.status(201).json(trial);
  });

  router.post('/trials/:id/events', async (request, response) => {
    const id = parse(trialIdSchema, request.params.id, answersWords.jarId);
    const sent = parse(newEventSchema, request.body, answersWords.event);
    const trial = recorded(await store.append(id, { ...sent, event: vouched(sent.event, instruments) }));
    hub.tell({ about: 'trials', formulaId: trial.formulaId });
    response.status(201).json(trial);
  });

  return router;
}

function recorded(outcome: TrialOutcome) {
  switch (outcome.status) {
    case 'recorded':
      return outcome.trial;
    case 'no-version':
      throw new ApiError('not-found', answersWords.thereIsNoSuchVersionTo);
    case 'no-trial':
      throw new ApiError('not-found', answersWords.thisJarIsNotKnown);
    case 'id-taken':
      throw new ApiError('exists', answersWords.somethingElseAlreadyHasThisId);
  }
}

function vouched(event: TrialEvent, instruments: readonly InstrumentInfo[]): TrialEvent {
  if (event.kind !== 'took' && event.kind !== 'measured') return event;
  return { ...event, reading: vouchedReading(event.reading, instruments) };
}
