/** npm run backup -- FILE [--salvage] | npm run restore -- FILE [--yes]: a whole kitchen as one file, also while it is open. */
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { checkNode, ensureBuilt, ensureInstalled, fail, runForeground } from './setup.mjs';

const [mode, ...rest] = process.argv.slice(2);
const flags = rest.filter((word) => word.startsWith('--'));
const [file, ...more] = rest.filter((word) => !word.startsWith('--'));
const known = mode === 'restore' ? ['--demo', '--yes'] : ['--demo', '--salvage'];
const unknown = [...flags.filter((flag) => !known.includes(flag)), ...more];
if (unknown.length > 0) fail(`Not understood: ${unknown.join(' ')}. Known here: ${known.join(' ')}.`);
if (!file) fail(`Name the file: npm run ${mode} -- kitchen.ygrana`);
if (mode === 'restore' && !flags.includes('--yes')) {
  if (!process.stdin.isTTY) fail('Restoring replaces the whole kitchen. Say so with --yes.');
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await ask.question('Replace the whole kitchen? What is there now is laid aside. (yes/no) ');
  ask.close();
  if (!/^y(es)?$/i.test(answer.trim())) fail('Nothing was changed.');
}
checkNode();
ensureInstalled();
ensureBuilt();
const data = join('data', flags.includes('--demo') ? 'demo' : 'kitchen');
const save = flags.includes('--salvage') ? '--salvage' : '--save';
runForeground(['dist/main.js', '--data', data, mode === 'restore' ? '--restore' : save, file]);
