/** Has a job done by a process of its own. */
import { spawn } from 'node:child_process';
import { runningWords } from '#words/screens/running';
import type { OnProgress } from './build';
import { BackupError } from './format';
import type { Answer, Job, RunJob } from './jobs';

/** What Node is told to run: the built file, or the source through a loader. */
type WorkerArgs = readonly string[];

/** Besides the engine's own memory. */
const MOST_HEAP_MB = 600;

interface Message {
  readonly progress?: Parameters<OnProgress>[0];
  readonly answer?: unknown;
  readonly error?: { readonly told: boolean; readonly message: string };
}

/** @returns what has each job done so; @throws BackupError with what the job says is wrong; Error where it ended without an answer */
export const inProcess =
  (worker: WorkerArgs): RunJob =>
  (job, onProgress) =>
    inOne(worker, job, onProgress);

function inOne<J extends Job>(worker: WorkerArgs, job: J, onProgress: OnProgress): Promise<Answer<J>> {
  const child = spawn(process.execPath, [`--max-old-space-size=${MOST_HEAP_MB}`, ...worker], {
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  return new Promise((resolve, reject) => {
    let said: Message | null = null;
    child.on('message', (message: Message) => {
      if (message.progress) onProgress(message.progress);
      else said = message;
    });
    child.once('error', reject);
    child.once('close', (code, signal) => {
      if (said?.error)
        reject(said.error.told ? new BackupError(said.error.message) : new Error(said.error.message));
      else if (said) resolve(said.answer as Answer<J>);
      else reject(new Error(runningWords.jobEnded(String(signal ?? code))));
    });
    child.send(job);
  });
}
