import { createReadStream, createWriteStream } from 'node:fs';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router, type Request } from 'express';
import type { BackupsState, Restored, Restoring } from '#contract';
import { answersWords } from '#words/screens/answers';
import { runningWords } from '#words/screens/running';
import type { OnProgress } from '../../backup/build';
import { BackupError, LIMITS } from '../../backup/format';
import { ApiError } from '../../http/apiError';

export interface BackupsAtWork {
  readonly save: (file: string) => Promise<unknown>;
  readonly restore: (file: string, onProgress: OnProgress) => Promise<Restored>;
  /** A file for a while. */
  readonly temporary: (name: string) => { readonly file: string; readonly drop: () => Promise<void> };
  /** How the daily ones stand. */
  readonly state: () => BackupsState;
}

const IDLE: Restoring = { stage: 'none', rows: 0 };

/** One file out, one file in. */
export function backupRoutes(
  backups: BackupsAtWork,
  now: () => Date,
  /** Everything that was remembered of the rows before is out of date. */
  onRestored: () => void,
): Router {
  const router = Router();
  let restoring: Restoring = IDLE;

  router.get('/backups', (_request, response) => {
    response.json(backups.state());
  });

  router.get('/backup', async (_request, response) => {
    const { file, drop } = backups.temporary('save');
    try {
      await refusing(backups.save(file), 'unavailable');
      const day = now().toISOString().slice(0, 10);
      response.type('application/gzip');
      response.set('Content-Disposition', `attachment; filename="kitchen-${day}.ygrana"`);
      // A reader that goes away in the middle is nobody's mistake.
      await pipeline(createReadStream(file), response).catch(() => undefined);
    } finally {
      await drop();
    }
  });

  router.get('/restore', (_request, response) => {
    response.json(restoring);
  });

  router.post('/restore', async (request, response) => {
    if (!request.is('application/gzip')) throw new ApiError('invalid', answersWords.sendTheBackupFileItself);
    if (restoring.stage !== 'none') throw new ApiError('conflict', answersWords.aBackupIsBeingRestored);
    restoring = { stage: 'receiving', rows: 0 };
    const { file, drop } = backups.temporary('received');
    try {
      await receive(request, file);
      const restored = await refusing(
        backups.restore(file, (progress) => {
          restoring = progress;
        }),
        'invalid',
      );
      onRestored();
      response.json(restored);
    } finally {
      restoring = IDLE;
      await drop();
    }
  });

  return router;
}

/** What is wrong with a file is said to who sent it. */
async function refusing<T>(work: Promise<T>, code: 'invalid' | 'unavailable'): Promise<T> {
  try {
    return await work;
  } catch (error) {
    throw error instanceof BackupError ? new ApiError(code, error.message) : error;
  }
}

/** Straight to the disk: a large file takes no memory. @throws ApiError where it is empty or too large */
async function receive(request: Request, file: string): Promise<void> {
  let bytes = 0;
  const counted = new Transform({
    transform: (chunk: Buffer, _encoding, done) => {
      bytes += chunk.length;
      if (bytes > LIMITS.packedBytes) done(new ApiError('too-large', runningWords.thisFileIsLargerThan));
      else done(null, chunk);
    },
  });
  await pipeline(request, counted, createWriteStream(file, { mode: 0o600 }));
  if (bytes === 0) throw new ApiError('invalid', answersWords.sendTheBackupFileItself);
}
