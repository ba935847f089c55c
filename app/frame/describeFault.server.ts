const MOST_CAUSES = 5;
const MOST_FRAMES = 12;

/**
 * A fault for the log: kinds, codes and where it happened, never what somebody typed. A failed query names its statement,
 * not its parameters, and what a message quotes is left out.
 */
export function describeFault(error: unknown): string {
  const lines: string[] = [];
  let current = error;
  for (let depth = 0; depth < MOST_CAUSES && current !== undefined && current !== null; depth += 1) {
    lines.push(`${depth === 0 ? "" : "caused by "}${headOf(current)}`);
    if (!(current instanceof Error)) break;
    lines.push(...framesOf(current));
    current = current.cause;
  }
  return lines.join("\n");
}

function headOf(error: unknown): string {
  if (!(error instanceof Error)) return `thrown: ${typeof error}`;
  const { code, constraint, query } = error as Error & { code?: unknown; constraint?: unknown; query?: unknown };
  const about = [
    typeof code === "string" ? ` [${code}]` : "",
    typeof constraint === "string" ? ` constraint ${constraint}` : "",
    typeof query === "string" ? ` in: ${query.slice(0, 300)}` : `: ${withoutQuotes(error.message.split("\n", 1)[0] ?? "")}`,
  ];
  return `${error.name}${about.join("")}`;
}

function withoutQuotes(message: string): string {
  return message.replace(/"[^"]*"/g, '"…"').slice(0, 300);
}

/** Where it happened: the stack without its head, which repeats the message. */
function framesOf(error: Error): readonly string[] {
  return (error.stack ?? "")
    .split("\n")
    .filter((line) => /^\s+at /.test(line))
    .slice(0, MOST_FRAMES);
}
