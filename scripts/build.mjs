/**
 * The interface by Vite, the server as one bundle beside it, the migrations copied.
 * With --marked: the same program with every word of the room of words marked, in .cache/marked.
 */
import { cpSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build as bundle } from 'esbuild';
import { build as buildWeb } from 'vite';
import { writeMarkedWords } from './markedWords.mjs';
import { ensureNewborn, newborn, root } from './setup.mjs';

const isMarked = process.argv.includes('--marked');
const target = isMarked ? join(root, '.cache/marked') : join(root, 'dist');
const words = join(root, '.cache/markedWords');
const inMarkedWords = (path) => join(words, `${path.slice('#words/'.length)}.ts`);

rmSync(target, { recursive: true, force: true });
if (isMarked) writeMarkedWords(root, words);
await buildWeb({
  root: join(root, 'src/web'),
  configFile: join(root, 'vite.config.ts'),
  logLevel: 'warn',
  build: { outDir: join(target, 'web') },
  ...(isMarked ? { resolve: { alias: [{ find: /^#words\/(.*)$/, replacement: `${words}/$1.ts` }] } } : {}),
});
await bundle({
  entryPoints: [join(root, 'src/server/main.ts')],
  outfile: join(target, 'main.js'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
  plugins: isMarked
    ? [
        {
          name: 'marked words',
          setup: ({ onResolve }) => {
            onResolve({ filter: /^#words\// }, ({ path }) => ({ path: inMarkedWords(path) }));
          },
        },
      ]
    : [],
});
cpSync(join(root, 'src/server/db/migrations'), join(target, 'migrations'), { recursive: true });
await ensureNewborn();
cpSync(newborn, join(target, 'newborn.tgz'));
