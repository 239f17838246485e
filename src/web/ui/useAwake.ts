import { useEffect } from 'react';

/** Keeps the screen lit while a making is on it, where the browser can (Screen Wake Lock, W3C). */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const hold = (): void => {
      if (document.hidden) return;
      navigator.wakeLock.request('screen').then(
        (held) => {
          if (gone) void held.release();
          else lock = held;
        },
        // Refused on low battery: then the screen sleeps as it always does.
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [wanted]);
}
