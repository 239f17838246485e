/**
 * What does not fit into `npm test`, whole: 200 kills, the API suite on a PostgreSQL server, random dressings
 * by the ten thousand, every browser test. Takes the best part of an hour. Seeds are printed; set them to play a failure again.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, root } from './setup.mjs';

checkNode();
ensureInstalled();
ensureBuilt();
const env = {
  KILL_ROUNDS: '200',
  SAFETY_PAIRS: '60000',
  PRACTISE_ROUNDS: '1000',
  LABELS: '2000',
  TASTERS: '200',
  SEASONS: '200',
  JARS_SEEN: '600',
  ...process.env,
  YGRANA_TORTURE: '1',
};
const asked = process.argv.slice(2);
const run = (...args) =>
  spawnSync(process.execPath, args.map(String), { cwd: root, stdio: 'inherit', env }).status ?? 1;

const units = run(join('node_modules', 'vitest/vitest.mjs'), 'run', ...asked);
// Asked for one file, it is that alone.
const pages =
  asked.length > 0 ? 0 : run(join('node_modules', '@playwright/test/cli.js'), 'test', '--reporter=list');
process.exit(units || pages);
