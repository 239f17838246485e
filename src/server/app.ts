import { KitchenId, sayKitchen } from './http/kitchenId';
import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type RequestHandler, type Router } from 'express';
import helmet from 'helmet';
import { openApiDocument } from '#contract';
import { API_WORDS } from '#words/api';
import { answersWords } from '#words/screens/answers';
import { runningWords } from '#words/screens/running';
import type { Database } from './db/client';
import { backupRoutes, type BackupsAtWork } from './features/backup/routes';
import { proofIn } from './folder/proof';
import { batchRoutes } from './features/batches/routes';
import { BatchStore } from './features/batches/store';
import { documentRoutes } from './features/documents/routes';
import { DocumentStore } from './features/documents/store';
import { formulaRoutes } from './features/formulas/routes';
import { ShelfBoard } from './features/formulas/shelf';
import { FormulaStore } from './features/formulas/store';
import { kitchenRoutes } from './features/kitchen/routes';
import { KitchenAtWork } from './features/kitchen/atWork';
import { KitchenStore } from './features/kitchen/store';
import { Counter, NO_INSTRUMENTS, type Instruments } from './devices/counter';
import { deviceRoutes } from './features/devices/routes';
import { measureRoutes } from './features/measures/routes';
import { MeasureStore } from './features/measures/store';
import { pictureRoutes } from './features/pictures/routes';
import { PictureStore } from './features/pictures/store';
import { panelRoutes } from './features/panels/routes';
import { PanelStore } from './features/panels/store';
import { printRoutes } from './features/print/routes';
import { recordRoutes } from './features/records/routes';
import { RecordStore } from './features/records/store';
import { serviceRoutes } from './features/service/routes';
import { sharedRoutes } from './features/changes/routes';
import { SharedStore } from './features/changes/store';
import { ServiceStore } from './features/service/store';
import { timerRoutes } from './features/timers/routes';
import { TimerStore } from './features/timers/store';
import type { Wire } from './db/wire';
import { LiveHub } from './live/hub';
import { liveRoutes } from './live/routes';
import { findRoutes } from './features/find/routes';
import { FindStore } from './features/find/store';
import { DiaryStore } from './features/trials/diary';
import { KitchenNewsStore } from './features/trials/news';
import { trialRoutes } from './features/trials/routes';
import { TrialStore } from './features/trials/store';
import { accessRoutes, requireAccess, type Access } from './http/access';
import { ApiError, handleErrors } from './http/apiError';
import { hostGuard, originGuard } from './http/guards';

export interface AppDependencies {
  readonly db: Database;
  readonly wire: Wire;
  readonly now: () => Date;
  /** Host names with port that requests may ask for. */
  readonly hosts: ReadonlySet<string>;
  /** Where the built interface lies; without it only the API answers. */
  readonly webFolder?: string;
  /** Serves the interface from source instead (development). */
  readonly webMiddleware?: RequestHandler;
  /** Asks every visitor for the passcode; null where only this machine is listened to. */
  readonly access: Access | null;
  readonly log: (error: unknown) => void;
  /** Left out: no backups over HTTP. */
  readonly backups?: BackupsAtWork;
  /** The kitchen's own, to prove that it is; left out: it has none. */
  readonly dataFolder?: string;
  /** How many proxies stand before it; what they say of the caller is believed. */
  readonly proxies?: number;
  /** What stands at the counter; left out: nothing, weights are typed. */
  readonly instruments?: Instruments;
}

const OWN_LIMIT = new Set(['/document', '/records']);

const contentSecurityPolicy = {
  useDefaults: false,
  directives: {
    'default-src': ["'self'"],
    'img-src': ["'self'", 'data:', 'blob:'],
    // What the camera sees, and a picture before it is sent.
    'media-src': ["'self'", 'blob:'],
    // Positions of popovers and dragged rows are set as inline styles.
    'style-src': ["'self'", "'unsafe-inline'"],
    'base-uri': ["'self'"],
    'form-action': ["'self'"],
    'frame-ancestors': ["'none'"],
    'object-src': ["'none'"],
  },
};

export function createApp(deps: AppDependencies): Express {
  const app = shell(deps);
  const api = express.Router();
  api.use(originGuard(deps.hosts));
  const small = express.json({ limit: '512kb' });
  // A document may hold a whole shelf, records years of jars: they have limits of their own.
  api.use((request, response, next) => {
    if (OWN_LIMIT.has(request.path)) next();
    else small(request, response, next);
  });
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  sayAbout(api, deps);
  const kitchenId = new KitchenId(deps.db);
  api.use(sayKitchen(kitchenId));
  api.use('/session', accessRoutes(deps.access));
  if (deps.access) api.use(requireAccess(deps.access));
  const formulas = new FormulaStore(deps.db, deps.now);
  const kitchen = new KitchenStore(deps.db, deps.now);
  const hub = new LiveHub(deps.wire);
  const measures = new MeasureStore(deps.db, deps.now);
  const atWork = new KitchenAtWork(deps.db, { kitchen, formulas, measures });
  const jars = new TrialStore(deps.db, deps.now);
  const provenAfter = async (): Promise<number> => (await kitchen.settings()).provenAfter;
  const shelf = new ShelfBoard(
    deps.db,
    () => atWork.now(),
    async (ids, untilMs) => jars.standingsOf(ids, await provenAfter(), untilMs),
  );
  shelf.readSoon();
  api.use('/formulas', formulaRoutes(formulas, shelf, hub));
  api.use(documentRoutes(new DocumentStore(deps.db, deps.now), hub));
  hub.listen(({ about }) => {
    if (about === 'everything') kitchenId.forget();
  });
  const shared = new SharedStore(deps.db, deps.now);
  api.use(kitchenRoutes(kitchen, shared, hub));
  api.use(sharedRoutes(shared, hub));
  const counter = new Counter(deps.instruments ?? NO_INSTRUMENTS, () => performance.now(), randomUUID());
  const { instruments } = counter.answer;
  const batches = new BatchStore(deps.db, deps.now, jars);
  api.use(batchRoutes(batches, hub, instruments));
  api.use(recordRoutes(new RecordStore(deps.db, jars, batches), hub));
  const news = new KitchenNewsStore(deps.db, jars, atWork, deps.now);
  const diary = new DiaryStore(deps.db, jars);
  api.use(trialRoutes(jars, news, diary, formulas, hub, instruments, provenAfter));
  api.use(findRoutes(new FindStore(deps.db, shelf)));
  api.use(timerRoutes(new TimerStore(deps.db, deps.now), hub));
  api.use(measureRoutes(measures, hub));
  api.use(panelRoutes(new PanelStore(deps.db, deps.now), hub));
  api.use(pictureRoutes(new PictureStore(deps.db, deps.now), hub));
  api.use(deviceRoutes(counter));
  api.use(serviceRoutes(new ServiceStore(deps.db, deps.now), shared, hub));
  api.use(printRoutes({ kitchen, formulas, batches }, shelf, atWork, deps.now));
  if (deps.backups) {
    api.use(
      backupRoutes(deps.backups, deps.now, () => {
        hub.tell({ about: 'everything' });
      }),
    );
  }
  api.use(liveRoutes(hub));
  api.use(() => {
    throw new ApiError('not-found', runningWords.thereIsNothingAtThis);
  });
  app.use('/api', api);

  if (deps.webMiddleware) app.use(deps.webMiddleware);
  else if (deps.webFolder) serveWeb(app, deps.webFolder);
  app.use(handleErrors(deps.log));
  return app;
}

/** What holds for every request. */
function shell(deps: AppDependencies): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', deps.proxies ?? 0);
  app.use(
    helmet({
      contentSecurityPolicy: deps.webMiddleware ? false : contentSecurityPolicy,
      // Plain HTTP on the machine itself: there is nothing to upgrade to.
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use(hostGuard(deps.hosts));
  return app;
}

/** What anybody may know. */
function sayAbout(api: Router, deps: AppDependencies): void {
  api.get('/health', (_request, response) => {
    response.json({ status: 'ok' });
  });
  api.get('/folder-proof/:name', (request, response) => {
    const sha256 = deps.dataFolder === undefined ? null : proofIn(deps.dataFolder, request.params.name);
    if (sha256 === null) throw new ApiError('not-found', answersWords.thereIsNoSuchProof);
    response.json({ sha256 });
  });
  api.get('/openapi.json', (_request, response) => {
    response.json(openApiDocument(API_WORDS));
  });
}

function serveWeb(app: Express, folder: string): void {
  const page = join(folder, 'index.html');
  if (!existsSync(page)) throw new Error(`No built interface in ${folder}. Run: npm run build`);
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y' }), () => {
    // Of a release that is gone: the page that asks for it says so and is loaded anew.
    throw new ApiError('not-found', runningWords.thereIsNothingAtThis);
  });
  app.use(express.static(folder, { index: false, maxAge: 0 }));
  app.get('/{*any}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: folder });
  });
}
