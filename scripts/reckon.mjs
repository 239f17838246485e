/** The command line. Only the result goes to standard output. */
import { pathToFileURL } from 'node:url';
import { bundledCommandLine, checkNode, ensureInstalled } from './setup.mjs';

checkNode();
ensureInstalled((line) => process.stderr.write(`${line}\n`));
await import(pathToFileURL(await bundledCommandLine()));
