/** A kitchen at work: days, edits, readings, repairs. */
export const atWorkWords = {
  vVersionWhichCannotBe: (version: number) => `v${version}, which cannot be looked up now`,
  textTheDayBefore: (text: string) => `${text} the day before`,
  textTheDayAfter: (text: string) => `${text} the day after`,
  someTasksWaitForEach: 'Some tasks wait for each other.',
  someTasksHaveNoService: 'Some tasks have no service to be ready for.',
  thereIsNoMissingIn: (missing: string) => `There is no ${missing} in it to set a ratio with.`,
  theSideIsLockedAt: (side: string) =>
    `The ${side} is locked at more than this ratio allows. Unlock it, or let the other side follow.`,
  nameCameOutAmount: (name: string, amount: string) => `${name} came out ${amount}.`,
  nothingToChange: 'Nothing to change: ',
  firstStage: 'Base',
  stageNumber: (number: number) => `Stage ${number}`,
  stageNeedsAName: 'Give the stage a name.',
  anotherStageIsCalledSo: 'Another stage is called so.',
  stagesAreFull: (most: number) => `A formula has at most ${most} stages.`,
  nameCameOutAmountForm: (name: string, amount: string, form: string, title: string, move: string) =>
    `${name} came out ${amount}. ${form}${title} ${move}.`,
};
