/** Backup and restore from the command line: by the running server where there is one, else on the folder itself. */
import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ErrorBody, Restored } from '#contract';
import { runningWords } from '#words/screens/running';
import { openDatabase } from '../db/client';
import type { Wire } from '../db/wire';
import { lockFolder } from '../db/folderLock';
import { BackupError } from './format';
import { restoreKitchen, saveKitchen } from './kitchenBackup';

export interface CommandOptions {
  readonly dataFolder: string;
  readonly migrationsFolder: string;
  /** The kitchen on a PostgreSQL server instead. */
  readonly databaseUrl?: string;
  /** Of a kitchen that asks for one. */
  readonly passcode?: string;
  readonly now: () => Date;
}

/** @returns what was done, as a sentence @throws BackupError with what is wrong */
export async function saveToFile(file: string, options: CommandOptions): Promise<string> {
  const bytes = await atKitchen(
    options,
    async (ask) => Buffer.from(await (await ask('GET', '/api/backup')).arrayBuffer()),
    (db, place) => saveKitchen(db, place, options.now()),
  );
  writeFileSync(`${file}.part`, bytes);
  renameSync(`${file}.part`, file);
  return runningWords.theKitchenWhereofIsSaved(whereOf(options), file, Math.ceil(bytes.length / 1024));
}

export async function restoreFromFile(file: string, options: CommandOptions): Promise<string> {
  let bytes: Buffer;
  try {
    bytes = readFileSync(file);
  } catch {
    throw new BackupError(runningWords.fileCannotBeReadName(file));
  }
  const done = await atKitchen(
    options,
    async (ask) => (await (await ask('POST', '/api/restore', bytes)).json()) as Restored,
    async (db, place, wire) => {
      const restored = await restoreKitchen(db, place, bytes, options.now());
      // The kitchens that are open on the same server look anew.
      await wire.send({ about: 'everything' });
      return restored;
    },
  );
  return runningWords.partOfMadeatIsRestored(
    done.kitchen || runningWords.theKitchen,
    done.madeAt.slice(0, 10),
    done.formulas,
    done.jars,
    done.batches,
    done.asideFile,
  );
}

const whereOf = ({ dataFolder, databaseUrl }: CommandOptions): string =>
  databaseUrl === undefined ? runningWords.inDatafolder(dataFolder) : runningWords.onTheServerOfDatabase;

type Ask = (method: 'GET' | 'POST', path: string, body?: Buffer) => Promise<Response>;
type Place = Parameters<typeof saveKitchen>[1];
type Db = Parameters<typeof saveKitchen>[0];

export async function atKitchen<T>(
  { dataFolder, databaseUrl, migrationsFolder, passcode, now }: CommandOptions,
  running: (ask: Ask) => Promise<T>,
  closed: (db: Db, place: Place, wire: Wire) => Promise<T>,
): Promise<T> {
  const place = { migrationsFolder, asideFolder: join(dataFolder, 'aside') };
  if (databaseUrl !== undefined) {
    const database = await openDatabase({ url: databaseUrl }, migrationsFolder);
    try {
      return await closed(database.db, place, database.wire);
    } finally {
      await database.close();
    }
  }
  const lock = lockFolder(dataFolder, runningWords.aBackup, now());
  if (lock.status === 'taken')
    return running(asker(lock.owner.address, await cookieFor(lock.owner.address, passcode)));
  try {
    const database = await openDatabase({ folder: join(dataFolder, 'db') }, migrationsFolder);
    try {
      return await closed(database.db, place, database.wire);
    } finally {
      await database.close();
    }
  } finally {
    lock.release();
  }
}

const asker =
  (address: string, cookie: string): Ask =>
  async (method, path, body) => {
    const response = await fetch(address + path, {
      method,
      headers: {
        origin: address,
        ...(body ? { 'content-type': 'application/gzip' } : {}),
        ...(cookie ? { cookie } : {}),
      },
      ...(body ? { body: new Uint8Array(body) } : {}),
    });
    if (response.ok) return response;
    const said = (await response.json().catch(() => null)) as Partial<ErrorBody> | null;
    throw new BackupError(said?.error?.message ?? runningWords.theKitchenAtAddressGave(address));
  };

async function cookieFor(address: string, passcode: string | undefined): Promise<string> {
  if (passcode === undefined) return '';
  const response = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { origin: address, 'content-type': 'application/json' },
    body: JSON.stringify({ passcode }),
  });
  return response.headers
    .getSetCookie()
    .map((line) => line.split(';')[0])
    .join('; ');
}
