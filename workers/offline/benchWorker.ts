/// <reference lib="webworker" />
import { answerOf } from "./answerOf";

declare const self: ServiceWorkerGlobalScope;

const KEPT = "tensidrum-bench-1";
const MOST_KEPT = 400;
const PATIENCE_MILLISECONDS = 4_000;

interface Keep {
  readonly kind: "keep";
  readonly page: string;
  readonly assets: readonly string[];
}

self.addEventListener("install", () => void self.skipWaiting());

self.addEventListener("activate", (event) => {
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys()) if (name !== KEPT) await caches.delete(name);
      await self.clients.claim();
    })(),
  );
});

/** The page says what it is made of; it was loaded before this worker could see it. */
self.addEventListener("message", (event) => {
  const told = event.data as Keep | undefined;
  if (told?.kind !== "keep") return;
  event.waitUntil(
    (async () => {
      const cache = await caches.open(KEPT);
      await Promise.all([...told.assets.map((asset) => keepOnce(cache, asset)), keepAnew(cache, told.page)]);
      // The oldest go first; what was just kept is put behind them.
      const keys = await cache.keys();
      await Promise.all(keys.slice(0, Math.max(0, keys.length - MOST_KEPT)).map((key) => cache.delete(key)));
    })(),
  );
});

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const answer = answerOf(request.method, new URL(request.url), self.location.origin);
  if (answer === "kept-first") event.respondWith(keptFirst(request));
  else if (answer === "server-first") event.respondWith(serverFirst(request));
});

async function keptFirst(request: Request): Promise<Response> {
  const cache = await caches.open(KEPT);
  const kept = await cache.match(request, { ignoreVary: true });
  if (kept !== undefined) return kept;
  const fresh = await fetch(request);
  if (fresh.ok) await cache.put(request, fresh.clone());
  return fresh;
}

async function serverFirst(request: Request): Promise<Response> {
  const cache = await caches.open(KEPT);
  const kept = await cache.match(request, { ignoreVary: true });
  try {
    const fresh = await fetch(request, kept === undefined ? {} : { signal: AbortSignal.timeout(PATIENCE_MILLISECONDS) });
    if (fresh.ok && !fresh.redirected) await cache.put(request, fresh.clone());
    // A server whose database is away knows less than this device does.
    return fresh.status >= 500 && kept !== undefined ? kept : fresh;
  } catch (error) {
    if (kept !== undefined) return kept;
    throw error;
  }
}

async function keepOnce(cache: Cache, address: string): Promise<void> {
  if ((await cache.match(address, { ignoreVary: true })) === undefined) await cache.add(address).catch(() => undefined);
}

async function keepAnew(cache: Cache, address: string): Promise<void> {
  const fresh = await fetch(address, { headers: { Accept: "text/html" } }).catch(() => undefined);
  if (fresh?.ok === true && !fresh.redirected) await cache.put(address, fresh);
}
