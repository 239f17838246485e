/** Tables brought in and taken out. */
export const tablesWords = {
  theTableLineLineMessage: (line: number, message: string) => `The table, line ${line}: ${message}`,
  theTableHasNoColumn: (missing: string) => `The table has no column ${missing}.`,
  aRecordInTheTable: 'A record in the table cannot be read.',
  notUnderstood: 'not understood',
  whereItsRecordIsCut: (where: string) =>
    `${where}: its record is cut off or was changed. Save the table anew.`,
  changedInTheTableChanged: (changed: string) =>
    `Changed in the table: ${changed}. Leave the rows of one changed formula in it; they become a draft.`,
  aRow: 'A row',
  whereColumnTextIsNo: (where: string, column: string, text: string) =>
    `${where}: ${column} “${text}” is no number.`,
  jarCutAnEventIs: (cut: string) => `Jar ${cut}: an event is cut off. Save the table anew.`,
  jarId: (id: string) => `Jar ${id}`,
  batchNumber: (number: string) => `Batch ${number}`,
  thisBeginsLikeJsonAnd: 'This begins like JSON and is not whole: copy all of it, or choose the file.',
  thereIsNoRecipeIn: 'There is no recipe in it that a program can read. Copy the words of the page instead.',
  formulasBroughtIn: 'formulas brought in',
  setBesideOthersOfTheir: 'set beside others of their id',
  hereAlready: 'here already',
  ingredientsOfItsOwn: 'ingredients of its own',
  ingredientsKeptAsThisKitchen: 'ingredients kept as this kitchen has them',
  thereWasNothingInIt: 'There was nothing in it.',
};
