/** Tells the other tabs of this browser what was saved, so that they show it without being asked. */
import type { WorkKey } from './shared';

export interface SavedElsewhere {
  readonly key: WorkKey;
}

const channel = typeof BroadcastChannel === 'function' ? new BroadcastChannel('ygrana') : null;

export function tellOtherTabs(message: SavedElsewhere): void {
  channel?.postMessage(message);
}

export function onSavedElsewhere(listener: (message: SavedElsewhere) => void): () => void {
  const onMessage = ({ data }: MessageEvent<SavedElsewhere>): void => {
    listener(data);
  };
  channel?.addEventListener('message', onMessage);
  return () => {
    channel?.removeEventListener('message', onMessage);
  };
}
