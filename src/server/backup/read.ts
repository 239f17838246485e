/**
 * Reads a backup row by row, whatever its size, and never builds more than one row of it. Whether it is whole is
 * known at its end: who acts on rows before that must be able to throw them away.
 */
import { JSONParser, TokenType } from '@streamparser/json';
import { createHash } from 'node:crypto';
import { createReadStream, statSync } from 'node:fs';
import { Writable, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { sayIssue } from '#words/problems';
import { runningWords } from '#words/screens/running';
import {
  BackupError,
  Bounds,
  headerSchema,
  knownTable,
  LIMITS,
  type BackupHeader,
  type BackupRow,
  type TableName,
} from './format';

export interface BackupReader {
  readonly onHeader?: (header: BackupHeader) => void;
  /** The next row is not read before this is done. */
  readonly onRow?: (row: BackupRow) => Promise<void> | void;
}

/**
 * @returns what its first line says, once all of it was read and its sum is right
 * @throws BackupError where it is no backup, damaged, or larger than any kitchen
 */
export async function readBackup(file: string, reader: BackupReader = {}): Promise<BackupHeader> {
  if (statSync(file).size > LIMITS.packedBytes) throw new BackupError(runningWords.thisFileIsLargerThan);
  let parts: Parts | null = null;
  let read = 0;
  const sink = new Writable({
    write: (chunk: Buffer, _encoding, done) => {
      read += chunk.length;
      if (read > LIMITS.unpackedBytes) {
        done(new BackupError(runningWords.thisFileIsLargerThan));
        return;
      }
      parts ??= partsFor(chunk, reader);
      parts.take(chunk).then(() => {
        done();
      }, done);
    },
  });
  try {
    await pipeline(createReadStream(file) as Readable, createGunzip(), sink);
  } catch (error) {
    throw error instanceof BackupError || !isPacking(error)
      ? error
      : new BackupError(runningWords.thisIsNoBackupOr);
  }
  const found = parts as Parts | null;
  if (!found) throw new BackupError(runningWords.thisIsNoBackupOf);
  return found.end();
}

const isPacking = (error: unknown): boolean =>
  /^(?:Z_|ERR_STREAM_PREMATURE|ERR_BUFFER)/.test((error as NodeJS.ErrnoException).code ?? '');

interface Parts {
  take(chunk: Buffer): Promise<void>;
  end(): BackupHeader;
}

const LINES = /^\s*\{\s*"ygranaBackup"\s*:\s*(\d+)\s*,[^\n]*\n/;
const partsFor = (chunk: Buffer, reader: BackupReader): Parts => {
  const first = chunk.subarray(0, 4096).toString('utf8');
  return LINES.test(first) ? new Lines(reader) : new OneValue(reader);
};

/** @throws BackupError naming what is missing */
function headerOf(value: unknown, formats: number): BackupHeader {
  const format = (value as { ygranaBackup?: unknown } | null)?.ygranaBackup;
  if (typeof format !== 'number') throw new BackupError(runningWords.thisIsNoBackupOf);
  if (format > formats) throw new BackupError(runningWords.thisBackupWasMadeBy);
  const checked = headerSchema.safeParse(value);
  if (checked.success) return checked.data;
  const [issue] = checked.error.issues;
  throw new BackupError(
    runningWords.thisIsNoBackupOfA(issue!.path.join('.') || runningWords.theTop, sayIssue(issue!)),
  );
}

const NEWLINE = 10;

class Lines implements Parts {
  private readonly sum = createHash('sha256');
  private readonly bounds = new Bounds();
  private rest: Buffer = Buffer.alloc(0);
  private header: BackupHeader | null = null;
  private isWhole = false;

  constructor(private readonly reader: BackupReader) {}

  async take(chunk: Buffer): Promise<void> {
    let from = 0;
    for (let at = chunk.indexOf(NEWLINE); at >= 0; at = chunk.indexOf(NEWLINE, from)) {
      const piece = chunk.subarray(from, at + 1);
      const line = this.rest.length > 0 ? Buffer.concat([this.rest, piece]) : piece;
      this.rest = Buffer.alloc(0);
      from = at + 1;
      await this.line(line);
    }
    if (from < chunk.length) this.rest = Buffer.concat([this.rest, chunk.subarray(from)]);
    if (this.rest.length > LIMITS.rowBytes) throw new BackupError(runningWords.thisFileIsLargerThan);
  }

  private async line(bytes: Buffer): Promise<void> {
    if (this.isWhole) throw new BackupError(runningWords.thisBackupIsDamagedIts);
    const text = bytes.toString('utf8');
    if (!this.header) {
      this.sum.update(bytes);
      this.header = headerOf(parsed(text), 2);
      this.reader.onHeader?.(this.header);
      return;
    }
    const row = ROW_LINE.exec(text);
    if (!row) {
      const { sha256 } = parsed(text) as { sha256?: unknown };
      if (sha256 !== this.sum.digest('hex')) throw new BackupError(runningWords.thisBackupIsDamagedIts);
      this.isWhole = true;
      return;
    }
    this.sum.update(bytes);
    const table = knownTable(row[1]);
    const content = text.slice(row[0].length, text.lastIndexOf(']'));
    this.bounds.row(content);
    await this.reader.onRow?.({ table, text: content });
  }

  end(): BackupHeader {
    if (!this.header) throw new BackupError(runningWords.thisIsNoBackupOf);
    if (!this.isWhole) throw new BackupError(runningWords.thisBackupIsDamagedIts);
    return this.header;
  }
}
const ROW_LINE = /^\["([a-z_]{1,40})",/;

/** First and last line are flat and short. */
function parsed(text: string): unknown {
  if (text.length > 4096) throw new BackupError(runningWords.thisIsNoBackupOf);
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new BackupError(runningWords.thisIsNoBackupOf);
  }
}
/** Of releases before: one JSON value, whose sum is over its rows as JSON writes them. */
class OneValue implements Parts {
  private readonly sum = createHash('sha256');
  private readonly bounds = new Bounds();
  /** Only rows and the first lines: what holds them is never kept. */
  private readonly parser = new JSONParser({
    paths: ['$.ygranaBackup', '$.migrations', '$.madeAt', '$.kitchen', '$.sha256', '$.rows.*.*'],
    keepStack: false,
  });
  private readonly head: Record<string, unknown> = {};
  private header: BackupHeader | null = null;
  private depth = 0;
  private topKey = '';
  private lastText = '';
  private table: TableName | null = null;
  private tables = 0;
  private hasRows = false;
  private sinceValue = 0;
  private found: BackupRow[] = [];

  constructor(private readonly reader: BackupReader) {
    this.parser.onToken = ({ token, value }) => {
      this.token(token, value);
    };
    this.parser.onValue = ({ value, key, stack }) => {
      this.sinceValue = 0;
      if (stack.length === 1) this.head[String(key)] = value;
      else this.row(value);
    };
    this.parser.onError = (error) => {
      throw error instanceof BackupError ? error : new BackupError(runningWords.thisIsNoBackupOf);
    };
  }

  async take(chunk: Buffer): Promise<void> {
    this.sinceValue += chunk.length;
    if (this.sinceValue > LIMITS.rowBytes) throw new BackupError(runningWords.thisFileIsLargerThan);
    this.parser.write(chunk);
    const rows = this.found;
    this.found = [];
    for (const row of rows) await this.reader.onRow?.(row);
  }

  /** Tables are seen by their brackets: an empty one has no row to be seen by. */
  private token(token: TokenType, value: unknown): void {
    if (token === TokenType.STRING) this.lastText = String(value);
    else if (token === TokenType.COLON && this.depth === 1) this.topKey = this.lastText;
    else if (token === TokenType.LEFT_BRACE || token === TokenType.LEFT_BRACKET) {
      this.depth += 1;
      if (this.depth > LIMITS.depth) throw new BackupError(runningWords.thisIsNoBackupOf);
      if (this.depth === 3 && this.topKey === 'rows') this.tableBegins(this.lastText);
    } else if (token === TokenType.RIGHT_BRACE || token === TokenType.RIGHT_BRACKET) {
      this.depth -= 1;
      if (this.depth === 2 && this.table) {
        this.sum.update(']');
        this.table = null;
      }
    }
  }

  private tableBegins(name: string): void {
    this.table = knownTable(name);
    this.ready();
    this.sum.update(`${this.tables === 0 ? '{' : ','}${JSON.stringify(name)}:[`);
    this.tables += 1;
    this.hasRows = false;
  }

  private row(value: unknown): void {
    if (!this.table || typeof value !== 'object' || value === null)
      throw new BackupError(runningWords.thisIsNoBackupOf);
    const text = JSON.stringify(value);
    this.bounds.row(text);
    this.sum.update(this.hasRows ? `,${text}` : text);
    this.hasRows = true;
    this.found.push({ table: this.table, text });
  }

  /** Its first lines come before its rows. */
  private ready(): void {
    if (this.header) return;
    this.header = headerOf(this.head, 1);
    this.reader.onHeader?.(this.header);
  }

  end(): BackupHeader {
    this.ready();
    if (this.tables === 0) this.sum.update('{');
    if (this.sum.update('}').digest('hex') !== this.head.sha256)
      throw new BackupError(runningWords.thisBackupIsDamagedIts);
    return this.header!;
  }
}
