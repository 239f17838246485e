/** `npm run -s reckon -- [--json] [--spoons us|metric|imperial|au] [FILE]`; exit 0, 1 where a line was not read, 2 for wrong usage. */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { SPOON_SYSTEMS, type SpoonSystem } from '#core/quantity';
import { printResult } from './printResult';
import { reckonText } from './reckonText';

const USAGE = `usage: reckon [--json] [--spoons ${SPOON_SYSTEMS.join('|')}] [FILE]
Reads one addition a line ("90 ml olive oil") from FILE or standard input.`;

function fail(message: string): never {
  process.stderr.write(`reckon: ${message}\n${USAGE}\n`);
  process.exit(2);
}

function options(): { json: boolean; spoons: SpoonSystem; file: string | undefined } {
  try {
    const { values, positionals } = parseArgs({
      options: {
        json: { type: 'boolean', default: false },
        spoons: { type: 'string', default: 'us' },
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
    if (positionals.length > 1) fail('one file at a time.');
    return { json: values.json, spoons, file: positionals[0] };
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

const { json, spoons, file } = options();
const result = reckonText(input(file), spoons);
process.stdout.write(json ? `${JSON.stringify(result, null, 2)}\n` : printResult(result));
process.exitCode = result.unread.length > 0 ? 1 : 0;
