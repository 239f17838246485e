import { GERMAN } from '#words/de/index';
import { speaking, type Tongue } from '#words/tongue';

/** Composes in a language. What is composed is whole when it returns; only its bytes may still be on their way. */
export const inTongue = <T>(tongue: Tongue, compose: () => T): T =>
  speaking(tongue === 'de' ? GERMAN : null, compose);
