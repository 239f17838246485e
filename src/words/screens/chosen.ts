/** Several jars of the shelf at once. */
export const chosenWords = {
  chosenJars: 'Chosen jars',
  pressTheJars: 'Press the jars you mean.',
  countChosen: (count: number) => (count === 1 ? 'one chosen' : `${count} chosen`),
  chooseAllSeen: 'All of these',
  archiveThem: 'Archive them',
  labelsOfThem: 'Print their labels',
  labelSize: 'Label size',
  exportThem: 'Export them',
  doneChoosing: 'Done',
};
