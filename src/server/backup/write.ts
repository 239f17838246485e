/** Writes a kitchen's rows into a file, one line a row, whole or not at all. */
import { createHash } from 'node:crypto';
import { createWriteStream, openSync, fsyncSync, closeSync, renameSync, rmSync, statSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { BACKUP_FORMAT, type BackupHeader, type BackupRow, type TableName } from './format';

export interface Written {
  readonly bytes: number;
  readonly rows: Readonly<Partial<Record<TableName, number>>>;
}

/** Under another name first, flushed to the disk, then renamed. */
export async function writeBackup(
  file: string,
  header: BackupHeader,
  rows: AsyncIterable<BackupRow>,
): Promise<Written> {
  const part = `${file}.part`;
  const counts: Partial<Record<TableName, number>> = {};
  try {
    await pipeline(
      lines(header, rows, counts),
      createGzip({ level: 6 }),
      createWriteStream(part, { mode: 0o600 }),
    );
    flush(part);
    renameSync(part, file);
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  }
  return { bytes: statSync(file).size, rows: counts };
}

/** Many lines at once: a stream is handed a few large pieces more quickly than many small ones. */
const PIECE = 64 * 1024;

async function* lines(
  header: BackupHeader,
  rows: AsyncIterable<BackupRow>,
  counts: Partial<Record<TableName, number>>,
): AsyncGenerator<Buffer> {
  const sum = createHash('sha256');
  let piece = '';
  const take = (): Buffer => {
    const bytes = Buffer.from(piece, 'utf8');
    sum.update(bytes);
    piece = '';
    return bytes;
  };
  piece += `${JSON.stringify({ ygranaBackup: BACKUP_FORMAT, ...header })}\n`;
  for await (const { table, text } of rows) {
    counts[table] = (counts[table] ?? 0) + 1;
    piece += `["${table}",${text}]\n`;
    if (piece.length >= PIECE) yield take();
  }
  yield take();
  yield Buffer.from(`${JSON.stringify({ sha256: sum.digest('hex') })}\n`, 'utf8');
}

function flush(file: string): void {
  const descriptor = openSync(file, 'r+');
  try {
    fsyncSync(descriptor);
  } finally {
    closeSync(descriptor);
  }
}
