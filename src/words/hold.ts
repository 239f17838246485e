/** The hold in a cook's words, never with more digits than it deserves. Rendered here and nowhere else. */
import { sentencesNow, spoken } from './tongue';
import type { EmulsifierKind } from '#core/ingredient';
import type { Tool } from '#core/formula';
import {
  type Hold,
  type LimitedBy,
  type OilState,
  type Pace,
  type PourPlan,
  type Remix,
  type Thickness,
  type ThicknessClass,
  type Trouble,
} from '#core/emulsion';

export const TOOL_WORDS: Readonly<Record<Tool, string>> = spoken('tools', {
  fork: 'Fork',
  shake: 'Jar, shaken',
  whisk: 'Hand whisk',
  frother: 'Frother',
  mortar: 'Mortar',
  processor: 'Food processor',
  blender: 'Blender',
  stick: 'Stick blender',
  'stick-pro': 'Large stick blender',
});

const [MINUTE, HOUR, DAY] = [60, 3600, 86_400];
const FRACTIONS: readonly (readonly [number, string])[] = [
  [0, ''],
  [0.25, '¼'],
  [0.5, '½'],
  [0.75, '¾'],
  [1, ''],
];

/** "about 2½ h", "40 min", "3 days": two figures at most; below a minute "less than a minute". */
export function sayDuration(seconds: number): string {
  const other = sentencesNow()?.duration(seconds);
  if (other !== undefined) return other;
  if (seconds < MINUTE) return 'less than a minute';
  if (seconds < 1.5 * HOUR) {
    const minutes = seconds / MINUTE;
    return `${minutes < 10 ? Math.round(minutes) : Math.round(minutes / 5) * 5} min`;
  }
  if (seconds < 36 * HOUR) return inHalves(seconds / HOUR, 'h', 'h');
  return inHalves(seconds / DAY, 'day', 'days');
}

function inHalves(value: number, one: string, many: string): string {
  if (value >= 10) return `${Math.round(value)} ${many}`;
  const halves = Math.round(value * 2) / 2;
  const whole = Math.floor(halves);
  const part = halves - whole > 0.25 ? '½' : '';
  const text = `${whole > 0 ? whole : ''}${part}` || FRACTIONS[2]![1];
  return `${text} ${halves > 1 ? many : one}`;
}

const LAYER_WORDS = { watery: 'a watery layer shows at the bottom', oil: 'oil shows on top' } as const;

/** One sentence of one finding: "Holds about 2½ h (1 to 6 h), then a watery layer shows at the bottom; shake again." */
export function sayHold(hold: Hold): string {
  const other = sentencesNow()?.hold(hold);
  if (other !== undefined) return other;
  const { medianS, lowS, highS, firstLayer, state } = hold;
  if (state.split) {
    const holder = state.mainEmulsifier === 'none' ? 'water' : BINDER_WORDS[state.mainEmulsifier];
    return `It has split: more oil than its ${holder} holds. See how to save it.`;
  }
  if (state.settling.ruledBy === 'nothing') return 'Nothing in it separates.';
  if (medianS === null) return 'Holds beyond 14 days: food safety, not physics, limits it.';
  const then = firstLayer === null ? '' : `, then ${LAYER_WORDS[firstLayer]}; shake again`;
  const span = `${sayDuration(lowS!)} to ${sayDuration(highS!)}`;
  return `Holds about ${sayDuration(medianS)} (${span})${then}.`;
}

/** A tenth of a teaspoon is no amount; a jug is no dressing. */
const millilitres = (ml: number): string =>
  `${ml < 20 ? Math.max(1, Math.round(ml)) : Math.round(ml / 5) * 5}`;

/** "It takes about 60 ml more oil (40 to 80)." Empty where nothing in it could hold any. */
function sayRoom({ roomForOilMl: room, split }: Hold['state']): string {
  if (!room) return '';
  const { nominal, low, high } = room;
  if (nominal < 0)
    return `About ${millilitres(-nominal)} ml of its oil is too much (${millilitres(Math.max(1, -high))} to ${millilitres(-low)}).`;
  if (split) return '';
  if (low <= 0) return `It takes no more oil for certain, ${millilitres(high)} ml at most.`;
  return `It takes about ${millilitres(nominal)} ml more oil (${millilitres(low)} to ${millilitres(high)}).`;
}

/** Within so much of its limit, as a share of its oil, a cook wants to know before pouring on. */
const NEAR_ROOM = 0.6;
/** The same, only where it is a matter of the next pour. */
function sayRoomIfNear({ state }: Hold): string {
  const { roomForOilMl: room, phases } = state;
  const oilMl = (phases.freeOilM3 + phases.preEmulsifiedM3) * 1e6;
  const built = state.mainEmulsifier === 'yolk' || state.nearLimit || state.split;
  return room && built && room.nominal < NEAR_ROOM * oilMl ? sayRoom(state) : '';
}

/** How thick, how long, what comes first and what more it takes, from one finding. */
export function sayMixed(hold: Hold): string {
  const { state } = hold;
  if (state.split) return [sayHold(hold), sayRoom(state)].filter(Boolean).join(' ');
  const thick = sayThickness(state.thickness);
  const said = [`${thick.charAt(0).toUpperCase()}${thick.slice(1)} (estimate).`, sayHold(hold)];
  return [...said, sayRoomIfNear(hold)].filter(Boolean).join(' ');
}

/** "pours like cream", or both where it may be either. */
export function sayThickness(thickness: Thickness): string {
  const other = sentencesNow()?.thick(thickness);
  if (other !== undefined) return other;
  const {
    class: is,
    classes: [thin, thick],
  } = thickness;
  if (thin === thick) return THICKNESS_WORDS[is];
  return `${THICKNESS_WORDS[thin]} to ${THICKNESS_WORDS[thick]}`;
}

/** Shorter or longer than this factor is worth a word. */
const WORTH_SAYING = 1.15;

/** "From coats a spoon to pours like cream; holds about half as long." Empty where neither changes; null: nothing separates. */
export function sayHoldMove(before: Hold | null, after: Hold | null): string {
  if (!after) return '';
  const other = sentencesNow()?.holdMove(before, after);
  if (other !== undefined) return other;
  if (after.state.split && !before?.state.split) return 'It would split.';
  const parts: string[] = [];
  const [was, is] = [before?.state.thickness.class, after.state.thickness.class];
  if (was && was !== is) parts.push(`From ${THICKNESS_WORDS[was]} to ${THICKNESS_WORDS[is]}`);
  if (before && before.medianS !== null && after.medianS !== null) {
    const factor = after.medianS / before.medianS;
    if (factor >= WORTH_SAYING || factor <= 1 / WORTH_SAYING)
      parts.push(`holds about ${sayDuration(after.medianS)} instead of ${sayDuration(before.medianS)}`);
  } else if (before && before.medianS === null && after.medianS !== null)
    parts.push(`holds about ${sayDuration(after.medianS)} instead of weeks`);
  const text = parts.join('; ');
  return text === '' ? 'Holds and pours as before.' : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

export const BINDER_WORDS: Readonly<Record<EmulsifierKind, string>> = spoken('binders', {
  yolk: 'yolk',
  milk: 'dairy',
  lecithin: 'lecithin',
  mustard: 'mustard',
  protein: 'protein',
  weak: 'weak binders',
  none: 'nothing',
});

export const LIMIT_WORDS: Readonly<Record<LimitedBy, string>> = {
  drops: 'The drops are coarse: they rise fast. A finer tool or longer mixing helps most.',
  emulsifier: 'Too little holds the drops: they flow together. More binder helps most.',
  thickness: 'The water side is thin: drops rise through it.',
  'oil-share': 'There is more oil than the water side holds: the oil is outside.',
  body: 'Its body weeps in time, as yoghurt does: stir it through again.',
  pieces: 'What is cut into it gives off water: salt and drain it first, or put it in last.',
  nothing: 'Nothing limits it within two weeks.',
};

export const THICKNESS_WORDS: Readonly<Record<ThicknessClass, string>> = spoken('thickness', {
  runny: 'runny',
  'pours-like-cream': 'pours like cream',
  'coats-a-spoon': 'coats a spoon',
  spoonable: 'spoonable',
  'holds-its-shape': 'holds its shape',
  stiff: 'stiff',
});

export const OIL_STATE_WORDS: Readonly<Record<OilState, string>> = {
  clear: 'stays clear in the fridge',
  cloudy: 'may turn cloudy in the fridge',
  grainy: 'may turn grainy and thick in the fridge',
  set: 'may set in the fridge',
};

export const TROUBLE_WORDS: Readonly<Record<Trouble, string>> = {
  split: 'Split',
  'wont-take': 'Will not take the oil',
  'too-thick': 'Too thick',
  'too-thin': 'Too thin',
  'set-in-fridge': 'Set in the fridge',
};

const PACE_WORDS: Readonly<Record<Pace, string>> = {
  drops: 'in drops',
  'thin-thread': 'in a thin thread',
  stream: 'in a stream',
};

/** "the first 25 ml in drops (40 s), 180 ml in a thin thread (2 min)". */
export function sayPour(plan: PourPlan, tool: Tool): string {
  const other = sentencesNow()?.pour(plan, tool);
  if (other !== undefined) return other;
  if (plan.status === 'all-at-once') {
    return tool === 'shake'
      ? 'Everything into the jar, then shake.'
      : 'All the oil at once; the head takes it in from below.';
  }
  return `Oil with the ${TOOL_WORDS[tool].toLowerCase()}: ${sayStages(plan)}`;
}

/** How fast a pour may be, stage by stage. */
export function sayStages(plan: Extract<PourPlan, { status: 'stages' }>): string {
  const stages = plan.stages.map(({ pace, volumeMl, seconds, toMlPerMin }) => {
    return `${Math.max(1, Math.round(volumeMl / 5) * 5)} ml ${PACE_WORDS[pace]} (${sayPace(seconds)}, up to ${Math.round(toMlPerMin / 5) * 5 || Math.round(toMlPerMin)} ml a minute)`;
  });
  return `${stages.join(', then ')}; ${sayPace(plan.totalS)} in all.`;
}

const sayPace = (seconds: number): string =>
  seconds < 90 ? `${Math.max(5, Math.round(seconds / 5) * 5)} s` : `${Math.round(seconds / 30) / 2} min`;

export function sayRemix(remix: Remix): string {
  if (remix.kind === 'each-portion') return 'In service: stir at each portion.';
  if (remix.kind === 'before-service') return 'In service: mix once before it.';
  const minutes = remix.seconds / 60;
  // Rounded down: sooner is safer.
  return minutes < 120
    ? `In service: mix again every ${Math.max(5, Math.floor(minutes / 5) * 5)} minutes.`
    : `In service: mix again every ${Math.floor(minutes / 60)} hours.`;
}
