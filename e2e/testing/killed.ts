import type { ChildProcess } from "node:child_process";

/** Ends an application at once, as a machine that loses its power does. */
export async function killed({ process }: { readonly process: ChildProcess }): Promise<void> {
  const ended = new Promise((resolve) => process.on("exit", resolve));
  process.kill("SIGKILL");
  await ended;
}
