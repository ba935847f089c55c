import { makeDataFolder } from "../e2e/testing/dataFolder";
import { startApplication } from "../e2e/testing/startApplication";
import { startCluster } from "../scripts/cluster.mjs";
import { loadOf, SECONDS } from "./loadBench";
import { type Measured, quantile } from "./measure";

const MANY = 2;

/** Today under many connections, answered by one process and by several on the same database. */
export async function benchProcesses(): Promise<Measured[]> {
  const folder = makeDataFolder();
  const cluster = await startCluster(folder.path, { keep: false });
  const results: Measured[] = [];
  try {
    for (const count of [1, MANY]) {
      const environment = { TENSIDRUM_DATA: folder.path, DATABASE_URL: cluster.url };
      const application = await startApplication(environment, ["--small-demo", "--processes", String(count)]);
      try {
        const { failed, milliseconds } = await loadOf(application.address);
        const under = `${count} of ${MANY} processes, Today for ${SECONDS} s`;
        results.push(
          { what: `${under}: answers that failed`, value: failed, unit: "", limit: 0 },
          { what: `${under}: a second`, value: milliseconds.length / SECONDS, unit: "pages", limit: null },
          { what: `${under}: 99th percentile`, value: quantile(milliseconds, 0.99), unit: "ms", limit: null },
        );
      } finally {
        await application.stop();
      }
    }
    return results;
  } finally {
    await cluster.stop();
    folder.remove();
  }
}
