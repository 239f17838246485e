import { frameWords } from '#words/screens/frame';

const PATHS = ['compose', 'make', 'taste', 'batch', 'serve', 'versions', 'log'] as const;

/** The stages of a formula in working order, in the language that is spoken when they are drawn. */
export const stages = (): readonly { readonly path: (typeof PATHS)[number]; readonly label: string }[] =>
  PATHS.map((path) => ({ path, label: frameWords.stageTitles[path]! }));
