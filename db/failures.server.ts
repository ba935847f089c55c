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

const AWAY_MESSAGES =
  /Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error|Cannot use a pool after calling end/;

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

/** What a constraint of the database refused, for words a maker understands. */
export function brokenConstraint(error: unknown): "taken" | "missing" | "set" | undefined {
  for (const cause of causesOf(error)) {
    if (cause.code === UNIQUE_VIOLATION) return "taken";
    if (cause.code === FOREIGN_KEY_VIOLATION) return "missing";
    if (cause.code === RESTRICT_VIOLATION) return "set";
  }
  return undefined;
}
