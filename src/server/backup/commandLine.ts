/** Backup and restore from the command line: by the running server where there is one, else on the folder itself. */
import { createWriteStream, existsSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { Restored } from '#contract';
import { runningWords } from '#words/screens/running';
import { openDatabase } from '../db/client';
import { databaseIn, exchange, finishExchange, layAside, workFolder } from '../folder/exchange';
import { lockFolder } from '../folder/lock';
import { askerFor, atKitchen, textOf, type CommandOptions } from './atKitchen';
import { BackupError } from './format';
import { doJob, secretsOf, type Secret } from './jobs';
import { asideFile, restoredOf } from './kitchenBackups';
import type { Left } from './salvage';
import { saveKitchen } from './save';

/** @returns what was done, as a sentence @throws BackupError with what is wrong */
export async function saveToFile(file: string, options: CommandOptions): Promise<string> {
  await atKitchen(
    options,
    async (ask) => {
      const part = `${file}.part`;
      await pipeline((await ask('GET', '/api/backup')).body, createWriteStream(part, { mode: 0o600 }));
      renameSync(part, file);
    },
    async (db) => {
      await saveKitchen(db, file, options.migrationsFolder, options.now());
    },
  );
  return runningWords.theKitchenWhereofIsSaved(whereOf(options), file, Math.ceil(statSync(file).size / 1024));
}

export async function restoreFromFile(file: string, options: CommandOptions): Promise<string> {
  if (!existsSync(file) || !statSync(file).isFile())
    throw new BackupError(runningWords.fileCannotBeReadName(file));
  const done =
    options.databaseUrl === undefined
      ? await restoreFolder(file, options)
      : await restoreOnServer(file, options);
  return runningWords.partOfMadeatIsRestored(
    done.kitchen || runningWords.theKitchen,
    done.madeAt.slice(0, 10),
    done.formulas,
    done.jars,
    done.batches,
    whatWas(done.asideFile),
  );
}

const whatWas = (aside: string): string => {
  if (aside === '') return runningWords.thereWasNothing;
  return aside.endsWith('.ygrana') ? runningWords.restoredBefore(aside) : runningWords.restoredButWas(aside);
};

/** What can be read of a damaged kitchen. */
export async function salvageToFile(file: string, options: CommandOptions): Promise<string> {
  const { dataFolder, databaseUrl, migrationsFolder, now } = options;
  if (databaseUrl !== undefined) throw new BackupError(runningWords.salvageNeedsFolder);
  const lock = lockFolder(dataFolder, runningWords.aBackup, now());
  if (lock.status === 'taken') throw new BackupError(runningWords.salvageNeedsClosed);
  try {
    const { rows, left } = await doJob(
      { job: 'salvage', folder: databaseIn(dataFolder), file, migrationsFolder, now: now().toISOString() },
      () => undefined,
    );
    const count = Object.values(rows).reduce((sum, n) => sum + n, 0);
    return left.length === 0
      ? runningWords.salvagedAll(file, count)
      : runningWords.salvagedSome(file, count, left.map(wordsOf).join('\n'));
  } finally {
    lock.release();
  }
}

function wordsOf({ table, page, id, why }: Left): string {
  if (page === null && id !== null) return runningWords.leftOrphan(table, id, why);
  if (id !== null) return runningWords.leftRow(table, id, why);
  return page === null ? runningWords.leftTable(table, why) : runningWords.leftPage(table, page, why);
}

async function restoreOnServer(file: string, options: CommandOptions): Promise<Restored> {
  const { dataFolder, databaseUrl, migrationsFolder, now } = options;
  const folder = workFolder(dataFolder, 'restore');
  try {
    const aside = asideFile(dataFolder, now());
    const common = { migrationsFolder, now: now().toISOString() };
    const built = await doJob(
      { job: 'restore-on-server', file, folder, url: databaseUrl!, asideFile: aside, ...common },
      () => undefined,
    );
    // The kitchens that are open on the same server look anew.
    const database = await openDatabase({ url: databaseUrl! }, migrationsFolder);
    await database.wire.send({ about: 'everything' });
    await database.close();
    return restoredOf(built, aside);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** By the kitchen that is open in the folder, or in it. */
async function restoreFolder(file: string, options: CommandOptions): Promise<Restored> {
  const { dataFolder, passcode, now } = options;
  const lock = lockFolder(dataFolder, runningWords.aBackup, now());
  if (lock.status === 'taken') {
    const ask = await askerFor(dataFolder, lock.owner, passcode);
    const { body } = await ask('POST', '/api/restore', file);
    return JSON.parse(await textOf(body)) as Restored;
  }
  try {
    return await exchangeClosed(file, options);
  } finally {
    lock.release();
  }
}

/** Also where what is there cannot be opened any more: then it is laid aside as it is. */
async function exchangeClosed(
  file: string,
  { dataFolder, migrationsFolder, now }: CommandOptions,
): Promise<Restored> {
  finishExchange(dataFolder);
  const folder = workFolder(dataFolder, 'restore');
  try {
    const common = { migrationsFolder, now: now().toISOString() };
    const own = await secretsIn(databaseIn(dataFolder), migrationsFolder);
    const built = await doJob({ job: 'build', file, folder, secrets: own, ...common }, () => undefined);
    const replaced = exchange(dataFolder, folder);
    if (replaced === null) return restoredOf(built, '');
    const aside = asideFile(dataFolder, now());
    try {
      await doJob(
        { job: 'save', from: { folder: join(replaced, 'db') }, file: aside, ...common },
        () => undefined,
      );
      rmSync(replaced, { recursive: true, force: true });
      return restoredOf(built, aside);
    } catch {
      return restoredOf(built, layAside(dataFolder, replaced));
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function secretsIn(folder: string, migrationsFolder: string): Promise<readonly Secret[]> {
  if (!existsSync(folder)) return [];
  try {
    const database = await openDatabase({ folder }, migrationsFolder);
    try {
      return await secretsOf(database.db);
    } finally {
      await database.close();
    }
  } catch {
    // Damaged: everybody signs in anew.
    return [];
  }
}

const whereOf = ({ dataFolder, databaseUrl }: CommandOptions): string =>
  databaseUrl === undefined ? runningWords.inDatafolder(dataFolder) : runningWords.onTheServerOfDatabase;
