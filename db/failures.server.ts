const AWAY_CODES = new Set([
  "ECONNREFUSED",
  "ECONNRESET",
  "ENOENT",
  "EPIPE",
  "ETIMEDOUT",
  "ENOTFOUND",
  // PostgreSQL: shutting down, crashed, starting up, too many clients
  "57P01",
  "57P02",
  "57P03",
  "53300",
]);

/** Every connection of the pool was taken for longer than one waits for it. */
const BUSY_MESSAGE = /timeout exceeded when trying to connect/;
/** PostgreSQL's disk_full, the system's own, and a file that may not grow. */
const FULL_CODES = new Set(["53100", "ENOSPC", "EDQUOT"]);
const FULL_MESSAGE = /No space left on device/;

const AWAY_MESSAGES = /Connection terminated|Client has encountered a connection error|Cannot use a pool after calling end/;

const UNIQUE_VIOLATION = "23505";
const FOREIGN_KEY_VIOLATION = "23503";
const RESTRICT_VIOLATION = "23001";

function* causesOf(error: unknown): Generator<Error & { code?: unknown }> {
  const seen = new Set<unknown>();
  let current = error;
  while (current instanceof Error && !seen.has(current)) {
    seen.add(current);
    yield current;
    if (current instanceof AggregateError) for (const inner of current.errors) yield* causesOf(inner);
    current = current.cause;
  }
}

/** Whether a query failed because the database cannot be reached just now. */
export function isDatabaseAway(error: unknown): boolean {
  for (const cause of causesOf(error)) {
    if (typeof cause.code === "string" && AWAY_CODES.has(cause.code)) return true;
    if (AWAY_MESSAGES.test(cause.message)) return true;
  }
  return false;
}

/** Whether a query found no free connection in time, although the database is there. */
export function isDatabaseBusy(error: unknown): boolean {
  for (const cause of causesOf(error)) if (BUSY_MESSAGE.test(cause.message)) return true;
  return false;
}

/** Whether something could not be stored because the disk is full. */
export function isDiskFull(error: unknown): boolean {
  for (const cause of causesOf(error)) {
    if ((typeof cause.code === "string" && FULL_CODES.has(cause.code)) || FULL_MESSAGE.test(cause.message)) return true;
  }
  return false;
}

/** Two windows changed the same at one moment, and only one of them could. */
export function isOvertaken(error: unknown): boolean {
  for (const { code } of causesOf(error)) if (code === UNIQUE_VIOLATION || code === "40001" || code === "40P01") return true;
  return false;
}

/** PostgreSQL's class of data exceptions, and a check of ours: what was to be stored is nothing the column can hold. */
export function isUnstorable(error: unknown): boolean {
  for (const { code } of causesOf(error)) if (typeof code === "string" && (/^22...$/.test(code) || code === "23514")) return true;
  return false;
}

/** What a constraint of the database refused, for words a maker understands. */
export function brokenConstraint(error: unknown): "taken" | "missing" | "protected" | undefined {
  for (const cause of causesOf(error)) {
    if (cause.code === UNIQUE_VIOLATION) return "taken";
    if (cause.code === FOREIGN_KEY_VIOLATION) return "missing";
    if (cause.code === RESTRICT_VIOLATION) return "protected";
  }
  return undefined;
}
