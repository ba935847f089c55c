import { ensureBuild } from "./build.mjs";
import { root } from "./commands.mjs";
import { listenForFaults } from "./faults.mjs";
import { readOptions } from "./options.mjs";
import { checkNode, ensureNodePackages } from "./packages.mjs";
import { startProcesses } from "./processes.mjs";
import { Obstacle, run, say } from "./say.mjs";
import { BACKUPS, checkPort, closedPort, DATA, standUpDatabase } from "./standUp.mjs";

await run(async () => {
  const { port, demo, season, lan, processes } = readOptions("bin/start");
  checkNode();
  await checkPort(port);
  if (lan) await checkPort(port + 1, "0.0.0.0");
  await ensureNodePackages();
  await ensureBuild();
  const database = await standUpDatabase();
  // From here on a signal must not leave the database server behind, however far the start has come.
  /** @type {{ close: () => Promise<void> } | undefined} */
  let server;
  let ending = false;
  const end = async (code = 0) => {
    if (ending) return;
    ending = true;
    say("Ending …");
    await Promise.allSettled([server?.close()]);
    await database.stop();
    process.exit(code);
  };
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"]) process.on(signal, () => void end());
  process.env.NODE_ENV = "production";

  const { serve, prepareApplication, describeFault } = await import(`${root}/build/server/index.js`);
  try {
    await prepareApplication({ connectionString: database.url, migrationsFolder: `${root}/db/migrations`, demo, season, say });
  } catch (error) {
    await database.stop();
    throw new Obstacle(`The database could not be prepared: ${describeFault(error)}`);
  }
  const network = lan ? await localNetwork(port + 1) : undefined;
  listenForFaults({ describe: describeFault, end });
  try {
    if (processes > 1) {
      const environment = { TENSIDRUM_PORT: String(port), TENSIDRUM_BACKUPS: BACKUPS, DATABASE_URL: database.url };
      server = await startProcesses({ count: processes, environment, giveUp: () => void end(1) });
    } else {
      const options = { port, connectionString: database.url, clientFolder: `${root}/build/client`, lan: network };
      server = await serve({ ...options, backupsFolder: BACKUPS, keepsBackups: true, say });
    }
  } catch (error) {
    // It was free at the start, but the database took its time.
    await database.stop();
    const { port: taken = port } = /** @type {{ port?: number }} */ (error);
    throw closedPort(taken, /** @type {NodeJS.ErrnoException} */ (error));
  }
  for (const address of network?.addresses ?? [])
    say(`Devices of the local network reach it at https://${address}:${port + 1}/; the code stands on Today.`);
  if (processes > 1) say(`${processes} processes answer.`);
  say(`Tensidrum is ready at http://127.0.0.1:${port}/  (Ctrl-C ends it)`);
});

/** What it takes to let devices of the local network in. @param {number} port */
async function localNetwork(port) {
  const { localAddresses, ownCertificate } = await import("./certificate.mjs");
  const folder = `${DATA}/lan`;
  const addresses = localAddresses();
  return { ...(await ownCertificate(folder)), port, devicesFile: `${folder}/devices.json`, addresses, hosts: addresses };
}
