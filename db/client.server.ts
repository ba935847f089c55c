import { drizzle, type NodePgDatabase } from "drizzle-orm/node-postgres";
import pg from "pg";

export type Database = NodePgDatabase;
/** What a query needs: the database itself or a transaction on it. */
export type Executor = Pick<Database, "select" | "selectDistinctOn" | "insert" | "update" | "delete" | "execute" | "transaction">;

export interface OpenDatabase {
  readonly db: Database;
  close(): Promise<void>;
}

/** Longest wait for a connection, of the pool or of the database. */
const CONNECT_MILLISECONDS = 5000;
const STATEMENT_MILLISECONDS = 15_000;
const POOL_SIZE = 10;

/** Opens a pool of connections. A connection that breaks is dropped, and the next query opens another. */
export function openDatabase(connectionString: string): OpenDatabase {
  const pool = new pg.Pool({
    connectionString,
    max: POOL_SIZE,
    connectionTimeoutMillis: CONNECT_MILLISECONDS,
    statement_timeout: STATEMENT_MILLISECONDS,
    // Compiling a query takes longer than any of ours runs. What is read lies in memory or on a disk without a head: reading
    // here and there costs little more than reading in a row, so that a table is not read whole for some rows of it.
    options: "-c jit=off -c random_page_cost=1.1",
  });
  pool.on("error", (error) => console.error(`A database connection broke: ${error.message}`));
  // The pool listens only to idle connections. One that breaks while it is used fails its query, and must not end the process.
  pool.on("connect", (client) => client.on("error", () => undefined));
  return { db: drizzle(pool), close: () => pool.end() };
}

export function databaseUrl(): string {
  const url = process.env.DATABASE_URL;
  if (url === undefined || url === "") throw new Error("DATABASE_URL is not set; start with bin/start or bin/dev");
  return url;
}
