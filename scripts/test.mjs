/**
 * Everything: types, lint, directions, unit, API and browser tests. Ends with "N passed, N failed"
 * alone on a line; exits non-zero on any failure and when no test ran.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, ensureNewborn, fail, root } from './setup.mjs';

checkNode();
ensureInstalled();
ensureFromDebian('Chromium', 'chromium chromium-headless-shell', () =>
  ['chromium', 'chromium-headless-shell'].every((name) => existsSync(`/usr/bin/${name}`)),
);
ensureFromDebian('OpenSSL', 'openssl', () => existsSync('/usr/bin/openssl'));
ensureFromDebian('PostgreSQL', 'postgresql', hasPostgresServer);

const cache = join(root, '.cache');
mkdirSync(cache, { recursive: true });
let passed = 0;
let failed = 0;

function step(name, args, results) {
  console.log(`\n== ${name}`);
  const from = Date.now();
  const file = join(cache, results);
  rmSync(file, { force: true });
  const { status } = spawnSync(process.execPath, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...(results === 'browser.json' ? { PLAYWRIGHT_JSON_OUTPUT_FILE: file } : {}) },
  });
  console.log(`${name} took ${since(from)}`);
  const counted = existsSync(file) ? count(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 0 };
  passed += counted.passed;
  failed += counted.failed;
  if (status !== 0 && counted.failed === 0) failed += 1;
  if (counted.passed + counted.failed === 0) {
    console.log(`No test ran in: ${name}`);
    failed += 1;
  }
}

/** Vitest's and Playwright's reports differ. */
function count(report) {
  if (report.stats) {
    return { passed: report.stats.expected + report.stats.flaky, failed: report.stats.unexpected };
  }
  return { passed: report.numPassedTests, failed: report.numFailedTests };
}

const bin = (path) => join('node_modules', path);
const began = Date.now();
const since = (from) => `${Math.round((Date.now() - from) / 1000)} s`;

/** Checks without single tests, side by side: each counts as one. */
async function checks(list) {
  const results = await Promise.all(
    list.map(
      ([name, args]) =>
        new Promise((done) => {
          const from = Date.now();
          let words = '';
          const child = spawn(process.execPath, args, { cwd: root });
          for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (words += chunk));
          child.once('close', (status) => done({ name, status, words, took: since(from) }));
        }),
    ),
  );
  for (const { name, status, words, took } of results) {
    console.log(`\n== ${name} (${took})\n${words.trim()}`);
    if (status === 0) passed += 1;
    else failed += 1;
  }
}

await ensureNewborn();
await checks([
  ['types', [bin('typescript/bin/tsc'), '-b']],
  ['lint', [bin('eslint/bin/eslint.js'), '.', '--max-warnings=0']],
  ['nothing unused', [bin('knip/bin/knip.js')]],
  ['the page of equations', ['scripts/science.mjs', '--check']],
  [
    'directions',
    [bin('dependency-cruiser/bin/dependency-cruise.mjs'), 'src', '--config', '.dependency-cruiser.js'],
  ],
]);
step(
  'unit and API',
  [
    bin('vitest/vitest.mjs'),
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${join(cache, 'vitest.json')}`,
    '--coverage',
  ],
  'vitest.json',
);
ensureBuilt();
step('browser', [bin('@playwright/test/cli.js'), 'test', '--reporter=list,json'], 'browser.json');

checkCoverage();
console.log(`\nThe whole took ${since(began)}.`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);

/** Lines of core, contract, kitchen and server that a test runs through; never below what it was on the first day. */
function checkCoverage() {
  const { floorPercent } = JSON.parse(readFileSync(join(root, 'scripts/coverage.json'), 'utf8'));
  const file = join(cache, 'coverage/coverage-summary.json');
  const percent = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')).total.lines.pct : 0;
  console.log(`\nLines covered: ${percent} % (at least ${floorPercent} %)`);
  if (percent >= floorPercent) passed += 1;
  else failed += 1;
}

/** The client alone makes the folder, too. */
function hasPostgresServer() {
  const releases = existsSync('/usr/lib/postgresql') ? readdirSync('/usr/lib/postgresql') : [];
  return releases.some((release) => existsSync(`/usr/lib/postgresql/${release}/bin/initdb`));
}

/** What the tests need of Debian's; installed where we may, else said exactly. */
function ensureFromDebian(name, packageName, isThere) {
  if (isThere()) return;
  const words = `apt-get update && apt-get install -y ${packageName}`;
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    fail(`The tests need Debian’s ${name}. Install it as root:\n  ${words}`);
  }
  console.log(`Installing Debian’s ${name} (once)`);
  const apt = spawnSync('sh', ['-c', `${words} >/dev/null`], {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  if (apt.status !== 0 || !isThere()) fail(`Installing ${name} failed. By hand:\n  ${words}`);
}
