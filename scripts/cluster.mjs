import { spawn, spawnSync } from "node:child_process";
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { isAlive } from "./alive.mjs";
import {
  checkCluster,
  clusterFolder,
  initialiseCluster,
  ownDataFolder,
  removeHalfMade,
  socketFolder,
  SUPERUSER,
} from "./clusterFolder.mjs";
import { outputOf } from "./commands.mjs";
import { ensureDebianPackage } from "./packages.mjs";
import { Obstacle, say } from "./say.mjs";
import { unprivileged } from "./unprivileged.mjs";

const DATABASE = "tensidrum";
const START_ATTEMPTS = 150;
const ATTEMPT_MILLISECONDS = 100;
/** Pauses before a server that ended by itself is started again; the last one for every further time. */
const REVIVE_MILLISECONDS = [100, 500, 1_000, 2_000, 5_000];

/**
 * @typedef {object} Cluster
 * @property {string} url connection string over the private socket
 * @property {number} port
 * @property {() => Promise<void>} stop ends the server cleanly
 * @property {Promise<void>} ended settles when the server has gone for good
 */

/** The newest installed PostgreSQL server's folder of programs. */
export function findPostgres() {
  const base = "/usr/lib/postgresql";
  const versions = existsSync(base)
    ? readdirSync(base)
        .map(Number)
        .filter(Number.isFinite)
        .sort((a, b) => b - a)
    : [];
  const folders = versions.map((version) => `${base}/${version}/bin`);
  const configured = outputOf("pg_config", ["--bindir"]);
  if (configured !== undefined) folders.push(configured);
  return folders.find((folder) => existsSync(`${folder}/postgres`) && existsSync(`${folder}/initdb`));
}

export async function ensurePostgres() {
  await ensureDebianPackage({
    packageName: "postgresql",
    purpose: "the PostgreSQL server",
    isThere: () => findPostgres() !== undefined,
  });
}

const PORT_TAKEN = /could not create any TCP\/IP sockets/;
const PORT_TRIES = 3;

/**
 * Starts the cluster kept in `folder`, making it first when there is none.
 * @param {string} folder
 * @param {{ keep?: boolean, port?: number, revive?: boolean }} [options] a cluster that is not kept is written without care
 *   for crashes; one that is revived is started again when its server ends by itself
 * @returns {Promise<Cluster>}
 */
export async function startCluster(folder, { keep = true, port, revive = false } = {}) {
  const programs = findPostgres();
  if (programs === undefined) throw new Obstacle("The PostgreSQL server is not installed.");
  ownDataFolder(folder);
  const data = clusterFolder(folder);
  removeHalfMade(data);
  const socket = socketFolder(folder);
  if (!existsSync(`${data}/PG_VERSION`)) initialiseCluster(programs, data, folder);
  checkCluster(programs, data);
  await clearOldServer(data);
  for (let left = PORT_TRIES; ; left -= 1) {
    try {
      return await serve({ programs, data, socket, folder, keep, revive, port: port ?? (await freePort()) });
    } catch (error) {
      // A port that was free a moment ago may be another program's by now.
      if (port !== undefined || left <= 1 || !PORT_TAKEN.test(String(error))) throw error;
    }
  }
}

/** Ends a server an earlier start left behind, and removes a pid file that speaks of nobody. @param {string} data */
async function clearOldServer(data) {
  const file = `${data}/postmaster.pid`;
  if (!existsSync(file)) return;
  const pid = Number(readFileSync(file, "utf8").split("\n")[0]);
  if (!isAlive(pid) || commandOf(pid) !== "postgres") {
    say(`An earlier start did not end cleanly; its stale ${file} is removed.`);
    rmSync(file, { force: true });
    return;
  }
  say(`A database server left behind by an earlier start (process ${pid}) is ended first …`);
  process.kill(pid, "SIGINT");
  for (let attempt = 0; attempt < START_ATTEMPTS && isAlive(pid); attempt += 1) await pause();
  if (isAlive(pid)) throw new Obstacle(`The old database server, process ${pid}, does not end. Type  kill -QUIT ${pid}  and start again.`);
}

/** @param {number} pid */
function commandOf(pid) {
  return existsSync(`/proc/${pid}/comm`) ? readFileSync(`/proc/${pid}/comm`, "utf8").trim() : undefined;
}

/** @param {number} [milliseconds] @returns {Promise<void>} */
function pause(milliseconds = ATTEMPT_MILLISECONDS) {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}

/** A port of the loopback that is free right now. @returns {Promise<number>} */
export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on("error", reject);
    probe.listen(0, "127.0.0.1", () => {
      const address = probe.address();
      const port = typeof address === "object" && address !== null ? address.port : 0;
      probe.close(() => resolve(port));
    });
  });
}

/**
 * @typedef {object} Place
 * @property {string} programs
 * @property {string} data
 * @property {string} socket
 * @property {number} port
 * @property {boolean} keep
 */

/**
 * @param {Place & { folder: string, revive: boolean }} options
 * @returns {Promise<Cluster>}
 */
async function serve({ folder, revive, ...place }) {
  const { programs, data, socket, port } = place;
  const asClient = ["-h", socket, "-p", String(port), "-U", SUPERUSER];
  let server = await spawnServer(place, asClient);
  let isWanted = true;
  const stop = async () => {
    isWanted = false;
    if (server.child.exitCode === null && server.child.signalCode === null) server.child.kill("SIGINT");
    await ended;
  };
  const untilGone = async () => {
    for (let deaths = 0; ; deaths += 1) {
      await server.ended;
      if (!isWanted || !revive) return;
      say("The database server has ended by itself; it is started again …");
      await pause(REVIVE_MILLISECONDS[Math.min(deaths, REVIVE_MILLISECONDS.length - 1)]);
      if (!isWanted) return;
      try {
        server = await spawnServer(place, asClient);
        say("The database server is back.");
        deaths = -1;
      } catch (error) {
        say(`It did not start (${error instanceof Error ? error.message.split("\n").at(-1) : error}); tried again.`);
      }
    }
  };
  const ended = untilGone();
  try {
    createDatabase(programs, asClient, data);
  } catch (error) {
    await stop();
    throw error;
  }
  writeFileSync(`${folder}/port`, `${port}\n`);
  return { url: urlOf(socket, port), port, stop, ended };
}

/** @param {string} socket @param {number} port */
function urlOf(socket, port) {
  return `postgresql://${SUPERUSER}@${encodeURIComponent(socket)}:${port}/${DATABASE}`;
}

/** The connection string of a server that runs from this folder; undefined where none does. @param {string} folder */
export function runningCluster(folder) {
  const [file, portFile] = [`${clusterFolder(folder)}/postmaster.pid`, `${folder}/port`];
  if (!existsSync(file) || !existsSync(portFile)) return undefined;
  const pid = Number(readFileSync(file, "utf8").split("\n")[0]);
  if (!isAlive(pid) || commandOf(pid) !== "postgres") return undefined;
  return urlOf(socketFolder(folder), Number(readFileSync(portFile, "utf8")));
}

/** Runs the server until it answers. @param {Place} place @param {readonly string[]} asClient */
async function spawnServer({ programs, data, socket, port, keep }, asClient) {
  const settings = { listen_addresses: "127.0.0.1", port, unix_socket_directories: socket, log_min_messages: "fatal" };
  const careless = keep ? {} : { fsync: "off", synchronous_commit: "off", full_page_writes: "off" };
  const flags = Object.entries({ ...settings, ...careless }).flatMap(([name, value]) => ["-c", `${name}=${value}`]);
  const [command, args] = unprivileged(`${programs}/postgres`, ["-D", data, ...flags]);
  // Detached: a Ctrl-C of the terminal must reach the application first, which then ends the server.
  const child = spawn(command, args, { cwd: "/", stdio: ["ignore", "ignore", "pipe"], detached: true });
  let lastWords = "";
  child.stderr.on("data", (chunk) => {
    lastWords = (lastWords + String(chunk)).slice(-2000);
  });
  /** @type {Promise<void>} */
  const ended = new Promise((resolve) => child.on("exit", () => resolve()));
  await untilReady({
    programs,
    asClient,
    hasEnded: () => child.exitCode !== null || child.signalCode !== null,
    lastWords: () => lastWords,
  });
  return { child, ended };
}

/** @param {{ programs: string, asClient: readonly string[], hasEnded: () => boolean, lastWords: () => string }} options */
async function untilReady({ programs, asClient, hasEnded, lastWords }) {
  for (let attempt = 0; attempt < START_ATTEMPTS; attempt += 1) {
    if (hasEnded()) throw new Obstacle(`The database server did not start:\n${lastWords().trim()}`);
    if (spawnSync(`${programs}/pg_isready`, [...asClient, "-q"]).status === 0) return;
    await pause();
  }
  throw new Obstacle(`The database server did not answer in time.\n${lastWords().trim()}`);
}

/** @param {string} programs @param {readonly string[]} asClient @param {string} data */
function createDatabase(programs, asClient, data) {
  const query = `select 1 from pg_database where datname = '${DATABASE}'`;
  const asked = spawnSync(`${programs}/psql`, [...asClient, "-d", "postgres", "-Atc", query], { encoding: "utf8" });
  if (asked.status !== 0) {
    throw new Obstacle(
      `The database in ${data} was not made by Tensidrum: it does not let "${SUPERUSER}" in. Type  mv ${data} ${data}.other  to keep it aside, and start again.`,
    );
  }
  if (asked.stdout.trim() === "1") return;
  const made = spawnSync(`${programs}/createdb`, [...asClient, DATABASE], { encoding: "utf8" });
  if (made.status !== 0) throw new Obstacle(`The database could not be created:\n${made.stderr.trim()}`);
}
