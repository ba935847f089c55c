import { chmodSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { ensurePostgres, startCluster } from "../../scripts/cluster.mjs";

/** A database cluster for one run of the tests, unless DATABASE_URL names a server. */
export default async function setup() {
  if (process.env.DATABASE_URL !== undefined && process.env.DATABASE_URL !== "") return undefined;
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
