/** The interface by Vite, the server as one bundle beside it, the migrations copied. */
import { cpSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build as bundle } from 'esbuild';
import { build as buildWeb } from 'vite';
import { root } from './setup.mjs';

rmSync(join(root, 'dist'), { recursive: true, force: true });
await buildWeb({ root: join(root, 'src/web'), configFile: join(root, 'vite.config.ts'), logLevel: 'warn' });
await bundle({
  entryPoints: [join(root, 'src/server/main.ts')],
  outfile: join(root, 'dist/main.js'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
});
cpSync(join(root, 'src/server/db/migrations'), join(root, 'dist/migrations'), { recursive: true });
