/** What every command needs first: a fitting Node, installed packages, a build that matches the source. No dependencies. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const [MAJOR, MINOR] = [20, 19];

export function fail(message) {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < MAJOR || (major === MAJOR && minor < MINOR)) {
    fail(`Ygrana needs Node ${MAJOR}.${MINOR} or newer; this is ${process.versions.node}.`);
  }
}

const readOr = (file, other) => (existsSync(file) ? readFileSync(file, 'utf8') : other);
const hashOf = (...texts) =>
  texts.reduce((hash, text) => hash.update(text), createHash('sha256')).digest('hex');

/** Installs when the lock file is not the one that was installed last. `say` may go to standard error. */
export function ensureInstalled(say = console.log) {
  const lock = hashOf(readFileSync(join(root, 'package-lock.json')), process.versions.node);
  const stamp = join(root, 'node_modules', '.installed-for');
  if (readOr(stamp, '') === lock) return;
  say('Installing packages (once, a minute or two)');
  const npm = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 2, 2],
    shell: process.platform === 'win32',
  });
  if (npm.status !== 0) fail('Installing failed; npm’s own words are above. Mend that and start again.');
  rmSync(newborn, { force: true });
  writeFileSync(stamp, lock);
}

/** An empty database of the installed engine, which every new kitchen is a copy of. */
export const newborn = join(root, '.cache', 'newborn.tgz');
export async function ensureNewborn() {
  if (existsSync(newborn)) return;
  const { PGlite } = await import('@electric-sql/pglite');
  const engine = await PGlite.create();
  const image = await engine.dumpDataDir('none');
  await engine.close();
  mkdirSync(dirname(newborn), { recursive: true });
  writeFileSync(`${newborn}.part`, gzipSync(Buffer.from(await image.arrayBuffer())));
  renameSync(`${newborn}.part`, newborn);
}

function* filesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) =>
    a.name < b.name ? -1 : 1,
  )) {
    if (entry.name === '.types') continue;
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesBelow(path);
    else if (!entry.name.endsWith('.test.ts')) yield path;
  }
}

/** Builds when anything that goes into the build has changed. */
export function ensureBuilt(say = console.log) {
  const inputs = [
    ...filesBelow(join(root, 'src')),
    join(root, 'package-lock.json'),
    join(root, 'vite.config.ts'),
    join(root, 'scripts/build.mjs'),
  ];
  const wanted = hashOf(...inputs.flatMap((file) => [file.slice(root.length), readFileSync(file)]));
  const stamp = join(root, 'dist', '.built-from');
  if (readOr(stamp, '') === wanted) return;
  say('Building');
  const build = spawnSync(process.execPath, [join(root, 'scripts/build.mjs')], {
    cwd: root,
    stdio: ['ignore', 2, 2],
  });
  if (build.status !== 0) fail('Building failed; the reason is above.');
  mkdirSync(join(root, 'dist'), { recursive: true });
  writeFileSync(stamp, wanted);
}

/**
 * The command line as one file, which starts in a third of the time. Named for what it was made from; several
 * may make it at once, each writes its own and the last one stays.
 */
export async function bundledCommandLine() {
  const inputs = ['core', 'contract', 'kitchen', 'words', 'cli'].flatMap((room) => [
    ...filesBelow(join(root, 'src', room)),
  ]);
  const made = hashOf(
    ...[...inputs, join(root, 'package-lock.json')].flatMap((file) => [
      file.slice(root.length),
      readFileSync(file),
    ]),
  );
  const folder = join(root, '.cache', 'reckon');
  const file = join(folder, `${made.slice(0, 16)}.mjs`);
  if (existsSync(file)) return file;
  const { build } = await import('esbuild');
  const own = `${file}.${process.pid}`;
  await build({
    entryPoints: [join(root, 'src/cli/reckon.ts')],
    outfile: own,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'error',
  });
  for (const old of readdirSync(folder)) if (old.endsWith('.mjs')) rmSync(join(folder, old), { force: true });
  renameSync(own, file);
  return file;
}

/** Runs a child in the foreground, hands it our signals, and ends as it ends. */
export function runForeground(args, env = {}) {
  const child = spawn(process.execPath, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => child.kill(signal));
  }
  child.on('exit', (code, signal) => process.exit(code ?? (signal ? 1 : 0)));
  // npm hands a signal to its shell, which dies without telling us: then we are given another parent.
  if (process.env.npm_lifecycle_event) {
    const parent = process.ppid;
    setInterval(() => {
      if (process.ppid !== parent) child.kill('SIGTERM');
    }, 500).unref();
  }
}
