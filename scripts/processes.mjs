import cluster from "node:cluster";
import { fileURLToPath } from "node:url";
import { say } from "./say.mjs";

/** Processes that end so soon one after another will not last; then all are ended. */
const [SOON_MILLISECONDS, MOST_SOON] = [10_000, 5];
const LAST_WORDS_MILLISECONDS = 6_000;

/**
 * Starts processes that answer at one port, and another for each that ends by itself.
 * @param {{ count: number, environment: Record<string, string>, giveUp: () => void }} options
 * @returns {Promise<{ close: () => Promise<void> }>} settles when all of them answer
 */
export async function startProcesses({ count, environment, giveUp }) {
  cluster.setupPrimary({ exec: fileURLToPath(new URL("process.mjs", import.meta.url)) });
  let isEnding = false;
  /** @type {number[]} */
  const ends = [];
  /** @param {number} nth */
  const fork = (nth) => {
    const worker = cluster.fork({ ...environment, TENSIDRUM_PROCESS: String(nth) });
    worker.on("exit", () => {
      if (isEnding) return;
      ends.push(Date.now());
      if (ends.filter((at) => Date.now() - at < SOON_MILLISECONDS).length >= MOST_SOON) {
        say("The processes end as soon as they are started; everything is ended.");
        giveUp();
        return;
      }
      say(`Process ${nth} of ${count} has ended by itself; another takes its place.`);
      void fork(nth);
    });
    return new Promise((resolve, reject) => {
      worker.once("message", resolve);
      worker.once("exit", () => reject(new Error("A process ended before it answered.")));
    });
  };
  await Promise.all(Array.from({ length: count }, (_, at) => fork(at + 1)));
  return {
    async close() {
      isEnding = true;
      const workers = Object.values(cluster.workers ?? {}).filter((worker) => worker !== undefined);
      await Promise.all(
        workers.map((worker) => {
          const ended = new Promise((resolve) => worker.once("exit", resolve));
          worker.process.kill("SIGTERM");
          const patience = setTimeout(() => worker.process.kill("SIGKILL"), LAST_WORDS_MILLISECONDS);
          return ended.then(() => clearTimeout(patience));
        }),
      );
    },
  };
}
