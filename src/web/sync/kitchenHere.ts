/**
 * Which kitchen this browser talks to. Every answer says it, everything kept here carries it, and what is sent
 * says for which it was meant. Where another kitchen answers, the page starts anew with what is kept of that.
 */
import { ANSWERS_STORE, KITCHEN_HEADER } from '#contract';

const KEY = 'ygrana-kitchen';
/** A kitchen of a release that did not say. */
const UNSAID = 'unsaid';

function remembered(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return null;
  }
}

let known = remembered();
let tell: (id: string) => void = () => undefined;
const first = new Promise<string>((resolve) => {
  tell = resolve;
});

/** Resolves with the first answer; at once where it was met before. */
export const kitchenHere = (): Promise<string> => (known === null ? first : Promise.resolve(known));

export const meantFor = (): Readonly<Record<string, string>> =>
  known === null || known === UNSAID ? {} : { [KITCHEN_HEADER]: known };

/** Told of every answer. */
export function answeredBy(headers: Pick<Headers, 'get'> | undefined): void {
  if (!headers) return;
  const id = headers.get(KITCHEN_HEADER) ?? UNSAID;
  if (id === known) return;
  // A copy out of this browser's own store may say nothing; it is no other kitchen.
  if (id === UNSAID && known !== null) return;
  const isOther = known !== null && known !== UNSAID;
  try {
    localStorage.setItem(KEY, id);
  } catch {
    // Then it is known while the page is open.
  }
  if (!isOther) {
    known = id;
    tell(id);
    return;
  }
  // This page stays with its own to the end: what it still holds must not be kept as the other's.
  // What that kitchen answered is not shown as this one's.
  const forgotten = 'caches' in window ? caches.delete(ANSWERS_STORE) : Promise.resolve(false);
  void forgotten.finally(() => {
    window.location.assign('/');
  });
}
