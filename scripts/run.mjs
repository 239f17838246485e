/** npm run demo | npm start | npm run dev: sets up what is missing, then opens the kitchen. */
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { checkNode, ensureBuilt, ensureInstalled, fail, root, runForeground } from './setup.mjs';

const [mode, ...flags] = process.argv.slice(2);
const known = mode === 'demo' ? ['--fresh', '--yes'] : [];
const unknown = flags.filter((flag) => !known.includes(flag));
if (unknown.length > 0)
  fail(`Not understood: ${unknown.join(' ')}. Known here: ${known.join(' ') || 'nothing'}.`);

checkNode();
const data = join('data', mode === 'demo' ? 'demo' : 'kitchen');
if (flags.includes('--fresh')) await clear(data);
ensureInstalled();
if (mode === 'dev') {
  runForeground(['--import', 'tsx', 'src/server/main.ts', '--dev', '--demo', '--data', join('data', 'dev')]);
} else {
  ensureBuilt();
  runForeground(['dist/main.js', '--data', data, ...(mode === 'demo' ? ['--demo'] : [])], {
    NODE_ENV: 'production',
  });
}

/** Throws the demo's data away, after asking; never while a process has it open. */
async function clear(folder) {
  const path = join(root, folder);
  if (!existsSync(path)) return;
  const lock = join(path, 'in-use.json');
  if (existsSync(lock)) {
    const { pid, address } = JSON.parse(readFileSync(lock, 'utf8'));
    if (isAlive(pid)) fail(`The demo is open: process ${pid} at ${address}. Close it first.`);
  }
  if (!flags.includes('--yes')) {
    if (!process.stdin.isTTY) fail('Beginning anew throws away what is in the demo. Say so with --yes.');
    const ask = createInterface({ input: process.stdin, output: process.stdout });
    const answer = await ask.question(`Throw away everything in ${folder} and begin anew? (yes/no) `);
    ask.close();
    if (!/^y(es)?$/i.test(answer.trim())) fail('Nothing was thrown away.');
  }
  rmSync(path, { recursive: true, force: true });
}

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}
