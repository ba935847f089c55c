/**
 * Lets the service worker keep this page and what it loads, so that a reload without the server is served. Answers how to
 * stop.
 * @param alsoWanted what the page loads only when it is needed, which may be without the server
 */
export function keepPageForLater(alsoWanted: () => Promise<unknown> = () => Promise.resolve()): () => void {
  // The development server has no worker: what it serves changes all the time.
  if (!import.meta.env.PROD || !("serviceWorker" in navigator)) return () => undefined;
  let isOver = false;
  const keep = async (): Promise<void> => {
    await navigator.serviceWorker.register("/bench-worker.js", { type: "module" });
    const { active } = await navigator.serviceWorker.ready;
    await alsoWanted().catch(() => undefined);
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
