/** Keeps the program on this device, and lets a new release in when nothing is unsent. */
import { ANSWERS_STORE, TAKE_OVER } from '#contract';
import { store } from './store';
import { isUnsent } from './workSlice';

/** `no-secure-context`: plain HTTP from another device; browsers keep programs only from secure addresses. */
export type OfflineState = 'ready' | 'installing' | 'no-secure-context' | 'not-supported' | 'failed';

let state: OfflineState = 'installing';
const listeners = new Set<() => void>();
const become = (next: OfflineState): void => {
  state = next;
  for (const listener of listeners) listener();
};

export const offlineState = (): OfflineState => state;
export const onOfflineState = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export async function keepProgram(): Promise<void> {
  if (!window.isSecureContext) {
    become('no-secure-context');
    return;
  }
  if (!('serviceWorker' in navigator)) {
    become('not-supported');
    return;
  }
  try {
    const registration = await navigator.serviceWorker.register('/serviceWorker.js');
    await navigator.serviceWorker.ready;
    become('ready');
    letIn(registration);
    registration.addEventListener('updatefound', () => {
      registration.installing?.addEventListener('statechange', () => {
        letIn(registration);
      });
    });
  } catch {
    become('failed');
  }
}

const isTyping = (): boolean => document.activeElement instanceof HTMLInputElement && document.hasFocus();
const LOOK_AGAIN_MS = 15_000;

/** The page that runs is of the release before: it is loaded anew together with what it will fetch. */
function letIn(registration: ServiceWorkerRegistration): void {
  const { waiting } = registration;
  if (!waiting || !navigator.serviceWorker.controller) return;
  const { work, outbox } = store.getState();
  if (isTyping() || outbox.waiting.length > 0 || Object.values(work.byKey).some(isUnsent)) {
    setTimeout(() => {
      letIn(registration);
    }, LOOK_AGAIN_MS);
    return;
  }
  navigator.serviceWorker.addEventListener(
    'controllerchange',
    () => {
      window.location.reload();
    },
    { once: true },
  );
  waiting.postMessage(TAKE_OVER);
}

/** What the kitchen answered is of nobody's concern any more on this device. */
export async function forgetAnswers(): Promise<void> {
  if ('caches' in window) await caches.delete(ANSWERS_STORE).catch(() => false);
}
