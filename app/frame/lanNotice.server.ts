const LAN_HEADER = "x-tensidrum-lan";

/** How a device of the local network gets in. */
export interface LanNotice {
  readonly code: string;
  readonly addresses: readonly string[];
  /** Codes that were wrong since the start, and the last of them. */
  readonly wrong: number;
  readonly lastWrong: { readonly at: string; readonly from: string } | null;
  readonly devices: number;
}

const shared = globalThis as typeof globalThis & { tensidrumLan?: () => LanNotice };

/** What the first screen says of the way in; only this machine itself is told, and only when the way is open. */
export function lanNotice(request: Request): LanNotice | null {
  return request.headers.has(LAN_HEADER) ? null : (shared.tensidrumLan?.() ?? null);
}
