import { useEffect } from 'react';

/** Keeps the screen on while a sheet is read at the bench, where the browser can; asked for again after each return to it. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let wanted = true;
    const ask = async (): Promise<void> => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const got = await navigator.wakeLock.request('screen');
        if (wanted) lock = got;
        else void got.release();
      } catch {
        // Refused on a low battery or by a setting: the screen then goes dark as always.
      }
    };
    const again = (): void => void ask();
    void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      wanted = false;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
