/** A process that does one job and ends: what it needs of memory is given back, what it breaks is its own. */
import { DatabaseError } from '../db/client';
import { BackupError } from './format';
import { doJob, type Job } from './jobs';

process.once('message', (job: Job) => {
  doJob(job, (progress) => process.send!({ progress })).then(
    (answer) => {
      end({ answer });
    },
    (error: unknown) => {
      const told = error instanceof BackupError || error instanceof DatabaseError;
      end({
        error: {
          told,
          message: error instanceof Error ? (told ? error.message : String(error.stack)) : String(error),
        },
      });
    },
  );
});
// Who asked is gone: nobody would use what comes of it.
process.once('disconnect', () => process.exit(1));

function end(message: object): void {
  process.send!(message, () => process.exit(0));
}
