/**
 * "Something lemony and light" as targets: a word leans a measure towards one end of the style's
 * window; a flavour word lets one acid stand alone. Words: common practice; how far: estimate.
 */
import type { Ingredient } from '#core/ingredient';
import type { PalateKey, Style } from '#core/palate';
import type { OnHand, Target } from './formulateRequest';

export interface Leaning {
  /** The word as typed. */
  readonly word: string;
  readonly about:
    | { readonly kind: 'measure'; readonly measure: PalateKey; readonly share: number }
    | { readonly kind: 'acid'; readonly ingredient: Ingredient };
}

const [LOW, HIGH] = [0.15, 0.85];
const WORDS: Readonly<Record<string, readonly [PalateKey, number]>> = {
  light: ['fat', LOW],
  lighter: ['fat', LOW],
  lean: ['fat', LOW],
  rich: ['fat', HIGH],
  richer: ['fat', HIGH],
  sharp: ['acid', HIGH],
  sharper: ['acid', HIGH],
  tart: ['acid', HIGH],
  bright: ['acid', HIGH],
  mild: ['acid', LOW],
  milder: ['acid', LOW],
  gentle: ['acid', LOW],
  sweet: ['sweet', HIGH],
  sweeter: ['sweet', HIGH],
  dry: ['sweet', LOW],
  salty: ['salt', HIGH],
  garlicky: ['garlic', HIGH],
  hot: ['heat', HIGH],
  spicy: ['heat', HIGH],
  mustardy: ['mustard', HIGH],
  thick: ['body', HIGH],
  creamy: ['body', HIGH],
  thin: ['body', LOW],
  pourable: ['body', LOW],
};

export interface ReadLeanings {
  readonly leanings: readonly Leaning[];
  /** Words that say nothing here. */
  readonly unread: readonly string[];
}

const FILLERS: ReadonlySet<string> = new Set([
  ...[
    'something',
    'and',
    'a',
    'an',
    'very',
    'but',
    'not',
    'too',
    'rather',
    'quite',
    'with',
    'more',
    'dressing',
  ],
]);

export function readLeanings(text: string, onHand: readonly OnHand[]): ReadLeanings {
  const leanings: Leaning[] = [];
  const unread: string[] = [];
  for (const word of text.toLowerCase().split(/[^\p{L}]+/u)) {
    if (!word || FILLERS.has(word)) continue;
    const known = WORDS[word];
    const acid = acidNamed(word, onHand);
    if (known) leanings.push({ word, about: { kind: 'measure', measure: known[0], share: known[1] } });
    else if (acid) leanings.push({ word, about: { kind: 'acid', ingredient: acid } });
    else unread.push(word);
  }
  return { leanings, unread };
}

/** "lemony", "limy", "cider" name an acid that is on hand. */
function acidNamed(word: string, onHand: readonly OnHand[]): Ingredient | null {
  const stem = word.replace(/(?:ey|y)$/, '');
  if (stem.length < 3) return null;
  const acids = onHand.map(({ ingredient }) => ingredient).filter(({ isAcidLiquid }) => isAcidLiquid);
  return (
    acids.find(({ name, aliases }) =>
      [name, ...aliases].some(
        (known) => known.toLowerCase().startsWith(stem) || known.toLowerCase().includes(` ${stem}`),
      ),
    ) ?? null
  );
}

/** What the leanings ask of the search: targets, and what may go in. A measure without a window has no ends. */
export function leaningsAsked(
  leanings: readonly Leaning[],
  onHand: readonly OnHand[],
  style: Style | null,
): { readonly targets: readonly Target[]; readonly onHand: readonly OnHand[] } {
  const targets = leanings.flatMap(({ about }): Target[] => {
    if (about.kind !== 'measure') return [];
    const window = style?.windows[about.measure];
    return window
      ? [{ measure: about.measure, value: window.low + about.share * (window.high - window.low) }]
      : [];
  });
  const acids = leanings.flatMap(({ about }) => (about.kind === 'acid' ? [about.ingredient.id] : []));
  return {
    targets,
    onHand:
      acids.length === 0
        ? onHand
        : onHand.filter(
            ({ ingredient, minG }) => minG > 0 || !ingredient.isAcidLiquid || acids.includes(ingredient.id),
          ),
  };
}
