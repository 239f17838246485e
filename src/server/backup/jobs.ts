/** The heavy work of backups, as jobs that a process of their own does. What they are told and answer goes as JSON. */
import { ne } from 'drizzle-orm';
import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { journalOf, openDatabase, type Database } from '../db/client';
import { secrets, settings } from '../db/schema';
import { KITCHEN_SECRET, renewKitchenId } from '../http/kitchenId';
import { buildFrom, type Built, type OnProgress } from './build';
import { exchangeOnServer } from './onServer';
import { salvage, type Salvaged } from './salvage';
import { saveKitchen, type Saved } from './save';

interface Common {
  readonly migrationsFolder: string;
  /** ISO 8601. */
  readonly now: string;
}
export interface SaveJob extends Common {
  readonly job: 'save';
  readonly from: { readonly folder: string } | { readonly url: string };
  readonly file: string;
}
export interface BuildJob extends Common {
  readonly job: 'build';
  readonly file: string;
  readonly folder: string;
  /** What belongs to the kitchen's machine and not to the backup. */
  readonly secrets: readonly Secret[];
}
export interface RestoreOnServerJob extends Common {
  readonly job: 'restore-on-server';
  readonly file: string;
  readonly folder: string;
  readonly url: string;
  readonly asideFile: string;
}
export interface SalvageJob extends Common {
  readonly job: 'salvage';
  readonly folder: string;
  readonly file: string;
}
export interface Secret {
  readonly name: string;
  readonly value: string;
}
export type Job = SaveJob | BuildJob | RestoreOnServerJob | SalvageJob;
export interface JobAnswers {
  readonly save: Saved;
  readonly build: Built;
  readonly 'restore-on-server': Built;
  readonly salvage: Salvaged;
}
export type Answer<J extends Job> = JobAnswers[J['job']];
/** Who does a job: this process, or one of its own. */
export type RunJob = <J extends Job>(job: J, onProgress: OnProgress) => Promise<Answer<J>>;

/** @throws BackupError where a file is refused, DatabaseError where a database cannot be opened */
export async function doJob<J extends Job>(job: J, onProgress: OnProgress): Promise<Answer<J>> {
  return (await run(job, onProgress)) as Answer<J>;
}

function run(job: Job, onProgress: OnProgress): Promise<JobAnswers[Job['job']]> {
  const now = new Date(job.now);
  switch (job.job) {
    case 'save':
      return opened(job.from, job.migrationsFolder, (db) =>
        saveKitchen(db, job.file, job.migrationsFolder, now),
      );
    case 'build':
      return build(job, onProgress);
    case 'restore-on-server':
      return restoreOnServer(job, now, onProgress);
    case 'salvage':
      return salvage(job.folder, job.file, now);
  }
}

async function opened<T>(
  place: Parameters<typeof openDatabase>[0],
  migrationsFolder: string,
  work: (db: Database) => Promise<T>,
): Promise<T> {
  const database = await openDatabase(place, migrationsFolder);
  try {
    return await work(database.db);
  } finally {
    await database.close();
  }
}

const build = (job: BuildJob, onProgress: OnProgress): Promise<Built> =>
  buildFrom(job.file, job.folder, job.migrationsFolder, onProgress, async (db) => {
    if (job.secrets.length > 0) await db.insert(secrets).values([...job.secrets]);
    await renewKitchenId(db);
  });

async function restoreOnServer(job: RestoreOnServerJob, now: Date, onProgress: OnProgress): Promise<Built> {
  const built = await buildFrom(job.file, job.folder, job.migrationsFolder, onProgress);
  onProgress({ stage: 'exchanging', rows: 0 });
  await opened({ folder: join(job.folder, 'db') }, job.migrationsFolder, (from) =>
    opened({ url: job.url }, job.migrationsFolder, async (db) => {
      mkdirSync(dirname(job.asideFile), { recursive: true, mode: 0o700 });
      await exchangeOnServer(db, from, {
        file: job.asideFile,
        header: {
          migrations: journalOf(job.migrationsFolder).entries.length,
          madeAt: now.toISOString(),
          kitchen: await kitchenName(db),
        },
      });
    }),
  );
  return built;
}

async function kitchenName(db: Database): Promise<string> {
  const [row] = await db.select().from(settings).limit(1);
  return row?.content.kitchenName ?? '';
}

/** All but which kitchen it is: a restored one is another. */
export const secretsOf = (db: Database): Promise<Secret[]> =>
  db.select().from(secrets).where(ne(secrets.name, KITCHEN_SECRET));
