import { frameWords } from '#words/screens/frame';

/** The doors of the kitchen, in the language that is spoken when they are drawn. */
export const places = (): readonly { readonly to: string; readonly label: string }[] => [
  { to: '/', label: frameWords.shelf },
  { to: '/pantry', label: frameWords.pantry },
  { to: '/batches', label: frameWords.batches },
  { to: '/log', label: frameWords.log },
  { to: '/measures', label: frameWords.myMeasures },
  { to: '/plan', label: frameWords.servicePlan },
  { to: '/practise', label: frameWords.practise },
  { to: '/settings', label: frameWords.settings },
];
