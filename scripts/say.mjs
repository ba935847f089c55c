/** Where steps are told; standard error in a command whose standard output is its answer. */
export const voice = { stream: /** @type {NodeJS.WriteStream & { fd: number }} */ (process.stdout) };

export function sayOnStandardError() {
  voice.stream = process.stderr;
}

/** Prints one step of a longer job. @param {string} text */
export function say(text) {
  voice.stream.write(`${text}\n`);
}

/** A failure whose message already says what to do; printed without a stack. */
export class Obstacle extends Error {}

/**
 * Runs a command file's job; an obstacle becomes its sentence and exit code 1.
 * @param {() => Promise<void>} job
 */
export async function run(job) {
  try {
    await job();
  } catch (error) {
    if (!(error instanceof Obstacle)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exit(1);
  }
}
