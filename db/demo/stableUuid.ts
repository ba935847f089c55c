import { createHash } from "node:crypto";

/** The same text always gives the same UUID (version 8, from a hash), so that what the demo lays in keeps its ids. */
export function stableUuid(text: string): string {
  const hex = createHash("sha256").update(text).digest("hex");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
