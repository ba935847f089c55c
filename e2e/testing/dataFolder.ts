import { chmodSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";

/** A folder for a test's own database. */
export function makeDataFolder(): { path: string; remove: () => void } {
  const path = mkdtempSync(`${tmpdir()}/tensidrum-e2e-`);
  chmodSync(path, 0o711);
  return { path, remove: () => rmSync(path, { recursive: true, force: true }) };
}
