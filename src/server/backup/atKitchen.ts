/** Work on a kitchen from the command line: asked of the server that has it open, or done on the folder itself. */
import { createReadStream } from 'node:fs';
import type { ErrorBody } from '#contract';
import { runningWords } from '#words/screens/running';
import { openDatabase, type Database } from '../db/client';
import { databaseIn, finishExchange } from '../folder/exchange';
import { lockFolder, ownerOf, type LockOwner } from '../folder/lock';
import { ownsFolder } from '../folder/proof';
import { answerOf, type HttpAnswer } from './askServer';
import { BackupError } from './format';

export interface CommandOptions {
  readonly dataFolder: string;
  readonly migrationsFolder: string;
  /** The kitchen on a PostgreSQL server instead. */
  readonly databaseUrl?: string;
  /** Of a kitchen that asks for one. */
  readonly passcode?: string;
  readonly now: () => Date;
}

export type Ask = (method: 'GET' | 'POST', path: string, file?: string) => Promise<HttpAnswer>;

export async function atKitchen<T>(
  { dataFolder, databaseUrl, migrationsFolder, passcode, now }: CommandOptions,
  running: (ask: Ask) => Promise<T>,
  closed: (db: Database) => Promise<T>,
): Promise<T> {
  const inside = async (place: Parameters<typeof openDatabase>[0]): Promise<T> => {
    const database = await openDatabase(place, migrationsFolder);
    try {
      return await closed(database.db);
    } finally {
      await database.close();
    }
  };
  if (databaseUrl !== undefined) return inside({ url: databaseUrl });
  const lock = lockFolder(dataFolder, runningWords.aBackup, now());
  if (lock.status === 'taken') return running(await askerFor(dataFolder, lock.owner, passcode));
  try {
    finishExchange(dataFolder);
    return await inside({ folder: databaseIn(dataFolder) });
  } finally {
    lock.release();
  }
}

/** @throws BackupError where what answers at the note's address has not proved that it owns this folder */
export async function askerFor(
  dataFolder: string,
  taken: LockOwner,
  passcode: string | undefined,
): Promise<Ask> {
  const address = (ownerOf(dataFolder) ?? taken).address;
  if (!/^https?:/.test(address)) throw new BackupError(runningWords.takenByUnknown(dataFolder));
  const proven = await ownsFolder(dataFolder, async (name) => {
    const { status, body } = await answerOf(address, 'GET', `/api/folder-proof/${name}`, {});
    const text = await textOf(body);
    return status === 200 ? (JSON.parse(text) as { sha256: string }).sha256 : null;
  });
  if (!proven) throw new BackupError(runningWords.notProven(dataFolder, address));
  const cookie = passcode === undefined ? '' : await cookieFor(address, passcode);
  return async (method, path, file) => {
    const headers = {
      ...(file ? { 'content-type': 'application/gzip' } : {}),
      ...(cookie ? { cookie } : {}),
    };
    const body = file === undefined ? undefined : createReadStream(file);
    const answer = await answerOf(address, method, path, headers, body);
    if (answer.status < 300) return answer;
    const said = parsedOrNull(await textOf(answer.body)) as Partial<ErrorBody> | null;
    throw new BackupError(said?.error?.message ?? runningWords.theKitchenAtAddressGave(address));
  };
}

async function cookieFor(address: string, passcode: string): Promise<string> {
  const headers = { 'content-type': 'application/json' };
  const answer = await answerOf(address, 'POST', '/api/session', headers, JSON.stringify({ passcode }));
  answer.body.resume();
  return answer.cookies.map((line) => line.split(';')[0]).join('; ');
}

export async function bytesOf(body: HttpAnswer['body']): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of body) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}
export const textOf = async (body: HttpAnswer['body']): Promise<string> =>
  (await bytesOf(body)).toString('utf8');

function parsedOrNull(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
