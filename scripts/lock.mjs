import { spawn } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { root } from "./commands.mjs";
import { Obstacle, say } from "./say.mjs";

const FILE = `${root}/.lock`;
/** Who waits longer than this is told for what. */
const UNTOLD_MILLISECONDS = 300;

/**
 * Does something that only one command of this folder may do at a time; others wait until it is through. The turn is a lock
 * of the kernel, so that a command that is killed gives it back.
 * @template Result
 * @param {string} what as "installing the npm packages"
 * @param {() => Promise<Result>} job
 * @param {string} [file] that stands for the turn
 * @returns {Promise<Result>}
 */
export async function alone(what, job, file = FILE) {
  // Debian's own program holds the lock as long as its standard input is open.
  const holder = spawn("flock", ["--exclusive", file, "sh", "-c", "echo held; exec cat"], { stdio: ["pipe", "pipe", "ignore"] });
  const tell = setTimeout(() => say(`Another command of this folder is ${holderOf(file)}; waiting for it …`), UNTOLD_MILLISECONDS);
  try {
    await new Promise((resolve, reject) => {
      holder.stdout.once("data", resolve);
      holder.once("error", reject);
      holder.once("exit", reject);
    });
  } catch {
    throw new Obstacle(`${file} cannot be written, so nothing can be made in its folder. Make room, or change who may write it.`);
  } finally {
    clearTimeout(tell);
  }
  const ended = new Promise((resolve) => holder.once("exit", resolve));
  try {
    writeFileSync(file, what);
    return await job();
  } finally {
    holder.stdin.end();
    await ended;
  }
}

/** @param {string} file */
function holderOf(file) {
  try {
    return readFileSync(file, "utf8") || "working";
  } catch {
    return "working";
  }
}
