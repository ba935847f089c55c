/**
 * Lets the service worker keep this page and what it loads, so that a reload without the server is served. Answers how to
 * stop.
 */
export function keepBenchForLater(): () => void {
  // The development server has no worker: what it serves changes all the time.
  if (!import.meta.env.PROD || !("serviceWorker" in navigator)) return () => undefined;
  let isOver = false;
  const keep = async (): Promise<void> => {
    await navigator.serviceWorker.register("/bench-worker.js", { type: "module" });
    const { active } = await navigator.serviceWorker.ready;
    // What reads kept entries is wanted only when there are some, which may be without the server.
    await import("../queue/entries.stored").catch(() => undefined);
    if (isOver) return;
    const loaded = performance.getEntriesByType("resource").map(({ name }) => new URL(name));
    const assets = loaded
      .filter(({ origin, pathname }) => origin === location.origin && pathname.startsWith("/assets/"))
      .map(({ href }) => href);
    active?.postMessage({ kind: "keep", page: location.href, assets: [...new Set(assets)] });
  };
  void keep().catch(() => undefined);
  return () => {
    isOver = true;
  };
}
