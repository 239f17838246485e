/** German, as far as the station speaks it: making, tasting, weighing out, timers, cautions, labels. */
import type { OtherTongue } from '../tongue';
import { drawing } from './drawn';
import { batchRun, frame, label, paper, parts, sync } from './parts';
import {
  asides,
  binders,
  bites,
  complaints,
  instruments,
  limits,
  measures,
  near,
  on,
  phReasons,
  plans,
  rows,
  sights,
  thickness,
  tools,
  ways,
} from './rooms';
import { cautions } from './cautions';
import {
  practise,
  practiseAmounts,
  practiseFaults,
  practiseKinds,
  practiseRescues,
  practiseSafe,
  practiseSenses,
  practiseSure,
  practiseWhen,
} from './practise';
import { sentences } from './sentences';
import { make, makeWeigh, taste } from './station';

export const GERMAN: OtherTongue = {
  tongue: 'de',
  rooms: {
    make,
    makeWeigh,
    taste,
    parts,
    frame,
    batchRun,
    label,
    paper,
    tools,
    rows,
    bites,
    on,
    ways,
    sights,
    complaints,
    asides,
    cautions,
    limits,
    binders,
    thickness,
    measures,
    near,
    plans,
    phReasons,
    drawing,
    sync,
    instruments,
    practise,
    practiseAmounts,
    practiseFaults,
    practiseKinds,
    practiseRescues,
    practiseSafe,
    practiseSenses,
    practiseSure,
    practiseWhen,
  },
  sentences,
};
