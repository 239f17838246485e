import { useSyncExternalStore } from 'react';
import { cookHere } from '../sync/cook';

function subscribe(onChange: () => void): () => void {
  window.addEventListener('ygrana-cook', onChange);
  window.addEventListener('storage', onChange);
  return () => {
    window.removeEventListener('ygrana-cook', onChange);
    window.removeEventListener('storage', onChange);
  };
}

/** Who cooks on this device, as it changes. */
export const useCookHere = (): string | null => useSyncExternalStore(subscribe, cookHere);
