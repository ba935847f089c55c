import { spawn, spawnSync } from "node:child_process";
import { fileURLToPath } from "node:url";
import { voice } from "./say.mjs";

/** The project's root folder. */
export const root = fileURLToPath(new URL("..", import.meta.url)).replace(/\/$/, "");

/**
 * Runs a command to its end with its output on the terminal.
 * @param {string} command
 * @param {readonly string[]} args
 * @param {{ env?: NodeJS.ProcessEnv, cwd?: string }} [options]
 * @returns {Promise<number>} exit code
 */
export function runToEnd(command, args, { env = process.env, cwd = root } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd, env, stdio: ["inherit", voice.stream.fd, "inherit"] });
    child.on("error", reject);
    child.on("exit", (code, signal) => resolve(code ?? (signal === null ? 0 : 1)));
  });
}

/**
 * @param {string} command
 * @param {readonly string[]} args
 */
export function outputOf(command, args) {
  const done = spawnSync(command, args, { encoding: "utf8" });
  return done.status === 0 ? done.stdout.trim() : undefined;
}

export const isRoot = process.getuid?.() === 0;
