import { readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { isAlive } from "./alive.mjs";
import { root } from "./commands.mjs";
import { Obstacle, say } from "./say.mjs";

const FILE = `${root}/.lock`;
const LOOK_MILLISECONDS = 300;
/** A file without a readable owner is being written; after this it was left behind. */
const UNREADABLE_MILLISECONDS = 5_000;

/**
 * Does something that only one command of this folder may do at a time; others wait until it is through.
 * @template Result
 * @param {string} what as "installing the packages"
 * @param {() => Promise<Result>} job
 * @param {string} [file] that stands for the turn
 * @returns {Promise<Result>}
 */
export async function alone(what, job, file = FILE) {
  let isTold = false;
  while (!take(file)) {
    const holder = holderOf(file);
    if (holder === "gone") {
      rmSync(file, { force: true });
      continue;
    }
    if (!isTold) say(`Another command of this folder is ${holder}; waiting for it …`);
    isTold = true;
    await new Promise((resolve) => setTimeout(resolve, LOOK_MILLISECONDS));
  }
  const release = () => {
    if (ownerOf(file).pid === process.pid) rmSync(file, { force: true });
  };
  process.once("exit", release);
  try {
    writeFileSync(file, `${process.pid} ${what}\n`);
    return await job();
  } finally {
    process.removeListener("exit", release);
    release();
  }
}

/** The file is made by one alone, also of two that come at the same moment. @param {string} file */
function take(file) {
  try {
    writeFileSync(file, `${process.pid} working\n`, { flag: "wx" });
    return true;
  } catch (error) {
    const { code } = /** @type {NodeJS.ErrnoException} */ (error);
    if (code === "EEXIST") return false;
    throw new Obstacle(
      `The folder ${root} cannot be written (${code}), so nothing can be installed in it. Make room, or change who may write it.`,
    );
  }
}

/** What the holder is doing, or "gone" when it left the file behind. @param {string} file */
function holderOf(file) {
  const { pid, what } = ownerOf(file);
  if (pid === undefined) {
    const stats = statSync(file, { throwIfNoEntry: false });
    return stats === undefined || Date.now() - stats.mtimeMs > UNREADABLE_MILLISECONDS ? "gone" : "working";
  }
  return isAlive(pid) && runsOurs(pid) ? what : "gone";
}

/** @param {string} file @returns {{ pid: number | undefined, what: string }} */
function ownerOf(file) {
  try {
    const [, pid, what] = /^(\d+) (.*)$/m.exec(readFileSync(file, "utf8")) ?? [];
    return { pid: pid === undefined ? undefined : Number(pid), what: what ?? "working" };
  } catch {
    return { pid: undefined, what: "working" };
  }
}

/** A number may belong to another process by now. @param {number} pid */
function runsOurs(pid) {
  try {
    return /node|bin\/|operations\//.test(readFileSync(`/proc/${pid}/cmdline`, "utf8"));
  } catch {
    return true;
  }
}
