/** The folder of daily backups: one a day, each under its day. */
import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import { staying } from './rotation';

const NAME = /^kitchen-(\d{4}-\d{2}-\d{2})\.ygrana$/;

export interface Shelved {
  readonly day: string;
  readonly file: string;
  readonly bytes: number;
  /** ISO 8601. */
  readonly madeAt: string;
}

export const backupsIn = (dataFolder: string): string => join(dataFolder, 'backups');
export const fileOfDay = (folder: string, day: string): string => join(folder, `kitchen-${day}.ygrana`);

/** Newest first. */
export function shelved(folder: string): readonly Shelved[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name) => {
      const day = NAME.exec(name)?.[1];
      if (!day) return [];
      const file = join(folder, name);
      const { size, mtime } = statSync(file);
      return [{ day, file, bytes: size, madeAt: mtime.toISOString() }];
    })
    .sort((a, b) => (a.day < b.day ? 1 : -1));
}

export function makeFolder(folder: string): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
}

/** What need not stay goes. */
export function rotate(folder: string, today: string): void {
  const all = shelved(folder);
  const stays = staying(
    all.map(({ day }) => day),
    today,
  );
  for (const { day, file } of all) if (!stays.has(day)) rmSync(file, { force: true });
}

/** @throws Error where the second place does not hold afterwards what the first does */
export function copyChecked(file: string, target: string): void {
  copyFileSync(file, `${target}.part`);
  if (sumOf(file) !== sumOf(`${target}.part`)) throw new Error('The copy differs.');
  renameSync(`${target}.part`, target);
}

const sumOf = (file: string): string => createHash('sha256').update(readFileSync(file)).digest('hex');
