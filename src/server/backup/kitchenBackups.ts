/**
 * Backups of a kitchen that is open: each is made by a process of its own, from a copy of the files or on the
 * server, so that nobody at work waits for it. Restoring builds beside, then exchanges.
 */
import { mkdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Restored } from '#contract';
import type { OpenDatabase } from '../db/client';
import { asideIn, exchange, layAside, workFolder } from '../folder/exchange';
import type { Built, OnProgress } from './build';
import { secretsOf, type RunJob } from './jobs';
import type { Saved } from './save';

export interface BackupPlace {
  readonly dataFolder: string;
  readonly migrationsFolder: string;
  /** Left out: the kitchen lies in the folder. */
  readonly databaseUrl?: string;
  readonly runJob: RunJob;
}

/** A thousand files: not at once, or every answer would wait. */
const drop = (folder: string): Promise<void> => rm(folder, { recursive: true, force: true });

const UNHEARD: OnProgress = () => undefined;

export class KitchenBackups {
  /** What was replaced is made a backup of behind the answer: nobody waits for it. */
  private layingAside: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly database: OpenDatabase,
    private readonly place: BackupPlace,
    private readonly now: () => Date,
  ) {}

  /** A file for what goes out at once; thrown away by who asked, at the latest at the next start. */
  temporary(name: string): { readonly file: string; readonly drop: () => Promise<void> } {
    const folder = workFolder(this.place.dataFolder, name);
    return {
      file: join(folder, 'kitchen.ygrana'),
      drop: () => drop(folder),
    };
  }

  /** @returns what was written and read again @throws BackupError */
  async save(file: string): Promise<Saved> {
    const { databaseUrl, runJob } = this.place;
    if (databaseUrl !== undefined)
      return runJob({ job: 'save', from: { url: databaseUrl }, file, ...this.common() }, UNHEARD);
    const folder = workFolder(this.place.dataFolder, 'copy');
    try {
      const copy = join(folder, 'db');
      await this.database.embedded!.copyTo(copy);
      return await runJob({ job: 'save', from: { folder: copy }, file, ...this.common() }, UNHEARD);
    } finally {
      await drop(folder);
    }
  }

  /** @throws BackupError where the file is refused: then nothing was changed */
  async restore(file: string, onProgress: OnProgress): Promise<Restored> {
    const folder = workFolder(this.place.dataFolder, 'restore');
    try {
      return await (this.place.databaseUrl === undefined
        ? this.restoreFolder(file, folder, onProgress)
        : this.restoreOnServer(file, folder, this.place.databaseUrl, onProgress));
    } finally {
      await drop(folder);
    }
  }

  private async restoreOnServer(
    file: string,
    folder: string,
    url: string,
    onProgress: OnProgress,
  ): Promise<Restored> {
    const asideFile = this.asideFile();
    const job = { job: 'restore-on-server', file, folder, url, asideFile, ...this.common() } as const;
    return restoredOf(await this.place.runJob(job, onProgress), asideFile);
  }

  private async restoreFolder(file: string, folder: string, onProgress: OnProgress): Promise<Restored> {
    const { dataFolder, runJob } = this.place;
    const job = {
      job: 'build',
      file,
      folder,
      secrets: await secretsOf(this.database.db),
      ...this.common(),
    } as const;
    const built = await runJob(job, onProgress);
    onProgress({ stage: 'exchanging', rows: 0 });
    let replaced: string | null = null;
    await this.database.embedded!.reopenedAfter(() => {
      replaced = exchange(dataFolder, folder);
    });
    if (replaced === null) return restoredOf(built, '');
    const aside = this.asideFile();
    this.layingAside = this.layAsideAs(aside, replaced);
    return restoredOf(built, aside);
  }

  /** When nothing more is being done for it. */
  async settled(): Promise<void> {
    await this.layingAside;
  }

  /** As a backup; where it cannot be read, or a kill comes first, the folder itself stays. */
  private async layAsideAs(file: string, replaced: string): Promise<void> {
    try {
      const from = { folder: join(replaced, 'db') };
      await this.place.runJob({ job: 'save', from, file, ...this.common() }, UNHEARD);
      await drop(replaced);
    } catch {
      layAside(this.place.dataFolder, replaced);
    }
  }

  private asideFile(): string {
    return asideFile(this.place.dataFolder, this.now());
  }

  private common(): { readonly migrationsFolder: string; readonly now: string } {
    return { migrationsFolder: this.place.migrationsFolder, now: this.now().toISOString() };
  }
}

export function asideFile(dataFolder: string, now: Date): string {
  const folder = asideIn(dataFolder);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  return join(folder, `before-restore-${now.toISOString().replaceAll(/[:.]/g, '-')}.ygrana`);
}

export const restoredOf = ({ header, rows }: Built, aside: string): Restored => ({
  kitchen: header.kitchen,
  madeAt: header.madeAt,
  asideFile: aside,
  formulas: rows.formulas ?? 0,
  jars: rows.trials ?? 0,
  batches: rows.batches ?? 0,
});
