/** What stands on labels, strips and in printed margins. */
import { spoken } from '../tongue';

export const labelWords = spoken('label', {
  labelsBatchnumber: (batchNumber: string) => `Labels ${batchNumber}`,
  labelBatchnumber: (batchNumber: string) => `Label ${batchNumber}`,
  versionBatchBatchnumber: (version: string, batchNumber: string) => `${version} · batch ${batchNumber}`,
  madeMadeat: (madeAt: string) => `Made ${madeAt}`,
  useByUsebyKeepat: (useBy: string, keepAt: string) => `Use by ${useBy}, ${keepAt}`,
  moreOnTheBatchSheet: 'More on the batch sheet.',
  titlePagePage: (title: string, page: number) => `${title} · page ${page}`,
  dressing: 'Dressing',
  pullListPartBatchNumber: (part: string, number: string) => `Pull list, ${part}, batch ${number}`,
  pullListDay: (day: string) => `Pull list, ${day}`,
  jarStripName: (name: string) => `Jar strip: ${name}`,
  n0InsideFloor: '0 inside floor',
  printAt100NeverFit: 'Print at 100 %, never “fit to page”.',
  checkThisBarIsCheckbarmm: (checkBarMm: number) =>
    `Check: this bar is ${checkBarMm} mm long. If it is not, the jar will be wrong.`,
  cutTheStripOutAnd: (floorMm: number) =>
    `Cut the strip out and tape it upright on the outside, its lower edge where the jar stands. The floor line counts ${floorMm} mm of glass.`,
  theWallIsNotStraight: 'The wall is not straight: press the paper along it.',
  fillInOrderEachUp:
    'Fill in order, each up to its line. A dashed line is too little to see: use the spoon that stands beside it.',
  thereIsNoBatchBatchid: (batchId: string) => `There is no batch “${batchId}”. Its id stands in its address.`,
  kindOfBatchBatchidIs: (kind: string, batchId: string, file: string, ceil: number) =>
    `${kind} of batch ${batchId} is in ${file} (${ceil} kB).`,
});
