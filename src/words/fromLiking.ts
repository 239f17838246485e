/** What may be off in a jar, as chips. */
import type { Chip } from '#core/liking';
import { ROW_WORDS } from './trial';

export interface ChipWord {
  readonly chip: Chip;
  readonly says: string;
}
const both = (measure: Chip['measure'], [low, high]: readonly [string, string]): readonly ChipWord[] => [
  { chip: { measure, says: 'too-little' }, says: low },
  { chip: { measure, says: 'too-much' }, says: high },
];
const much = (measure: Chip['measure'], says: string): ChipWord => ({
  chip: { measure, says: 'too-much' },
  says,
});

export const CHIP_WORDS: readonly ChipWord[] = [
  ...both('acid', ROW_WORDS.acid),
  ...both('salt', ROW_WORDS.salt),
  ...both('sweet', ROW_WORDS.sweet),
  ...both('fat', ROW_WORDS.oil),
  ...both('body', ROW_WORDS.body),
  much('garlic', 'too much garlic or onion'),
  much('heat', 'too hot'),
  much('mustard', 'too much mustard'),
  much('bitter', ROW_WORDS.bitter[1]),
];
