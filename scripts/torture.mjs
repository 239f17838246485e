/**
 * What does not fit into `npm test`, whole: 200 kills, the API suite on a PostgreSQL server, random dressings
 * by the ten thousand. Takes the best part of an hour. Seeds are printed; set them to play a failure again.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensureInstalled, root } from './setup.mjs';

checkNode();
ensureInstalled();
const { status } = spawnSync(
  process.execPath,
  [join('node_modules', 'vitest/vitest.mjs'), 'run', ...process.argv.slice(2)],
  {
    cwd: root,
    stdio: 'inherit',
    env: { KILL_ROUNDS: '200', SAFETY_PAIRS: '60000', ...process.env, YGRANA_TORTURE: '1' },
  },
);
process.exit(status ?? 1);
