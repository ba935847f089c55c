const BATCH_PAGE = /^\/(?:bench|fill|watch)\/[0-9a-f-]{36}(\/record)?(\.data)?$/;

/**
 * Who answers a request of the bench or of a watched batch: scripts and styles never change under their name, so what was kept comes first; a page
 * of a batch is the server's, and what was kept stands in for it; all else goes past.
 */
export function answerOf(method: string, address: URL, origin: string): "kept-first" | "server-first" | "past" {
  if (method !== "GET" || address.origin !== origin) return "past";
  if (address.pathname.startsWith("/assets/")) return "kept-first";
  return BATCH_PAGE.test(address.pathname) ? "server-first" : "past";
}
