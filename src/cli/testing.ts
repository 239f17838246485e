/** The command line as it is called, for tests. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';

const script = join(import.meta.dirname, '../../scripts/reckon.mjs');
export const reckon = (input: string, ...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [script, ...args], {
    input,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
};
