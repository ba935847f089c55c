import { spawn, spawnSync } from "node:child_process";
import { createHash, randomBytes } from "node:crypto";
import {
  chmodSync,
  chownSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { isRoot, outputOf } from "./commands.mjs";
import { ensureDebianPackage } from "./packages.mjs";
import { Obstacle, say } from "./say.mjs";

const DATABASE = "tensidrum";
const SUPERUSER = "tensidrum";
/** PostgreSQL refuses to run as root; Debian's package brings this account. */
const UNPRIVILEGED = "postgres";
/** A socket's path may have 107 bytes; its name takes about twenty of them. */
const LONGEST_SOCKET_FOLDER = 85;
const START_ATTEMPTS = 150;
const ATTEMPT_MILLISECONDS = 100;

/**
 * @typedef {object} Cluster
 * @property {string} url connection string over the private socket
 * @property {number} port
 * @property {() => Promise<void>} stop ends the server cleanly
 * @property {Promise<void>} ended settles when the server has gone
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
 * @param {{ keep?: boolean, port?: number }} [options] a cluster that is not kept is written without care for crashes
 * @returns {Promise<Cluster>}
 */
export async function startCluster(folder, { keep = true, port } = {}) {
  const programs = findPostgres();
  if (programs === undefined) throw new Obstacle("The PostgreSQL server is not installed.");
  mkdirSync(folder, { recursive: true });
  const data = reachableFolder(folder, "postgres");
  const socket = socketFolder(folder);
  if (!existsSync(`${data}/PG_VERSION`)) initialise(programs, data, folder);
  checkVersion(programs, data);
  await clearOldServer(data);
  for (let left = PORT_TRIES; ; left -= 1) {
    try {
      return await serve({ programs, data, socket, folder, keep, port: port ?? (await freePort()) });
    } catch (error) {
      // A port that was free a moment ago may be another program's by now.
      if (port !== undefined || left <= 1 || !PORT_TAKEN.test(String(error))) throw error;
    }
  }
}

/** @param {string} program @param {readonly string[]} args @returns {[string, string[]]} */
function unprivileged(program, args) {
  if (!isRoot) return [program, [...args]];
  const account = [`--reuid=${UNPRIVILEGED}`, `--regid=${UNPRIVILEGED}`, "--clear-groups", "--reset-env"];
  return ["setpriv", [...account, program, ...args]];
}

/** @param {string} path */
function giveAway(path) {
  if (!isRoot) return;
  const [uid, gid] = [outputOf("id", ["-u", UNPRIVILEGED]), outputOf("id", ["-g", UNPRIVILEGED])];
  if (uid === undefined || gid === undefined) throw new Obstacle(`There is no account "${UNPRIVILEGED}"; PostgreSQL does not run as root.`);
  chownSync(path, Number(uid), Number(gid));
}

/** @param {string} folder */
function isReachable(folder) {
  const [command, args] = unprivileged("test", ["-x", folder]);
  return spawnSync(command, args, { cwd: "/" }).status === 0;
}

/**
 * A folder the server's account can reach: inside the project, or, where the project lies in a closed home,
 * outside with a link to it.
 * @param {string} folder
 * @param {string} name
 */
function reachableFolder(folder, name) {
  const inside = `${folder}/${name}`;
  if (existsSync(inside) && lstatSync(inside).isSymbolicLink()) return readlinkSync(inside);
  if (isReachable(folder)) return inside;
  if (existsSync(`${inside}/PG_VERSION`)) {
    throw new Obstacle(
      `The database in ${inside} cannot be reached by the account "${UNPRIVILEGED}", which runs it. Open the way to it (chmod o+x on each folder above), or move the project to where it was.`,
    );
  }
  const outside = `/var/lib/tensidrum/${shortHash(inside)}`;
  mkdirSync(outside, { recursive: true });
  if (!existsSync(inside)) symlinkSync(outside, inside);
  say(`${folder} cannot be reached by the account "${UNPRIVILEGED}"; the database lies in ${outside}.`);
  return outside;
}

/** @param {string} folder */
function socketFolder(folder) {
  const inside = `${folder}/socket`;
  const fits = inside.length <= LONGEST_SOCKET_FOLDER && isReachable(folder);
  const socket = fits ? inside : `${tmpdir()}/tensidrum-${shortHash(folder)}`;
  mkdirSync(socket, { recursive: true, mode: 0o700 });
  giveAway(socket);
  chmodSync(socket, 0o700);
  return socket;
}

/** @param {string} text */
function shortHash(text) {
  return createHash("sha256").update(text).digest("hex").slice(0, 12);
}

/** @param {string} programs @param {string} data @param {string} folder */
function initialise(programs, data, folder) {
  say("Creating the database cluster …");
  rmSync(data, { recursive: true, force: true });
  mkdirSync(data, { recursive: true, mode: 0o700 });
  giveAway(data);
  const password = `${folder}/password`;
  writeFileSync(password, `${randomBytes(24).toString("base64url")}\n`, { mode: 0o600 });
  giveAway(password);
  const options = ["--auth-local=trust", "--auth-host=scram-sha-256", "--encoding=UTF8", "--locale=C.UTF-8", "--no-instructions"];
  const [command, args] = unprivileged(`${programs}/initdb`, [
    "-D",
    data,
    "-U",
    SUPERUSER,
    `--pwfile=${readablePassword(password, data)}`,
    ...options,
  ]);
  const made = spawnSync(command, args, { cwd: "/", encoding: "utf8" });
  if (made.status !== 0) {
    rmSync(data, { recursive: true, force: true });
    throw new Obstacle(`The database cluster could not be created:\n${made.stderr.trim()}`);
  }
}

/** initdb reads the password as the server's account, which may not reach into the project. @param {string} password @param {string} data */
function readablePassword(password, data) {
  const [command, args] = unprivileged("test", ["-r", password]);
  if (spawnSync(command, args, { cwd: "/" }).status === 0) return password;
  const copy = `${data}.password`;
  writeFileSync(copy, readFileSync(password), { mode: 0o600 });
  giveAway(copy);
  return copy;
}

/** @param {string} programs @param {string} data */
function checkVersion(programs, data) {
  const made = readFileSync(`${data}/PG_VERSION`, "utf8").trim();
  const [command, args] = unprivileged(`${programs}/postgres`, ["--version"]);
  const running = /(\d+)/.exec(spawnSync(command, args, { cwd: "/", encoding: "utf8" }).stdout)?.[1];
  if (running === made) return;
  throw new Obstacle(
    `The database in ${data} was made by PostgreSQL ${made}, installed is ${running ?? "another one"}. Install postgresql-${made}, or move that folder away to begin anew.`,
  );
}

/** @param {number} pid */
export function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return /** @type {NodeJS.ErrnoException} */ (error).code === "EPERM";
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

function pause() {
  return new Promise((resolve) => setTimeout(resolve, ATTEMPT_MILLISECONDS));
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
 * @param {{ programs: string, data: string, socket: string, folder: string, keep: boolean, port: number }} options
 * @returns {Promise<Cluster>}
 */
async function serve({ programs, data, socket, folder, keep, port }) {
  const settings = { listen_addresses: "127.0.0.1", port, unix_socket_directories: socket, log_min_messages: "fatal" };
  const careless = keep ? {} : { fsync: "off", synchronous_commit: "off", full_page_writes: "off" };
  const flags = Object.entries({ ...settings, ...careless }).flatMap(([name, value]) => ["-c", `${name}=${value}`]);
  const [command, args] = unprivileged(`${programs}/postgres`, ["-D", data, ...flags]);
  // Detached: a Ctrl-C of the terminal must reach the application first, which then ends the server.
  const server = spawn(command, args, { cwd: "/", stdio: ["ignore", "ignore", "pipe"], detached: true });
  let lastWords = "";
  server.stderr.on("data", (chunk) => {
    lastWords = (lastWords + String(chunk)).slice(-2000);
  });
  /** @type {Promise<void>} */
  const ended = new Promise((resolve) => server.on("exit", () => resolve()));
  const asClient = ["-h", socket, "-p", String(port), "-U", SUPERUSER];
  await untilReady({ programs, asClient, hasEnded: () => server.exitCode !== null, lastWords: () => lastWords });
  createDatabase(programs, asClient);
  writeFileSync(`${folder}/port`, `${port}\n`);
  const stop = async () => {
    if (server.exitCode === null && server.signalCode === null) server.kill("SIGINT");
    await ended;
  };
  return { url: `postgresql://${SUPERUSER}@${encodeURIComponent(socket)}:${port}/${DATABASE}`, port, stop, ended };
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

/** @param {string} programs @param {readonly string[]} asClient */
function createDatabase(programs, asClient) {
  const ask = [...asClient, "-d", "postgres", "-Atc", `select 1 from pg_database where datname = '${DATABASE}'`];
  if (outputOf(`${programs}/psql`, ask) === "1") return;
  const made = spawnSync(`${programs}/createdb`, [...asClient, DATABASE], { encoding: "utf8" });
  if (made.status !== 0) throw new Obstacle(`The database could not be created:\n${made.stderr.trim()}`);
}
