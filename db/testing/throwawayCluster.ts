import { chmodSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { ensurePostgres, startCluster } from "../../scripts/cluster.mjs";
import { dropTemplates, makeTemplates } from "./freshDatabase";

/** A database cluster for one run of the tests, unless DATABASE_URL names a server; and the databases the tests copy. */
export default async function setup() {
  const stop = await standUp();
  await makeTemplates();
  return async () => {
    await dropTemplates();
    await stop();
  };
}

async function standUp(): Promise<() => Promise<void>> {
  if (process.env.DATABASE_URL !== undefined && process.env.DATABASE_URL !== "") return () => Promise.resolve();
  await ensurePostgres();
  const folder = mkdtempSync(`${tmpdir()}/tensidrum-test-`);
  // The server's own account must be able to pass through.
  chmodSync(folder, 0o711);
  const cluster = await startCluster(folder, { keep: false });
  process.env.DATABASE_URL = cluster.url;
  return async () => {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
