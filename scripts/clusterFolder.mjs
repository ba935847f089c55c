import { spawnSync } from "node:child_process";
import { createHash, randomBytes } from "node:crypto";
import {
  chmodSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  renameSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { basename, dirname } from "node:path";
import { Obstacle, say } from "./say.mjs";
import { ACCOUNT, giveAway, isReachable, owner, unprivileged } from "./unprivileged.mjs";

export const SUPERUSER = "tensidrum";
/** A socket's path may have 107 bytes; its name takes about twenty of them. */
const LONGEST_SOCKET_FOLDER = 85;
/** What a data folder of ours may hold; anything else belongs to somebody else. */
const OURS = /^(?:postgres(?:\.new-\d+)?(?:\.password)?|socket|password|port|start\.pid|lock|lan|backups|lost\+found)$/;

/**
 * A data folder for nobody but its owner, made when it is not there.
 * @param {string} folder
 */
export function ownDataFolder(folder) {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const foreign = readdirSync(folder).find((name) => !OURS.test(name));
    if (foreign !== undefined && !existsSync(`${folder}/postgres`)) {
      throw new Obstacle(`${folder} already holds something else (${foreign}). Name an empty folder in TENSIDRUM_DATA and start again.`);
    }
    giveAway(folder);
    chmodSync(folder, 0o700);
    writeFileSync(`${folder}/port`, existsSync(`${folder}/port`) ? readFileSync(`${folder}/port`) : "");
  } catch (error) {
    if (error instanceof Obstacle) throw error;
    const { code = "" } = /** @type {NodeJS.ErrnoException} */ (error);
    throw new Obstacle(
      `The data folder ${folder} cannot be written (${code}). ${remedyOf(code)} Or name another folder: TENSIDRUM_DATA=/path bin/start`,
    );
  }
}

/** @param {string} code of the operating system */
function remedyOf(code) {
  if (code === "ENOSPC" || code === "EDQUOT") return "The disk is full: free some space and start again.";
  if (code === "EROFS") return "The disk can only be read.";
  if (code === "ENOTDIR" || code === "EEXIST") return "A file stands where the folder should be: move it away.";
  return "Change who may write it (chown, chmod) and start again.";
}

/**
 * Where the cluster of a data folder lies: in it, or, where the project lies in a closed home, outside with a link to it.
 * @param {string} folder
 */
export function clusterFolder(folder) {
  const inside = `${folder}/postgres`;
  const link = lstatSync(inside, { throwIfNoEntry: false });
  if (link?.isSymbolicLink() === true) {
    const target = readlinkSync(inside);
    if (existsSync(target) || existsSync(dirname(target))) return target;
    throw new Obstacle(
      `${inside} leads to ${target}, which is not there. Put the database back there, or type  rm ${inside}  to begin anew.`,
    );
  }
  if (isReachable(folder)) return inside;
  if (existsSync(`${inside}/PG_VERSION`)) {
    throw new Obstacle(
      `The database in ${inside} cannot be reached by the account "${ACCOUNT}", which runs it. Open the way to it (chmod o+x on each folder above), or move the project to where it was.`,
    );
  }
  const outside = `/var/lib/tensidrum/${shortHash(inside)}`;
  mkdirSync(dirname(outside), { recursive: true });
  rmSync(inside, { recursive: true, force: true });
  symlinkSync(outside, inside);
  say(`${folder} cannot be reached by the account "${ACCOUNT}"; the database lies in ${outside}.`);
  return outside;
}

/** A folder for the server's socket that only its account enters. @param {string} folder */
export function socketFolder(folder) {
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

/** Takes away what starts that were interrupted left beside the cluster. @param {string} data */
export function removeHalfMade(data) {
  const parent = dirname(data);
  if (!existsSync(parent)) return;
  for (const name of readdirSync(parent)) {
    if (!name.startsWith(`${basename(data)}.new-`)) continue;
    try {
      rmSync(`${parent}/${name}`, { recursive: true, force: true });
    } catch {
      // Its initdb has outlived the start and still writes; the next start takes it away.
    }
  }
}

/**
 * Makes the cluster beside its place and puts it there whole, so that a start that is interrupted leaves none that is half made.
 * @param {string} programs
 * @param {string} data
 * @param {string} folder
 */
export function initialiseCluster(programs, data, folder) {
  say("Creating the database cluster …");
  rmSync(data, { recursive: true, force: true });
  const fresh = `${data}.new-${process.pid}`;
  mkdirSync(fresh, { recursive: true, mode: 0o700 });
  giveAway(fresh);
  const password = `${folder}/password`;
  rmSync(password, { force: true });
  writeFileSync(password, `${randomBytes(24).toString("base64url")}\n`, { mode: 0o600 });
  giveAway(password);
  const asked = readablePassword(password, fresh);
  const options = ["--auth-local=trust", "--auth-host=scram-sha-256", "--encoding=UTF8", "--locale=C.UTF-8", "--no-instructions"];
  const [command, args] = unprivileged(`${programs}/initdb`, ["-D", fresh, "-U", SUPERUSER, `--pwfile=${asked}`, ...options]);
  const made = spawnSync(command, args, { cwd: "/", encoding: "utf8" });
  if (asked !== password) rmSync(asked, { force: true });
  if (made.status !== 0) {
    rmSync(fresh, { recursive: true, force: true });
    throw new Obstacle(`The database cluster could not be created:\n${made.stderr.trim()}`);
  }
  renameSync(fresh, data);
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

/**
 * Stops with what to type when a cluster cannot be run: another version made it, or somebody else owns it.
 * @param {string} programs
 * @param {string} data
 */
export function checkCluster(programs, data) {
  const { uid, name } = owner();
  if (statSync(data).uid !== uid) {
    throw new Obstacle(
      `The database in ${data} belongs to another account, as after a copy or a move. Type  chown -R ${name}: ${data}  (as root) and start again.`,
    );
  }
  const made = readFileSync(`${data}/PG_VERSION`, "utf8").trim();
  const [command, args] = unprivileged(`${programs}/postgres`, ["--version"]);
  const running = /(\d+)/.exec(spawnSync(command, args, { cwd: "/", encoding: "utf8" }).stdout)?.[1];
  if (running === made) return;
  throw new Obstacle(
    `The database in ${data} was made by PostgreSQL ${made}, installed is ${running ?? "another one"}. Install postgresql-${made}, or move that folder away to begin anew.`,
  );
}
