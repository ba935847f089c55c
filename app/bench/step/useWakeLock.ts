import { useEffect } from "react";

/** Keeps the screen awake while the page is looked at, where the browser can. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let isOver = false;
    const ask = async (): Promise<void> => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      // It is refused on a nearly empty battery; the bench works without it.
      lock = await navigator.wakeLock.request("screen").catch(() => undefined);
      if (isOver) void lock?.release();
    };
    const onVisible = (): void => void ask();
    void ask();
    document.addEventListener("visibilitychange", onVisible);
    return () => {
      isOver = true;
      document.removeEventListener("visibilitychange", onVisible);
      void lock?.release();
    };
  }, []);
}
