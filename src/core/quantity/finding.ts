/**
 * What a reading leaves open (doubts) or could not make out (problems), as data. The sentences are
 * rendered here and nowhere else, for the command line and the screens alike.
 */
export type Doubt =
  | { readonly code: 'thousands-or-decimal'; readonly text: string; readonly takenAs: number }
  | { readonly code: 'mixed-or-range'; readonly text: string; readonly takenAs: number }
  | { readonly code: 'ounce-weight-or-volume'; readonly choices: readonly string[] }
  | { readonly code: 'part-size'; readonly partVolumeMl: number }
  | { readonly code: 'counted-as'; readonly unit: string; readonly ingredient: string }
  | { readonly code: 'no-amount-said'; readonly ingredient: string }
  | {
      readonly code: 'first-of-two';
      readonly taken: string;
      readonly other: string;
      /** Where the other is in the pantry: it is one key away. */
      readonly otherId?: string;
    }
  | {
      readonly code: 'amounts-differ';
      readonly kept: string;
      readonly otherG: number;
      readonly keptG: number;
    }
  | { readonly code: 'ingredient-guessed'; readonly text: string; readonly ingredient: string };

export type Problem =
  | { readonly code: 'empty' }
  | { readonly code: 'no-amount'; readonly text: string }
  | {
      readonly code: 'no-unit';
      readonly ingredient: string;
      readonly units: readonly string[];
      /** Likely answers, as amounts that are read. */
      readonly amounts?: readonly string[];
    }
  | {
      readonly code: 'no-unit-weight';
      readonly unit: string;
      readonly ingredient: string;
      readonly units: readonly string[];
      readonly amounts?: readonly string[];
    }
  /** A jar, a packet: how much is in it was not said. */
  | {
      readonly code: 'pack-size';
      readonly pack: string;
      readonly ingredient: string;
      readonly amounts: readonly string[];
    }
  | { readonly code: 'bad-number'; readonly text: string }
  | { readonly code: 'negative'; readonly text: string }
  | { readonly code: 'too-large'; readonly limitKg: number }
  | { readonly code: 'leftover'; readonly text: string }
  | { readonly code: 'two-things'; readonly text: string }
  | { readonly code: 'no-ingredient' }
  | { readonly code: 'unknown-ingredient'; readonly text: string; readonly near: readonly string[] }
  | {
      readonly code: 'ambiguous-ingredient';
      readonly text: string;
      readonly near: readonly string[];
    };
