import { drizzle } from "drizzle-orm/node-postgres";
import pg from "pg";
import type { Database } from "../db/client.server";

interface PlanNode {
  readonly "Node Type": string;
  readonly "Relation Name"?: string;
  readonly Plans?: readonly PlanNode[];
}

/** How the database went about a query. */
export interface Plan {
  readonly query: string;
  readonly milliseconds: number;
  /** Tables that were read from end to end. */
  readonly readWhole: readonly string[];
}

const SETTINGS = {
  session_preload_libraries: "auto_explain",
  "auto_explain.log_min_duration": "0",
  "auto_explain.log_level": "notice",
  "auto_explain.log_format": "json",
  "auto_explain.log_nested_statements": "on",
  client_min_messages: "notice",
  jit: "off",
};

function readWhole(node: PlanNode): readonly string[] {
  const own = node["Node Type"] === "Seq Scan" && node["Relation Name"] !== undefined ? [node["Relation Name"]] : [];
  return [...own, ...(node.Plans ?? []).flatMap(readWhole)];
}

/** Opens a database that tells the plan by which each of its queries was run (auto_explain of PostgreSQL; needs its superuser). */
export function openTellingPlans(connectionString: string, tell: (plan: Plan) => void) {
  const options = Object.entries(SETTINGS)
    .map(([name, value]) => `-c ${name}=${value}`)
    .join(" ");
  const pool = new pg.Pool({ connectionString, options, max: 4 });
  // The database goes with force once the pool has ended; what a connection that is still closing is told then is no fault.
  pool.on("connect", (client) => client.on("error", () => undefined));
  pool.on("connect", (client) =>
    client.on("notice", ({ message = "" }) => {
      const found = /^duration: ([\d.]+) ms {2}plan:\n([\s\S]*)$/.exec(message);
      if (found?.[2] === undefined) return;
      const { "Query Text": query, Plan: root } = JSON.parse(found[2]) as { readonly "Query Text": string; readonly Plan: PlanNode };
      tell({ query, milliseconds: Number(found[1]), readWhole: readWhole(root) });
    }),
  );
  return { db: drizzle(pool) as Database, close: () => pool.end() };
}
