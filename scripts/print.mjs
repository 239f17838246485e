/** npm run print -- sheet|labels|pull-list BATCH-ID FILE.pdf [--demo]: a batch's paper, with no browser. */
import { join } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, fail, runForeground } from './setup.mjs';

const words = process.argv.slice(2);
const flags = words.filter((word) => word.startsWith('--'));
const [kind, id, file, ...more] = words.filter((word) => !word.startsWith('--'));
const unknown = [...flags.filter((flag) => flag !== '--demo'), ...more];
if (unknown.length > 0) fail(`Not understood: ${unknown.join(' ')}. Known here: --demo.`);
if (!kind || !id || !file) fail('Say what to print: npm run print -- sheet BATCH-ID batch.pdf');
checkNode();
ensureInstalled();
ensureBuilt();
const data = join('data', flags.includes('--demo') ? 'demo' : 'kitchen');
runForeground(['dist/main.js', '--data', data, '--print', kind, '--batch', id, '--out', file]);
