import type { ImportReport } from '#contract';

/** What came of bringing a document in. */
export function sayReport({ added, same, beside, ingredientsAdded, ingredientsKept }: ImportReport): string {
  const say = (count: number, words: string): string[] => (count > 0 ? [`${count} ${words}`] : []);
  const all = [
    ...say(added.length, 'formulas brought in'),
    ...say(beside.length, 'set beside others of their id'),
    ...say(same.length, 'here already'),
    ...say(ingredientsAdded, 'ingredients of its own'),
    ...say(ingredientsKept.length, 'ingredients kept as this kitchen has them'),
  ];
  return all.length > 0 ? `${all.join('; ')}.` : 'There was nothing in it.';
}
