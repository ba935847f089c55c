import { Refusal } from "@tensidrum/core/quantities";
import { validatedLibrary } from "@tensidrum/core/formats";
import { referenceLibrary } from "@tensidrum/core/reference";

/** Run once whenever tensid is built: a library with a fault in it is not built in. */
try {
  validatedLibrary(referenceLibrary);
} catch (error) {
  if (!(error instanceof Refusal)) throw error;
  for (const { message } of error.faults) process.stderr.write(`${message}\n`);
  process.exitCode = 1;
}
