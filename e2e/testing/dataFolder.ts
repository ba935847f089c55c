import { spawnSync } from "node:child_process";
import { chmodSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";

export interface DataFolder {
  readonly path: string;
  readonly remove: () => void;
}

/** A folder for a test's own database. */
export function makeDataFolder(): DataFolder {
  const path = mkdtempSync(`${tmpdir()}/tensidrum-e2e-`);
  chmodSync(path, 0o711);
  return { path, remove: () => rmSync(path, { recursive: true, force: true }) };
}

/** Where the folder lies that was made once for all tests of a run. */
export const TEMPLATE = "TENSIDRUM_E2E_TEMPLATE";

/** A folder as a first start leaves it, with library and demo: a copy, since making one takes seconds. */
export function makeDemoFolder(): DataFolder {
  const folder = makeDataFolder();
  const template = process.env[TEMPLATE];
  if (template === undefined) return folder;
  const copied = spawnSync("cp", ["-a", `${template}/.`, folder.path], { encoding: "utf8" });
  if (copied.status !== 0) throw new Error(`the data folder could not be copied: ${copied.stderr}`);
  return folder;
}
