import { type ChildProcess, spawn } from "node:child_process";
import { freePort } from "../../scripts/cluster.mjs";
import { root } from "../../scripts/commands.mjs";

export interface RunningApplication {
  readonly address: string;
  readonly output: () => string;
  readonly process: ChildProcess;
  /** Ends it as Ctrl-C does; resolves with the exit code. */
  stop(): Promise<number | null>;
}

const folders = new Map<string, string>();

/** The data folder of an application that was started here. */
export function dataFolderOf(address: string): string {
  const folder = folders.get(address);
  if (folder === undefined) throw new Error(`no application of this test answers at ${address}`);
  return folder;
}

const READY = /is ready at (http:\/\/[^ ]+)\//;

const TAKEN = /Port \d+ is in use/;
const TRIES = 3;

/**
 * Runs bin/start as a maker would, with its own port and data folder, until it says it is ready. A port that another program
 * took in the meantime is tried anew with another one.
 */
export async function startApplication(
  environment: Readonly<Record<string, string>>,
  options: readonly string[] = [],
): Promise<RunningApplication> {
  for (let left = TRIES; ; left -= 1) {
    try {
      return await startOnce(environment, options);
    } catch (error) {
      if (left <= 1 || !TAKEN.test(String(error))) throw error;
    }
  }
}

async function startOnce(environment: Readonly<Record<string, string>>, options: readonly string[]): Promise<RunningApplication> {
  const port = options.includes("--port") ? [] : ["--port", String(await freePort())];
  const child = spawn(process.execPath, [`${root}/bin/start`, ...port, ...options], {
    cwd: root,
    env: { ...process.env, ...environment },
    stdio: ["ignore", "pipe", "pipe"],
  });
  let output = "";
  const ended = new Promise<number | null>((resolve) => child.on("exit", (code) => resolve(code)));
  const address = await new Promise<string>((resolve, reject) => {
    const read = (chunk: Buffer) => {
      output += String(chunk);
      const ready = READY.exec(output);
      if (ready?.[1] !== undefined) resolve(ready[1]);
    };
    child.stdout?.on("data", read);
    child.stderr?.on("data", read);
    void ended.then(() => reject(new Error(`bin/start ended before it was ready:\n${output}`)));
  });
  folders.set(address, environment.TENSIDRUM_DATA ?? "");
  return {
    address,
    output: () => output,
    process: child,
    stop() {
      if (child.exitCode === null && child.signalCode === null) child.kill("SIGTERM");
      return ended;
    },
  };
}
