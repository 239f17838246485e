/**
 * An embedded database is born once for each build and kept as one file; a new kitchen begins as a copy of
 * it, in a tenth of the work. Where that file is missing, it is born on the spot.
 */
import { existsSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { PGlite } from '@electric-sql/pglite';

/** Beside the bundle when built, among what is made again when run from source. */
const PLACES = [
  join(import.meta.dirname, 'newborn.tgz'),
  join(import.meta.dirname, '../../../.cache/newborn.tgz'),
];

const image = (): { loadDataDir?: Blob } => {
  const file = PLACES.find(existsSync);
  return file === undefined ? {} : { loadDataDir: new Blob([gunzipSync(readFileSync(file))]) };
};

/** A database in a folder that nobody will miss where it was only half made. */
export const bear = (folder: string): Promise<PGlite> => PGlite.create({ dataDir: folder, ...image() });

/** The folder's database, opened; where there is none, one is made beside it and moved there whole. */
export async function openOrBear(folder: string | undefined): Promise<PGlite> {
  if (folder === undefined) return PGlite.create(image());
  if (!existsSync(folder)) {
    const unborn = `${folder}.unborn`;
    rmSync(unborn, { recursive: true, force: true });
    const engine = await bear(unborn);
    await engine.close();
    renameSync(unborn, folder);
  }
  return PGlite.create({ dataDir: folder });
}
