/**
 * The interface by Vite, the server as one bundle beside it, the migrations copied.
 * With --marked: the same program with every word of the room of words marked, in .cache/marked.
 */
import { createHash } from 'node:crypto';
import { cpSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
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
  entryPoints: {
    main: join(root, 'src/server/main.ts'),
    backupWorker: join(root, 'src/server/backup/worker.ts'),
  },
  outdir: target,
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
await bundle({
  entryPoints: [join(root, 'src/offline/serviceWorker.ts')],
  outfile: join(target, 'web/serviceWorker.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  logLevel: 'warning',
  define: {
    PROGRAM_FILES: JSON.stringify(programFiles(join(target, 'web'))),
    'process.env.NODE_ENV': '"production"',
  },
});
cpSync(join(root, 'src/server/db/migrations'), join(target, 'migrations'), { recursive: true });
await ensureNewborn();
cpSync(newborn, join(target, 'newborn.tgz'));

/** What a device keeps of the program. A name with a mark in it says of itself what it holds. */
function programFiles(folder) {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => {
      const path = join(entry.parentPath ?? entry.path, entry.name);
      const url = `/${relative(folder, path).split(sep).join('/')}`;
      const mark = createHash('sha256').update(readFileSync(path)).digest('hex').slice(0, 16);
      return { url, revision: url.startsWith('/assets/') ? null : mark };
    });
}
