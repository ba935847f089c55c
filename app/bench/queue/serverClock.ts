const KEY = "tensidrum.clock-behind-server";

/** How far the device's clock is behind the server's, ms. It is kept, so that a page without the server computes alike. */
let behind: number | null = null;

function behindServer(): number {
  behind ??= Number(localStorage.getItem(KEY) ?? 0) || 0;
  return behind;
}

/** The server said its time just now. */
export function serverSaid(now: string): void {
  const said = Date.parse(now);
  if (!Number.isFinite(said)) return;
  behind = said - Date.now();
  localStorage.setItem(KEY, String(behind));
}

/** The server's time as this device computes it, ISO in UTC. */
export function serverNow(): string {
  return new Date(Date.now() + behindServer()).toISOString();
}
