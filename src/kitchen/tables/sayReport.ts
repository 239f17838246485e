import { tablesWords } from '#words/screens/tables';
import type { ImportReport } from '#contract';

/** What came of bringing a document in. */
export function sayReport({ added, same, beside, ingredientsAdded, ingredientsKept }: ImportReport): string {
  const say = (count: number, words: string): string[] => (count > 0 ? [`${count} ${words}`] : []);
  const all = [
    ...say(added.length, tablesWords.formulasBroughtIn),
    ...say(beside.length, tablesWords.setBesideOthersOfTheir),
    ...say(same.length, tablesWords.hereAlready),
    ...say(ingredientsAdded, tablesWords.ingredientsOfItsOwn),
    ...say(ingredientsKept.length, tablesWords.ingredientsKeptAsThisKitchen),
  ];
  return all.length > 0 ? `${all.join('; ')}.` : tablesWords.thereWasNothingInIt;
}
