import { spawnSync } from "node:child_process";
import { chownSync } from "node:fs";
import { isRoot, outputOf } from "./commands.mjs";
import { Obstacle } from "./say.mjs";

/** PostgreSQL refuses to run as root; Debian's package brings this account. */
export const ACCOUNT = "postgres";

/** A command as the database server's account runs it. @param {string} program @param {readonly string[]} args @returns {[string, string[]]} */
export function unprivileged(program, args) {
  if (!isRoot) return [program, [...args]];
  const account = [`--reuid=${ACCOUNT}`, `--regid=${ACCOUNT}`, "--clear-groups", "--reset-env"];
  return ["setpriv", [...account, program, ...args]];
}

/** The account that owns the files of the database: the server's own, or who runs this. @returns {{ uid: number, gid: number, name: string }} */
export function owner() {
  const name = isRoot ? ACCOUNT : (outputOf("id", ["-un"]) ?? "");
  const [uid, gid] = isRoot ? [outputOf("id", ["-u", ACCOUNT]), outputOf("id", ["-g", ACCOUNT])] : [process.getuid?.(), process.getgid?.()];
  if (uid === undefined || gid === undefined) throw new Obstacle(`There is no account "${ACCOUNT}"; PostgreSQL does not run as root.`);
  return { uid: Number(uid), gid: Number(gid), name };
}

/** @param {string} path */
export function giveAway(path) {
  if (!isRoot) return;
  const { uid, gid } = owner();
  chownSync(path, uid, gid);
}

/** Whether the server's account passes through a folder. @param {string} folder */
export function isReachable(folder) {
  const [command, args] = unprivileged("test", ["-x", folder]);
  return spawnSync(command, args, { cwd: "/" }).status === 0;
}
