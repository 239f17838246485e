import { raw, Router } from 'express';
import { answersWords } from '#words/screens/answers';
import { BackupError, MOST_PACKED_BYTES } from '../../backup/format';
import { restoreKitchen, saveKitchen, type BackupPlace } from '../../backup/kitchenBackup';
import type { Database } from '../../db/client';
import { ApiError } from '../../http/apiError';

/** One file out, one file in. */
export function backupRoutes(
  db: Database,
  place: BackupPlace,
  now: () => Date,
  /** Everything that was remembered of the rows before is out of date. */
  onRestored: () => void,
): Router {
  const router = Router();
  let busy = false;

  router.get('/backup', async (_request, response) => {
    const bytes = await saveKitchen(db, place, now());
    const day = now().toISOString().slice(0, 10);
    response.type('application/gzip');
    response.set('Content-Disposition', `attachment; filename="kitchen-${day}.ygrana"`);
    response.send(bytes);
  });

  router.post(
    '/restore',
    raw({ type: 'application/gzip', limit: MOST_PACKED_BYTES }),
    async (request, response) => {
      if (!Buffer.isBuffer(request.body) || request.body.length === 0)
        throw new ApiError('invalid', answersWords.sendTheBackupFileItself);
      if (busy) throw new ApiError('conflict', answersWords.aBackupIsBeingRestored);
      busy = true;
      try {
        const restored = await restoreKitchen(db, place, request.body, now());
        onRestored();
        response.json(restored);
      } catch (error) {
        if (error instanceof BackupError) throw new ApiError('invalid', error.message);
        throw error;
      } finally {
        busy = false;
      }
    },
  );

  return router;
}
