/** What every form says. */
export const formWords = {
  save: 'Save',
  backToWhatIsSaved: 'Back to what is saved',
  notSavedYet: 'Not saved yet.',
  saved: 'Saved.',
  keptHere: 'Kept in this browser; sent when the server is back',
  changedElsewhereToo: 'Saved, but for what was changed elsewhere too: choose above',
  saving: 'Saving…',
  notSaved: (error: string) => `Not saved. ${error}`,
  aNumber: 'A number, such as 4.2.',
  /** "at most 5" → "At most 5."; "pH is 0 to 14" keeps its first letter. */
  sentence: (problem: string) =>
    `${/^\p{Ll}\p{Lu}/u.test(problem) ? '' : problem.charAt(0).toUpperCase()}${problem.slice(/^\p{Ll}\p{Lu}/u.test(problem) ? 0 : 1)}.`,
};
