/**
 * What was done to garlic, onion or chilli changes how much it bites, and nothing else: never its
 * hazard. Factors on the raw, minced index; tag: estimate, to be calibrated by tasting.
 */
import type { PungencyKind } from '#core/ingredient';

interface FormRule {
  readonly pattern: RegExp;
  readonly kinds: readonly PungencyKind[];
  readonly factor: number;
}

/** First match counts: gentler treatments before the knife. */
const RULES: readonly FormRule[] = [
  { pattern: /taken out|lifted out|removed after|steeped|infused/i, kinds: ['garlic', 'heat'], factor: 0.15 },
  { pattern: /confit|roast/i, kinds: ['garlic'], factor: 0.15 },
  { pattern: /blanched|boiled|poached/i, kinds: ['garlic'], factor: 0.3 },
  { pattern: /sweated|softened|fried|cooked/i, kinds: ['garlic'], factor: 0.35 },
  {
    pattern: /\b(?:soaked|rinsed) (?:in|under) (?:cold |iced? )?water|\bsoaked\b/i,
    kinds: ['garlic'],
    factor: 0.6,
  },
  { pattern: /without (?:its |the )?seeds|deseeded|seeded|seeds out/i, kinds: ['heat'], factor: 0.5 },
  { pattern: /\b(?:paste|pounded|puréed|pureed|pressed|crushed)\b/i, kinds: ['garlic'], factor: 1.2 },
  { pattern: /\b(?:whole|bruised|halved)\b/i, kinds: ['garlic', 'heat'], factor: 0.25 },
  { pattern: /\bsliced\b/i, kinds: ['garlic'], factor: 0.6 },
  { pattern: /\b(?:chopped|diced)\b/i, kinds: ['garlic'], factor: 0.8 },
];

/** 1 for raw and minced or where nothing is said. */
export function formFactor(kind: PungencyKind, form: string): number {
  return RULES.find(({ pattern, kinds }) => kinds.includes(kind) && pattern.test(form))?.factor ?? 1;
}
