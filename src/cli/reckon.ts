/** `npm run -s reckon -- [--json] [--spoons us|metric|imperial|au] [--style ID] [FILE]`; exit 0, 1 where a line was not read, 2 for wrong usage. */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { SPOON_SYSTEMS, type SpoonSystem } from '#core/quantity';
import { STYLES, type Style } from '#core/palate';
import { printResult } from './printResult';
import { reckonText } from './reckonText';

const USAGE = `usage: reckon [--json] [--spoons ${SPOON_SYSTEMS.join('|')}] [--style ID] [FILE]
Reads one addition a line ("90 ml olive oil") from FILE or standard input.
Styles: ${STYLES.map(({ id }) => id).join(', ')}`;

function fail(message: string): never {
  process.stderr.write(`reckon: ${message}\n${USAGE}\n`);
  process.exit(2);
}

interface Options {
  readonly json: boolean;
  readonly spoons: SpoonSystem;
  readonly style: Style | null;
  readonly file: string | undefined;
}

function options(): Options {
  try {
    const { values, positionals } = parseArgs({
      options: {
        json: { type: 'boolean', default: false },
        spoons: { type: 'string', default: 'us' },
        style: { type: 'string' },
        help: { type: 'boolean', default: false },
      },
      allowPositionals: true,
    });
    if (values.help) {
      process.stdout.write(`${USAGE}\n`);
      process.exit(0);
    }
    const spoons = SPOON_SYSTEMS.find((system) => system === values.spoons);
    if (!spoons) fail(`“${values.spoons}” is no spoon system.`);
    const style = values.style === undefined ? null : STYLES.find(({ id }) => id === values.style);
    if (style === undefined) fail(`“${values.style}” is no style.`);
    if (positionals.length > 1) fail('one file at a time.');
    return { json: values.json, spoons, style, file: positionals[0] };
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error));
  }
}

function input(file: string | undefined): string {
  try {
    return readFileSync(file === undefined || file === '-' ? 0 : file, 'utf8');
  } catch {
    return fail(`cannot read ${file ?? 'standard input'}.`);
  }
}

const { json, spoons, style, file } = options();
const result = reckonText(input(file), spoons, style);
process.stdout.write(json ? `${JSON.stringify(result, null, 2)}\n` : printResult(result));
process.exitCode = result.unread.length > 0 ? 1 : 0;
