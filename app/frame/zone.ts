/** Where the browser leaves its time zone for the server. */
export const ZONE_COOKIE = "tensidrum-zone";

/** Tells the server the reader's time zone with the next request. */
export function tellZone(): void {
  const zone = new Intl.DateTimeFormat().resolvedOptions().timeZone;
  document.cookie = `${ZONE_COOKIE}=${encodeURIComponent(zone)}; path=/; max-age=31536000; samesite=strict`;
}
