/** `npm run -s reckon -- [options] [FILE]`; exit 0, 1 where a line was not read or nothing was found, 2 for wrong usage. */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { formulateSchema } from '#contract';
import { COMPLAINTS, type Complaint, type RoundTo, type Severity } from '#core/balance';
import { parseAmount, SPOON_SYSTEMS, SPOON_VOLUMES, type SpoonSystem } from '#core/quantity';
import { measuringWith } from '#core/ingredient';
import { STYLES, type Style } from '#core/palate';
import { TOOLS } from '#core/formula';
import { stageTexts } from '#core/interchange';
import { commandLineWords } from '#words/screens/commandLine';
import { printResult } from './printResult';
import { dishAskOf, dishOfText } from './reckonDish';
import { formulateFrom, ingredientNamed, mend, rounded, swap, UnknownIngredient } from './reckonBalance';
import { batchFrom, CannotPlan, readTarget } from './reckonBatch';
import { holdOfText } from './reckonHold';
import { readJson } from './readJson';
import { labelFrom } from './reckonLabel';
import { NoReading, poursOf } from './reckonPours';
import { portionsOf, readText, reckonText } from './reckonText';

const USAGE = commandLineWords.usageReckonJsonSpoonsSpoonsystems(
  SPOON_SYSTEMS.join('|'),
  COMPLAINTS.join(', '),
  STYLES.map(({ id }) => id).join(', '),
);

function fail(message: string): never {
  process.stderr.write(commandLineWords.reckonMessageUsage(message, USAGE));
  process.exit(2);
}

function parsed() {
  try {
    return parseArgs({
      options: {
        json: { type: 'boolean', default: false },
        spoons: { type: 'string', default: 'us' },
        style: { type: 'string' },
        mend: { type: 'string' },
        severity: { type: 'string', default: '2' },
        room: { type: 'string' },
        allow: { type: 'string' },
        swap: { type: 'string' },
        tool: { type: 'string' },
        mix: { type: 'string' },
        height: { type: 'string' },
        temperature: { type: 'string' },
        round: { type: 'string' },
        'scale-to': { type: 'string' },
        vessel: { type: 'string' },
        loss: { type: 'string', default: '0%' },
        'hold-back': { type: 'boolean', default: false },
        formulate: { type: 'string' },
        pours: { type: 'string' },
        label: { type: 'string' },
        dish: { type: 'string' },
        dressed: { type: 'string', default: 'normally' },
        minutes: { type: 'string' },
        help: { type: 'boolean', default: false },
      },
      allowPositionals: true,
    });
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error));
  }
}

const { values, positionals } = parsed();
if (values.help) {
  process.stdout.write(`${USAGE}\n`);
  process.exit(0);
}
if (positionals.length > 1) fail(commandLineWords.oneFileAtATime);

function spoonSystem(): SpoonSystem {
  return (
    SPOON_SYSTEMS.find((system) => system === values.spoons) ??
    fail(commandLineWords.spoonsIsNoSpoonSystem(values.spoons ?? ''))
  );
}

function styleNamed(id: string | null | undefined): Style | null {
  if (id === null || id === undefined) return null;
  return STYLES.find((style) => style.id === id) ?? fail(commandLineWords.idIsNoStyle(id));
}

/** "too-sharp", or several at once: "needs-sweet,needs-salt". */
const complaints = (): readonly Complaint[] =>
  (values.mend ?? '')
    .split(',')
    .map(
      (typed): Complaint =>
        COMPLAINTS.find((word) => word === typed.trim()) ?? fail(commandLineWords.mendIsNoComplaint(typed)),
    );

function severity(): Severity {
  if (values.severity === '1' || values.severity === '2') return values.severity === '1' ? 1 : 2;
  return fail(commandLineWords.severityIs1Or2(values.severity));
}

/** "100ml", "0.1 l", "½ cup". */
function volumeMl(text: string | undefined): number | null {
  if (text === undefined) return null;
  const read = parseAmount(text, 'point');
  const term = read.status === 'read' && read.amount.kind === 'measured' ? read.amount.terms[0] : undefined;
  const { tspMl, tbspMl, cupMl } = SPOON_VOLUMES[spoonSystem()];
  const perUnit: Partial<Record<string, number>> = {
    ml: 1,
    cl: 10,
    dl: 100,
    l: 1000,
    tsp: tspMl,
    tbsp: tbspMl,
    cup: cupMl,
  };
  const unit = term && perUnit[term.unit];
  return term && unit ? term.count.nominal * unit : fail(commandLineWords.textIsNoVolumeSuch(text));
}

const roundTo = (): RoundTo | null => {
  if (values.round === undefined) return null;
  const spoons = spoonSystem();
  if (values.round === 'spoons') return { kind: 'spoons', spoons };
  if (values.round === 'mixed') return { kind: 'mixed', readabilityG: 1, spoons };
  if (values.round === 'bought' && values['scale-to'] !== undefined)
    return { kind: 'mixed', readabilityG: 1, spoons };
  const step = /^(\d+(?:\.\d+)?) ?g$/.exec(values.round)?.[1];
  return step && Number(step) > 0
    ? { kind: 'scale', readabilityG: Number(step) }
    : fail(commandLineWords.roundIsNoWayTo(values.round));
};

function input(file: string | undefined): string {
  try {
    return readFileSync(file === undefined || file === '-' ? 0 : file, 'utf8');
  } catch {
    return fail(commandLineWords.cannotReadPart(file ?? commandLineWords.standardInput));
  }
}

function formulateJson(text: string) {
  const json = readJson(formulateSchema, text, values.formulate ?? '');
  return typeof json === 'string' ? fail(json) : json;
}

function run(): void {
  const round = roundTo();
  if (values.formulate !== undefined) {
    const json = formulateJson(input(values.formulate));
    const outcome = formulateFrom(json, styleNamed(values.style ?? json.styleId), round);
    process.stdout.write(`${JSON.stringify({ formulate: outcome }, null, 2)}\n`);
    process.exitCode = outcome.status === 'answers' ? 0 : 1;
    return;
  }
  if (values.label !== undefined) {
    const label = labelFrom(input(values.label), values.label);
    if (typeof label === 'string') return fail(label);
    process.stdout.write(`${JSON.stringify({ label }, null, 2)}\n`);
    process.exitCode = label.answers.length > 0 ? 0 : 1;
    return;
  }
  if (values.pours !== undefined) {
    process.stdout.write(`${JSON.stringify(poursOf(input(values.pours)), null, 2)}\n`);
    return;
  }
  const stages = stageTexts(input(positionals[0])).map(({ name, text }) => ({ name, ...stage(text, round) }));
  const whole = stages.at(-1)!;
  process.stdout.write(
    values.json || whole.isAsked
      ? `${JSON.stringify({ ...whole.said, stages: stages.map(({ name, said }) => ({ name, ...said })) }, null, 2)}\n`
      : printResult(whole.result),
  );
  process.exitCode = whole.result.unread.length > 0 ? 1 : 0;
}

/** What there is to say of a list, or of all of it up to the end of a stage. */
function stage(text: string, round: RoundTo | null) {
  const [spoons, style] = [spoonSystem(), styleNamed(values.style)];
  const result = reckonText(text, spoons, style);
  const portions = portionsOf(readText(text, spoons).lines);
  const unread = result.unread.map((line) => line.text);
  const asked = {
    ...balance(portions, style, unread),
    ...holdAsked(portions, unread),
    ...(round ? { rounded: rounded(portions, round) } : {}),
    ...batchAsked(portions, style, round),
    ...dishAsked(portions),
  };
  return { result, said: { ...result, ...asked }, isAsked: Object.keys(asked).length > 0 };
}

/** "30s", "80mm", "21C": a number with its unit; null where it was not given. */
function measured(
  name: 'mix' | 'height' | 'temperature',
  unit: string,
  low: number,
  high: number,
): number | null {
  const text = values[name];
  if (text === undefined) return null;
  const number = Number(new RegExp(`^(-?\\d+(?:\\.\\d+)?) ?${unit}$`, 'i').exec(text)?.[1]);
  return number >= low && number <= high
    ? number
    : fail(commandLineWords.nameIsLowToHigh(name, low, high, unit, unit, text));
}

/** Standard input may be the dressing: a file of the dish is read once for all stages. */
const dishText = values.dish === undefined ? null : input(values.dish);
function dishAsked(portions: ReturnType<typeof portionsOf>) {
  if (dishText === null) return {};
  const said = dishAskOf(dishText, spoonSystem(), values.dressed, values.minutes);
  return typeof said === 'string' ? fail(said) : { dish: dishOfText(portions, said) };
}

function batchAsked(portions: ReturnType<typeof portionsOf>, style: Style | null, round: RoundTo | null) {
  const text = values['scale-to'];
  if (text === undefined) {
    if (values['hold-back'] || values.vessel !== undefined) fail(commandLineWords.sayWithScaleToHow);
    return {};
  }
  const target = readTarget(text) ?? fail(commandLineWords.textIsNoSize12(text));
  const loss = Number(/^(\d+(?:\.\d+)?) ?%$/.exec(values.loss)?.[1]);
  if (!(loss >= 0 && loss <= 50)) fail(commandLineWords.lossIs0To50(values.loss));
  return batchFrom(portions, [], {
    target,
    style,
    spoons: spoonSystem(),
    tool: toolNamed(),
    lossShare: loss / 100,
    rounding: values.round === 'bought' ? 'bought' : (round?.kind ?? 'exact'),
    readabilityG: round && 'readabilityG' in round ? round.readabilityG : 1,
    school: values['hold-back'] ? 'hold-back' : 'by-weight',
    vesselMl: volumeMl(values.vessel),
  });
}

const toolNamed = () =>
  values.tool === undefined
    ? null
    : (TOOLS.find((name) => name === values.tool) ??
      fail(commandLineWords.toolIsNoToolTools(values.tool, TOOLS.join(', '))));

function holdAsked(portions: ReturnType<typeof portionsOf>, unread: readonly string[]) {
  const tool = toolNamed();
  if (tool === null) return {};
  const heightMm = measured('height', 'mm', 5, 2000);
  return holdOfText(portions, {
    unread,
    tool,
    mixS: measured('mix', 's', 1, 3600),
    heightM: heightMm === null ? null : heightMm / 1000,
    temperatureC: measured('temperature', 'C', 0, 60),
  });
}

function balance(portions: ReturnType<typeof portionsOf>, style: Style | null, unread: readonly string[]) {
  const ids = (text: string) => text.split(',').map((id) => ingredientNamed(id.trim()));
  const [from, to] = (values.swap ?? '').split('=');
  if (values.swap !== undefined && !(from && to)) fail(commandLineWords.swapIsNoSwapSuch(values.swap));
  if (values.mend !== undefined && portions.length === 0) fail(commandLineWords.thereIsNothingInThe);
  const [complaint, ...also] = values.mend === undefined ? [] : complaints();
  return {
    ...(complaint === undefined
      ? {}
      : mend(portions, {
          unread,
          complaint,
          also: also.map((other) => ({ complaint: other, severity: severity() })),
          measuring: measuringWith(spoonSystem()),
          severity: severity(),
          roomMl: volumeMl(values.room),
          allow: values.allow === undefined ? null : ids(values.allow),
          style,
        })),
    ...(from && to ? { swaps: swap(portions, ingredientNamed(from), ingredientNamed(to), style) } : {}),
  };
}

try {
  run();
} catch (error) {
  if (error instanceof NoReading) fail(commandLineWords.lineIsNoReading(error.line, error.text));
  if (error instanceof UnknownIngredient || error instanceof CannotPlan) fail(error.message);
  throw error;
}
