/** Opens a kitchen's data folder and listens; everything that must be undone at the end is undone by `stop`. */
import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { networkInterfaces } from 'node:os';
import type { RequestHandler } from 'express';
import { runningWords } from '#words/screens/running';
import { createApp } from './app';
import { Access, sessionSecret } from './http/access';
import { DamagedError, openDatabase, type Database, type OpenDatabase } from './db/client';
import { KitchenBackups } from './backup/kitchenBackups';
import { BackupKeeper } from './backup/keeper';
import type { RunJob } from './backup/jobs';
import { bringBackWords } from './backup/bringBack';
import { KitchenClock } from './folder/clock';
import { clearWork, databaseIn, finishExchange } from './folder/exchange';
import { BEAT_MS, lockFolder, type FolderLock, type LockOwner } from './folder/lock';
import { closeToOthers } from './folder/modes';
import { loadBatches } from './demo/demoBatches';
import { loadJars } from './demo/demoJars';
import { dayHere, longAgo } from './demo/demoClock';
import { loadPlans } from './demo/demoPlans';
import { BatchStore } from './features/batches/store';
import { loadDemo } from './demo/loadDemo';
import type { Instruments } from './devices/counter';
import { FormulaStore } from './features/formulas/store';
import { KitchenStore } from './features/kitchen/store';
import { SharedStore } from './features/changes/store';
import { TrialStore } from './features/trials/store';

export interface StartOptions {
  readonly dataFolder: string;
  /** A PostgreSQL server that several processes may share; left out: the embedded one in the folder. */
  readonly databaseUrl?: string;
  readonly host: string;
  readonly port: number;
  /** Further names the kitchen answers to, with port where it differs. */
  readonly extraHosts: readonly string[];
  readonly demo: boolean;
  readonly migrationsFolder: string;
  readonly webFolder?: string;
  readonly webMiddleware?: RequestHandler;
  /** A certificate and its key, as PEM: devices keep the program only from a secure address. */
  readonly tls?: { readonly cert: string; readonly key: string };
  /** Needed to listen beyond this machine. */
  readonly passcode?: string;
  /** What stands at the counter; left out: nothing. */
  readonly instruments?: Instruments;
  /** What does the heavy work of backups. */
  readonly runJob: RunJob;
  /** A backup a day without being asked, and the bin emptied behind it; left out: none. */
  readonly daily?: {
    /** A second place for them, best on another disk. */
    readonly secondPlace?: string;
  };
  /** How many proxies stand before the kitchen; left out: none. */
  readonly proxies?: number;
  /** The folder was taken by another: this kitchen has stopped. */
  readonly onLost?: () => void;
  readonly say: (line: string) => void;
  readonly now: () => Date;
}

export interface RunningKitchen {
  readonly address: string;
  /** Does what is due of backups at once; null: they are not asked for. */
  readonly tend: (() => Promise<void>) | null;
  readonly stop: () => Promise<void>;
}

const SHORTEST_PASSCODE = 8;
/** Longer than a reverse proxy keeps an idle connection, or it would now and then use one that is just being closed. */
const KEPT_OPEN_MS = 75_000;

/** Something a person can mend, told in one sentence. */
export class StartError extends Error {}

export async function startKitchen(options: StartOptions): Promise<RunningKitchen> {
  const { host } = options;
  if (!isLoopback(host) && !options.passcode) {
    throw new StartError(runningWords.hostIsHostOthersOn(host, host));
  }
  if (options.passcode && options.passcode.length < SHORTEST_PASSCODE) {
    throw new StartError(runningWords.ygranaPasscodeIsTooShort(SHORTEST_PASSCODE));
  }
  const shownHost = host.includes(':') ? `[${host}]` : host;
  const server = serverFor(options);
  server.keepAliveTimeout = KEPT_OPEN_MS;
  const port = await listen(server, options);
  const address = `${options.tls ? 'https' : 'http'}://${shownHost}:${port}`;
  const undo: Undo = [() => closeServer(server)];
  const stop = async (): Promise<void> => {
    for (const step of undo.splice(0).reverse()) await step();
  };
  try {
    const database = await open(options, address, undo, stop);
    await database.alone(() => furnish(database.db, options));
    const access = options.passcode
      ? new Access(options.passcode, await sessionSecret(database.db), options.now, database.db)
      : null;
    const backups = new KitchenBackups(database, options, options.now);
    undo.push(() => backups.settled());
    const keeper = keeperOf(options, backups, database.db);
    if (options.daily) {
      keeper.start();
      undo.push(() => keeper.stop());
    }
    const app = createApp({
      access,
      db: database.db,
      wire: database.wire,
      now: options.now,
      hosts: hostNames(host, port, options.extraHosts),
      log: (error) => console.error(error),
      dataFolder: options.dataFolder,
      backups: {
        save: (file) => backups.save(file),
        restore: (file, onProgress) => backups.restore(file, onProgress),
        temporary: (name) => backups.temporary(name),
        state: () => keeper.state,
      },
      ...(options.proxies === undefined ? {} : { proxies: options.proxies }),
      ...(options.instruments ? { instruments: options.instruments } : {}),
      ...(options.webFolder ? { webFolder: options.webFolder } : {}),
      ...(options.webMiddleware ? { webMiddleware: options.webMiddleware } : {}),
    });
    server.removeAllListeners('request');
    server.on('request', app);
    return { address, stop, tend: options.daily ? () => keeper.tend() : null };
  } catch (error) {
    await stop();
    throw error;
  }
}

/** @throws StartError where the certificate and its key cannot be used */
function serverFor({ tls }: StartOptions): Server {
  if (!tls) return createServer();
  try {
    return createSecureServer({ cert: tls.cert, key: tls.key, minVersion: 'TLSv1.2' });
  } catch (error) {
    throw new StartError(runningWords.tlsCannotBeUsed((error as Error).message));
  }
}

type Undo = (() => Promise<void> | void)[];

/** A folder has one owner; a server may have many. */
async function open(
  options: StartOptions,
  address: string,
  undo: Undo,
  stop: () => Promise<void>,
): Promise<OpenDatabase> {
  const { dataFolder, databaseUrl, migrationsFolder, say } = options;
  if (databaseUrl === undefined) {
    const lock = lockFolder(dataFolder, address, options.now());
    if (lock.status === 'taken') throw new StartError(takenWords(dataFolder, lock.owner));
    undo.push(beating(lock, options, stop));
    if (lock.heldBy === 'note') say(runningWords.noSystemLock);
    finishExchange(dataFolder);
    for (const folder of clearWork(dataFolder)) say(runningWords.laidAside(folder));
    closeToOthers(dataFolder);
    say(runningWords.openingTheKitchenInDatafolder(dataFolder));
  } else say(runningWords.openingTheKitchenOnThe);
  const place = databaseUrl === undefined ? { folder: databaseIn(dataFolder) } : { url: databaseUrl };
  try {
    const database = await openDatabase(place, migrationsFolder);
    undo.push(database.close);
    // The engine makes its files as it likes.
    closeToOthers(dataFolder);
    return database;
  } catch (error) {
    if (!(error instanceof DamagedError)) throw error;
    throw new StartError(`${error.message} ${await bringBackWords(dataFolder, options.daily?.secondPlace)}`);
  }
}

const takenWords = (dataFolder: string, { pid, address, since }: LockOwner): string =>
  pid === 0
    ? runningWords.takenByUnknown(dataFolder)
    : runningWords.theKitchenInDatafolderIs(dataFolder, pid, address, since);

/** The note is renewed while the kitchen is open; whoever finds the folder taken stops at once. */
function beating(
  lock: FolderLock,
  { now, say, onLost }: StartOptions,
  stop: () => Promise<void>,
): () => void {
  const timer = setInterval(() => {
    if (lock.beat(now())) return;
    clearInterval(timer);
    say(runningWords.folderLost);
    void stop().finally(() => onLost?.());
  }, BEAT_MS).unref();
  return () => {
    clearInterval(timer);
    lock.release();
  };
}

function keeperOf(
  { dataFolder, daily, now, say }: StartOptions,
  backups: KitchenBackups,
  db: Database,
): BackupKeeper {
  const clock = new KitchenClock(dataFolder, now, () => performance.now());
  if (clock.jumpedDays !== null) say(runningWords.clockJumped(clock.jumpedDays));
  const secondPlace = daily?.secondPlace;
  return new BackupKeeper({
    dataFolder,
    ...(secondPlace === undefined ? {} : { secondPlace }),
    save: (file) => backups.save(file),
    clock,
    emptyBin: (savedAt) => new FormulaStore(db, now).emptyBin(savedAt),
    now,
    say,
  });
}

/** What a kitchen has from the first day on. */
async function furnish(db: Database, options: StartOptions): Promise<void> {
  await new KitchenStore(db, options.now).addStartingVessels();
  if (!options.demo) return;
  // All of the demo or nothing of it: a kill in the middle leaves none that looks filled.
  const loaded = await db.transaction((tx) => fillDemo(tx, options.now));
  if (loaded > 0) options.say(runningWords.putLoadedFormulasOnThe(loaded));
}

async function fillDemo(db: Database, now: () => Date): Promise<number> {
  const shared = new SharedStore(db, now);
  const today = dayHere(now());
  const loaded = await loadDemo(new FormulaStore(db, longAgo(now())), shared);
  if (loaded === 0) {
    // A demo that was opened before has a day of its own today, too, as long as nobody planned it.
    await loadPlans(shared, today, true);
    return 0;
  }
  await loadJars((at) => new TrialStore(db, () => at), now());
  await loadBatches((at) => {
    const jars = new TrialStore(db, () => at);
    return { jars, batches: new BatchStore(db, () => at, jars) };
  }, now());
  await loadPlans(shared, today);
  return loaded;
}

/** The port is taken before the folder, so that a taken port costs nothing; until the app is there, callers are asked to wait. */
function listen(server: Server, { host, port }: StartOptions): Promise<number> {
  server.on('request', (_request, response) => {
    response.writeHead(503, { 'Content-Type': 'text/plain', 'Retry-After': '2' });
    response.end(runningWords.theKitchenIsOpeningTry);
  });
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      reject(
        error.code === 'EADDRINUSE'
          ? new StartError(runningWords.portPortOnHostIs(port, host, port + 1))
          : new StartError(runningWords.cannotListenOnHostPort(host, port, error.message)),
      );
    });
    server.listen(port, host, () => {
      const address = server.address();
      resolve(typeof address === 'object' && address ? address.port : port);
    });
  });
}

function closeServer(server: Server): Promise<void> {
  return new Promise((resolve) => {
    server.close(() => {
      resolve();
    });
    server.closeAllConnections();
  });
}

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];
const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || /^127(?:\.\d{1,3}){3}$/.test(host);

/** Listening on every address, the kitchen answers to each the machine has. */
function ownAddresses(host: string): readonly string[] {
  if (host !== '0.0.0.0' && host !== '::') return [];
  const all = Object.values(networkInterfaces()).flat();
  return all.flatMap((entry) => {
    if (!entry) return [];
    return [entry.family === 'IPv6' ? `[${entry.address}]` : entry.address];
  });
}

function hostNames(host: string, port: number, extra: readonly string[]): ReadonlySet<string> {
  const names = [...LOOPBACK, host.includes(':') ? `[${host}]` : host, ...ownAddresses(host)];
  return new Set([...names.map((name) => `${name}:${port}`), ...names.filter(() => port === 80), ...extra]);
}
