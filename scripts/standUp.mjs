import { readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { isAlive } from "./alive.mjs";
import { ownDataFolder } from "./clusterFolder.mjs";
import { ensurePostgres, startCluster } from "./cluster.mjs";
import { root } from "./commands.mjs";
import { alone } from "./lock.mjs";
import { Obstacle, say } from "./say.mjs";

/** Where the project keeps its database; tests keep theirs elsewhere. */
export const DATA = process.env.TENSIDRUM_DATA ?? `${root}/.data`;
/** Where backups are kept: one of each day, and those that were asked for. */
export const BACKUPS = `${DATA}/backups`;
const OWNER = `${DATA}/start.pid`;

/** Stops with a sentence when somebody listens on that port already. @param {number} port @param {string} [host] */
export function checkPort(port, host = "127.0.0.1") {
  return /** @type {Promise<void>} */ (
    new Promise((resolve, reject) => {
      const probe = createServer();
      probe.on("error", (error) => reject(closedPort(port, error)));
      probe.listen(port, host, () => probe.close(() => resolve()));
    })
  );
}

/** Says why a port cannot be listened on, and what to do. @param {number} port @param {NodeJS.ErrnoException} error */
export function closedPort(port, error) {
  return new Obstacle(
    error.code === "EADDRINUSE"
      ? `Port ${port} is in use. If that is another Tensidrum, open http://127.0.0.1:${port}/, else choose another port: --port ${port + 1}`
      : `Port ${port} cannot be opened (${error.code ?? error.message}). Choose another: --port 4180`,
  );
}

/**
 * The database to use: the one of DATABASE_URL, else the project's own cluster, started.
 * @returns {Promise<{ url: string, stop: () => Promise<void> }>}
 */
export async function standUpDatabase() {
  const given = process.env.DATABASE_URL;
  if (given !== undefined && given !== "") {
    say("Using the database of DATABASE_URL.");
    return { url: given, stop: async () => undefined };
  }
  await ensurePostgres();
  ownDataFolder(DATA);
  await alone("starting", takeOwnership, `${DATA}/lock`);
  try {
    const cluster = await startCluster(DATA, { revive: true });
    return {
      url: cluster.url,
      stop: async () => {
        await cluster.stop();
        rmSync(OWNER, { force: true });
      },
    };
  } catch (error) {
    rmSync(OWNER, { force: true });
    throw error;
  }
}

/** Only one start at a time may use the project's cluster. */
async function takeOwnership() {
  const owner = readOwner();
  if (owner !== undefined && owner !== process.pid && isAlive(owner) && looksLikeOurs(owner)) {
    throw new Obstacle(
      `Tensidrum already runs from this folder (process ${owner}). Stop it there with Ctrl-C, or type  kill ${owner}  and start again.`,
    );
  }
  writeFileSync(OWNER, String(process.pid));
}

function readOwner() {
  try {
    return Number(readFileSync(OWNER, "utf8"));
  } catch {
    return undefined;
  }
}

/** A pid file may speak of a process that has long become another. @param {number} pid */
function looksLikeOurs(pid) {
  try {
    return /bin\/(start|dev)/.test(readFileSync(`/proc/${pid}/cmdline`, "utf8"));
  } catch {
    return true;
  }
}
