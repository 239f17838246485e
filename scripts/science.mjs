/**
 * docs/SCIENCE.md out of the openings of the core's files, in one reading order: `npm run science` writes it,
 * `--check` says whether it is up to date.
 */
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { root } from './setup.mjs';

const PAGE = join(root, 'docs/SCIENCE.md');
const all = (folder) =>
  readdirSync(join(root, 'src/core', folder))
    .filter((name) => /\.ts$/.test(name) && !/\.test\.ts$|^index\.ts$|^testing\.ts$/.test(name))
    .sort()
    .map((name) => `${folder}/${name}`);
const CHAPTERS = [
  ['What is in it', ['composition/composition.ts', 'composition/mixedVolume.ts']],
  [
    'Acids and pH',
    [
      ...['acids', 'chargeBalance', 'strongIons', 'ph', 'phBound', 'titratableAcidity', 'waterActivity'],
      'schoolRatios',
    ].map((name) => `acidity/${name}.ts`),
  ],
  ['The palate', all('palate')],
  ['Time in the flavour', all('ripening')],
  [
    'Safety',
    ['state', 'foodCode', 'underOil', 'keeping', 'allergens', 'safety'].map((n) => `safety/${n}.ts`),
  ],
  ['Thickness and hold', all('emulsion')],
  ['Ways and amounts', all('balance')],
  ['Batch', all('batch')],
  ['Service', all('service')],
  ['The dish', all('dish')],
  ['Tasting', all('sensory')],
  ['Practise', all('practise')],
  ['From a label', all('label')],
  ['From a liking', all('liking')],
  ['Season and price', all('season')],
  ['A jar looked at', all('glass')],
];

function opening(file) {
  const path = join(root, 'src/core', file);
  if (!existsSync(path)) return [];
  const found = /^\/\*\*([\s\S]*?)\*\//.exec(readFileSync(path, 'utf8'));
  // A line alone names the file; models take more.
  if (!found || found[1].trim().split('\n').length < 3) return [];
  const lines = found[1]
    .trim()
    .split('\n')
    .map((line) => line.replace(/^\s*\*? ?/, ''));
  const paragraphs = lines
    .join('\n')
    .split(/\n\s*\n/)
    .map((text) => (/^\s{2,}\S/m.test(text) && !/^- /m.test(text) ? `\`\`\`text\n${text}\n\`\`\`` : text));
  return [`**\`src/core/${file}\`**`, ...paragraphs];
}

const text = [
  '# The equations, where they come from, and in which order to read them',
  'Each part of the core opens with its model, equation, source and range of validity; this page gathers those openings in one reading order (`npm run science`). Where a source is named it is _as recalled_ unless the file says that a test compares with it.',
  ...CHAPTERS.flatMap(([title, files]) => [`## ${title}`, ...files.flatMap(opening)]),
].join('\n\n');
const page = await format(text, { ...(await resolveConfig(PAGE)), parser: 'markdown' });
if (process.argv.includes('--check')) {
  const same = existsSync(PAGE) && readFileSync(PAGE, 'utf8') === page;
  console.log(same ? 'docs/SCIENCE.md is up to date.' : 'docs/SCIENCE.md is not up to date: npm run science');
  process.exit(same ? 0 : 1);
}
writeFileSync(PAGE, page);
