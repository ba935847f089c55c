/** Processor time a reader may take for one text, ms: 50 on a quiet machine, and three times that on a slow one. A careless one takes seconds. */
export const MOST_MILLISECONDS = 150;
/** Beside other work of the machine a run may take longer than the text asks for; the best of these counts. */
const TRIES = 20;

/** The clock every runtime has; the core itself knows of none. */
const { performance } = globalThis as unknown as { readonly performance: { now(): number } };

/** Whether something is done within the time; tried anew while it is not, since only the work itself repeats. */
export function quickEnough(work: () => unknown): boolean {
  for (let left = TRIES; left > 0; left -= 1) {
    const began = performance.now();
    work();
    if (performance.now() - began <= MOST_MILLISECONDS) return true;
  }
  return false;
}
