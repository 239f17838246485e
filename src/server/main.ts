/** Starts a kitchen from the command line. The only reader of the environment and the only listener to signals. */
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { runningWords } from '#words/screens/running';
import { restoreFromFile, salvageToFile, saveToFile } from './backup/commandLine';
import { BackupError } from './backup/format';
import { inProcess } from './backup/inProcess';
import { DatabaseError } from './db/client';
import { simulatedInstruments } from './devices/simulated';
import { isPaper, PAPERS, printToFile } from './print/commandLine';
import { startKitchen, StartError, type RunningKitchen } from './start';

const here = dirname(fileURLToPath(import.meta.url));
const firstThatExists = (...folders: string[]): string => folders.find(existsSync) ?? folders[0]!;

async function main(): Promise<void> {
  // What a kitchen writes is for its own user alone.
  process.umask(0o077);
  const { values } = parseArgs({
    options: {
      data: { type: 'string' },
      demo: { type: 'boolean', default: false },
      dev: { type: 'boolean', default: false },
      save: { type: 'string' },
      salvage: { type: 'string' },
      restore: { type: 'string' },
      print: { type: 'string' },
      batch: { type: 'string' },
      out: { type: 'string' },
    },
  });
  const dataFolder = resolve(values.data ?? (values.demo ? 'data/demo' : 'data/kitchen'));
  // Beside the bundle when built, beside the source when run from it.
  const migrationsFolder = firstThatExists(join(here, 'migrations'), join(here, 'db/migrations'));
  const tls = readTls(process.env.TLS_CERT, process.env.TLS_KEY);
  const passcode = process.env.YGRANA_PASSCODE ? { passcode: process.env.YGRANA_PASSCODE } : {};
  const { DATABASE_URL } = process.env;
  const database = DATABASE_URL ? { databaseUrl: DATABASE_URL } : {};
  const now = (): Date => new Date();
  const at = { dataFolder, migrationsFolder, ...passcode, ...database, now };
  const [command] = [
    values.save !== undefined && (() => saveToFile(resolve(values.save!), at)),
    values.salvage !== undefined && (() => salvageToFile(resolve(values.salvage!), at)),
    values.restore !== undefined && (() => restoreFromFile(resolve(values.restore!), at)),
  ].filter((one) => one !== false);
  if (command) {
    console.log(await command());
    return;
  }
  if (values.print !== undefined) {
    if (!isPaper(values.print))
      throw new BackupError(runningWords.printIsNoPaperThere(values.print, PAPERS.join(', ')));
    if (!values.batch || !values.out) throw new BackupError(runningWords.sayWhichBatchAndInto);
    console.log(await printToFile(values.print, values.batch, resolve(values.out), at));
    return;
  }
  const began = Date.now();
  const port = readPort(process.env.PORT);
  const kitchen = await startKitchen({
    dataFolder,
    host: process.env.HOST || '127.0.0.1',
    port,
    extraHosts: (process.env.ALLOWED_HOSTS ?? '')
      .toLowerCase()
      .split(',')
      .map((name) => name.trim())
      .filter(Boolean),
    demo: values.demo,
    ...tls,
    ...passcode,
    ...database,
    // A simulated scale in a real kitchen would invent weights: only the demonstration has one.
    ...(values.demo ? { instruments: simulatedInstruments(Date.now() % 2 ** 31) } : {}),
    migrationsFolder,
    runJob: inProcess(backupWorker()),
    daily: process.env.YGRANA_BACKUPS ? { secondPlace: resolve(process.env.YGRANA_BACKUPS) } : {},
    proxies: readProxies(process.env.YGRANA_PROXIES),
    onLost: () => process.exit(1),
    ...(values.dev
      ? { webMiddleware: await devMiddleware() }
      : { webFolder: firstThatExists(join(here, 'web'), join(here, '../../dist/web')) }),
    say: (line) => {
      console.log(line);
    },
    now,
  });
  console.log(runningWords.isOpenAt(kitchen.address, ((Date.now() - began) / 1000).toFixed(1)));
  stopOnSignal(kitchen);
}

/** Both settings, or neither. */
function readTls(certFile: string | undefined, keyFile: string | undefined) {
  if (!certFile && !keyFile) return {};
  if (!certFile || !keyFile) throw new StartError(runningWords.tlsNeedsBoth);
  try {
    return { tls: { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') } };
  } catch (error) {
    throw new StartError(runningWords.tlsCannotBeUsed((error as Error).message));
  }
}

/** Beside the bundle when built; the source through the loader that runs this one when not. */
function backupWorker(): readonly string[] {
  const built = join(here, 'backupWorker.js');
  return existsSync(built) ? [built] : ['--import', 'tsx', join(here, 'backup/worker.ts')];
}

/** How many proxies stand before the kitchen. */
function readProxies(text: string | undefined): number {
  const proxies = Number(text || '0');
  if (!Number.isInteger(proxies) || proxies < 0 || proxies > 5)
    throw new StartError(runningWords.proxiesIsText(text ?? ''));
  return proxies;
}

function readPort(text: string | undefined): number {
  if (text === undefined || text === '') return 4173;
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new StartError(runningWords.portIsTextItMust(text));
  }
  return port;
}

/** Development: the interface straight from source, with live reload. */
async function devMiddleware() {
  const { createServer } = await import('vite');
  const vite = await createServer({ server: { middlewareMode: true }, appType: 'spa' });
  return vite.middlewares;
}

function stopOnSignal(kitchen: RunningKitchen): void {
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      kitchen.stop().then(
        () => process.exit(0),
        () => process.exit(1),
      );
    });
  }
}

main().catch((error: unknown) => {
  const told = [StartError, BackupError, DatabaseError].some((kind) => error instanceof kind);
  console.error(told ? (error as Error).message : error);
  process.exit(1);
});
