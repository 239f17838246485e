/** The command line, from source. Only the result goes to standard output. */
import { checkNode, ensureInstalled } from './setup.mjs';

checkNode();
ensureInstalled((line) => process.stderr.write(`${line}\n`));
const { register } = await import('tsx/esm/api');
register();
await import('../src/cli/reckon.ts');
