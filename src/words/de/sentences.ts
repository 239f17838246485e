/** Sentences made by German grammar. */
import { complaintsOf } from '#core/trial';
import type { CautionCode } from '#core/safety';
import { formatCount, type Unit } from '#core/quantity';
import type { Sentences } from '../tongue';
import { capital, comma, duration, ingredient, listed, names, plain, PLANT, quoted } from './grammar';
import { ALLERGENS, SHORT, VESSELS } from './ingredients';
import { OFF } from './off';
import { binders, complaints, measures, on, thickness, tools } from './rooms';
import { problem } from './reading';
import { pour, rescue, stepNote, tip } from './steps';

const UNITS: Readonly<Partial<Record<Unit, readonly [one: string, more: string]>>> = {
  pinch: ['eine Prise', 'Prisen'],
  squeeze: ['ein Spritzer', 'Spritzer'],
  splash: ['ein Schuss', 'Schuss'],
  yolk: ['ein Eigelb', 'Eigelb'],
  tsp: ['TL', 'TL'],
  tbsp: ['EL', 'EL'],
  cup: ['Tasse', 'Tassen'],
  dash: ['ein Spritzer', 'Spritzer'],
  drop: ['ein Tropfen', 'Tropfen'],
  clove: ['eine Zehe', 'Zehen'],
};
const SPOONS: Readonly<Record<string, string>> = { tsp: 'TL', tbsp: 'EL', cup: 'Tasse', cups: 'Tassen' };
const COUNTS = ['', '', 'zwei', 'drei', 'vier', 'fünf', 'sechs'];
const NAMED: ReadonlySet<Unit> = new Set<Unit>([
  'pinch',
  'squeeze',
  'splash',
  'yolk',
  'dash',
  'drop',
  'clove',
]);

/** An adjective or a verb: no noun begins these. */
const small = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

function gesture({ unit, count }: { readonly unit: Unit; readonly count: number }): string {
  const words = UNITS[unit];
  if (!words) return `${formatCount(count)} ${unit}`;
  if (!NAMED.has(unit)) return `${formatCount(count)} ${words[count > 1 ? 1 : 0]}`;
  return count === 1 ? words[0] : `${COUNTS[count] || formatCount(count)} ${words[1]}`;
}

const MAY_ALSO = new Set<CautionCode>([
  ...(['raw_egg', 'raw_food', 'infants_honey', 'sprouts', 'infused_oil'] as const),
]);

export const sentences: Sentences = {
  listed,
  gesture,
  duration,
  best: (from, to, keepsDays) => {
    const time = (minutes: number): string => duration(minutes * 60);
    const whole = to >= keepsDays * 1440;
    if (from === 0)
      return whole ? 'Sofort so gut wie später, solange es hält.' : `Am besten binnen ${time(to)}.`;
    return whole
      ? `Am besten ab ${time(from)} nach dem Mischen, solange es hält.`
      : `Am besten ${time(from)} bis ${time(to)} nach dem Mischen.`;
  },
  pour,
  stepNote,
  rescue,
  problem,
  tip,
  ingredient,
  alsoCalled: (name) => SHORT[name] ?? [],
  measured: (text) => text.replace(/\b(tsp|tbsp|cups?)\b/g, (unit) => SPOONS[unit] ?? unit),
  vessel: (name) => VESSELS[name] ?? name,
  inSentence: (name) => ingredient(name),
  tasting: (tasting) => {
    const said = complaintsOf(tasting).map(
      ({ complaint, severity }) => `${small(complaints[complaint])} ${severity}`,
    );
    const faint = (tasting.rows.bite ?? 0) < 0 ? ['schwach'] : [];
    const words = tasting.right ? ['richtig'] : [...said, ...faint];
    return capital([...(words.length > 0 ? words : ['nichts auszusetzen']), on[tasting.on]].join(', '));
  },
  deed: ({ deed, said, note }, tool, words) => {
    if (said) return said;
    if (note) return stepNote(note, words);
    switch (deed) {
      case 'stir':
        return 'Rühren, bis das Salz gelöst ist';
      case 'steep':
        return 'In der Säure ziehen lassen: milder';
      case 'whisk-base':
        return tool === 'whisk' || tool === 'fork' || tool === 'shake'
          ? 'Die Basis glatt rühren'
          : `Die Basis glatt mixen: ${tools[tool]}`;
      case 'mix':
        return tool === 'shake' ? 'Verschließen und schütteln' : `Mixen: ${tools[tool]}`;
      case 'said':
        return 'Wie geschrieben';
    }
  },
  off: ({ measure, direction }, degree) => OFF[measure][direction === 'low' ? 0 : 1](degree),
  why: (offs) => (offs.length === 0 ? 'Richtig' : capital(offs.join(', '))),
  finding: (finding, fitted, caution) => {
    const whole = (before: string) => ({ before, style: null, after: '' });
    switch (finding.kind) {
      case 'empty':
        return whole('Noch nichts im Glas. Eintippen, was zuerst hineinkommt.');
      case 'unsafe':
        return whole(caution(finding.caution));
      case 'split':
        return whole('Es gerinnt: mehr Öl, als es halten kann.');
      case 'unread':
        return whole(
          `Nicht zu lesen: ${quoted(finding.words)}. Zählt als das Schlimmste, was es sein kann; der Rest wird ohne es beurteilt.`,
        );
      case 'unjudged':
        return whole('Wie keine Art, die hier bekannt ist.');
      case 'right':
        return fitted
          ? { before: 'Richtig so, als', style: finding.style.name, after: ', wozu es am besten passt.' }
          : { before: 'Richtig für', style: finding.style.name, after: '.' };
      case 'off': {
        const off = capital(
          OFF[finding.reason.measure][finding.reason.direction === 'low' ? 0 : 1](finding.degree),
        );
        return {
          before: `${off} für`,
          style: finding.style.name,
          after: fitted ? ', wozu es am besten passt.' : '.',
        };
      }
    }
  },
  complaints: (said) =>
    `${capital(
      listed(
        said.map(({ complaint, severity }) => {
          const word = complaints[complaint];
          if (severity !== 1) return small(word);
          if (word.startsWith('Braucht ')) return `braucht etwas ${word.slice('Braucht '.length)}`;
          return word.startsWith('Zu ')
            ? `etwas zu ${word.slice(3)}`
            : `etwas ${word.charAt(0).toLowerCase()}${word.slice(1)}`;
        }),
      ),
    )}.`,
  dose: ({ mayAdd, gesture: by }, amount, said) => {
    if (!by || by.unit === 'g') return `${amount} ${plain(mayAdd.ingredient.name)}`;
    return by.unit === 'yolk' ? said : `${said} ${plain(mayAdd.ingredient.name)}`;
  },
  enough: (name, most) =>
    most === null ? `Mehr ${plain(name)} als das ist zu viel.` : `Über ${most} hinaus ist es zu viel.`,
  impossible: (why, aside) => {
    const reason =
      why.kind === 'room'
        ? why.aQuarter
          ? `Ganz braucht es ${why.ml} ml mehr, ${why.doses}: über ein Viertel dessen, was im Glas ist`
          : `Es passt nicht hinein: es braucht ${why.ml} ml mehr Platz, ${why.doses}`
        : why.kind === 'in-the-way'
          ? `Dazugeben allein reicht nicht: ${listed(why.measures.map((key) => measures[key].title))} ginge über das hinaus, was die Art verlangt`
          : 'Nichts im Vorrat hilft';
    if (!aside) return `${reason}.`;
    return `${reason}; ${shareOf(aside.share)} beiseitestellen und mit ${plain(aside.by)} neu auffüllen, oder es als Basis behalten.`;
  },
  hold: ({ medianS, lowS, highS, firstLayer, state }) => {
    if (state.split) {
      const holder = state.mainEmulsifier === 'none' ? 'das Wasser' : binders[state.mainEmulsifier];
      return `Es ist geronnen: mehr Öl, als ${holder} hält.`;
    }
    if (state.settling.ruledBy === 'nothing') return 'Nichts darin trennt sich.';
    if (medianS === null) return 'Hält länger als 14 Tage: die Haltbarkeit begrenzt es, nicht die Physik.';
    const then =
      firstLayer === null
        ? ''
        : `, dann ${firstLayer === 'oil' ? 'steht Öl oben' : 'zeigt sich unten eine wässrige Schicht'}; wieder schütteln`;
    return `Hält etwa ${duration(medianS)} (${duration(lowS!)} bis ${duration(highS!)})${then}.`;
  },
  thick: ({ class: is, classes: [thin, thick] }) =>
    thin === thick ? thickness[is] : `${thickness[thin]} bis ${thickness[thick]}`,
  holdMove: (before, after) => {
    if (after.state.split && !before?.state.split) return 'Es würde gerinnen.';
    const said: string[] = [];
    const [was, is] = [before?.state.thickness.class, after.state.thickness.class];
    if (was && was !== is) said.push(`statt „${thickness[was]}“ nun „${thickness[is]}“`);
    if (before && after.medianS !== null) {
      const factor = before.medianS === null ? 0 : after.medianS / before.medianS;
      if (factor >= 1.15 || factor <= 1 / 1.15)
        said.push(
          `hält etwa ${duration(after.medianS)} statt ${before.medianS === null ? 'Wochen' : duration(before.medianS)}`,
        );
    }
    return said.length === 0 ? 'Hält und fließt wie zuvor.' : `${capital(said.join('; '))}.`;
  },
  ph: (ph, reasons) => {
    if (ph.status === 'refused') return `Kein pH: ${reasons.join('; ')}.`;
    if (ph.value === null) return `pH höchstens etwa ${comma(ph.high!, 1)}, gerechnet: messen.`;
    return `pH etwa ${comma(ph.value, 1)} (${comma(ph.low!, 1)} bis ${comma(ph.high!, 1)}), gerechnet: zur Bestätigung messen.`;
  },
  standing: (base, changed) =>
    base === null ? 'noch keine Version' : changed ? `v${base} + Änderungen` : `v${base}`,
  simulated: (instrument) => `${instrument} (nachgebildet)`,
  storage: (cold) => (cold ? 'bei 5 °C oder kälter' : 'geschlossen, kühl und dunkel'),
  keeping: ({ days, cold, limit, ingredients }, why) => {
    const time = days === 1 ? 'nur am selben Tag' : `${days} Tage, der Tag der Herstellung mitgezählt`;
    const because = limit === 'under_oil' ? `${names(ingredients, PLANT)} unter Öl` : why;
    return `${cold ? 'Bei 5 °C oder kälter' : 'Geschlossen, kühl und dunkel'}, ${time}: ${because}. Eine Schätzung.`;
  },
  shortCaution: ({ code, ingredients }) => {
    if (!MAY_ALSO.has(code)) return null;
    if (code === 'raw_egg') return 'Rohes Ei: nicht für Kinder, Alte, Schwangere und Kranke';
    if (code === 'infants_honey') return 'Honig: nicht unter 12 Monaten';
    if (code === 'sprouts') return 'Rohe Sprossen: nicht für Kinder, Alte, Schwangere und Kranke';
    if (code === 'raw_food')
      return 'Roh oder nicht pasteurisiert: nicht für Kinder, Alte, Schwangere und Kranke';
    return `${names(ingredients, 'Pflanzen')} unter Öl: nie ungekühlt`;
  },
  allergens: ({ certain, probable, mayBe, missing }) => [
    ...(missing.length > 0 ? [`nicht vollständig (${quoted(missing)})`] : []),
    ...certain.map(allergen),
    ...probable.map((one) => `wahrscheinlich ${allergen(one)}`),
    ...mayBe.map((one) => `vielleicht ${allergen(one)}`),
  ],
  contains: (list, isComplete) =>
    !isComplete
      ? `Allergene ${list}`
      : list === ''
        ? 'Keine gelisteten Allergene bekannt'
        : `Enthält: ${list}`,
};

/** "glutenhaltiges Getreide (Weizen)": the group and what stands in brackets, each by its word. */
function allergen(name: string): string {
  const [, group = name, inside] = /^(.*?)(?: \((.*)\))?$/.exec(name) ?? [];
  const word = (one: string): string => ALLERGENS[one] ?? one;
  return inside === undefined ? word(group) : `${word(group)} (${inside.split(', ').map(word).join(', ')})`;
}

const SHARES: readonly (readonly [number, string])[] = [
  [1 / 4, 'ein Viertel'],
  [1 / 3, 'ein Drittel'],
  [1 / 2, 'die Hälfte'],
  [2 / 3, 'zwei Drittel'],
  [3 / 4, 'drei Viertel'],
];
const shareOf = (share: number): string =>
  SHARES.find(([least]) => share <= least + 0.02)?.[1] ?? 'fast alles';
