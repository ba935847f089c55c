import { fileURLToPath } from "node:url";
import pg from "pg";
import { databaseUrl, openDatabase } from "../client.server";
import { prepareDatabase } from "../prepare.server";

const migrationsFolder = fileURLToPath(new URL("../migrations", import.meta.url));

/** A new database on the test server, with tables and reference library; gone after `close`. */
export async function freshDatabase({ demo }: { readonly demo: "once" | "never" }) {
  const server = databaseUrl();
  const name = `test_${crypto.randomUUID().replaceAll("-", "")}`;
  await onServer(server, `create database ${name}`);
  const url = new URL(server);
  url.pathname = `/${name}`;
  const connectionString = url.toString();
  await prepareDatabase({ connectionString, migrationsFolder, demo, say: () => undefined });
  const opened = openDatabase(connectionString);
  return {
    db: opened.db,
    connectionString,
    async close() {
      await opened.close();
      await onServer(server, `drop database ${name} with (force)`);
    },
  };
}

async function onServer(connectionString: string, statement: string): Promise<void> {
  const client = new pg.Client({ connectionString });
  await client.connect();
  await client.query(statement);
  await client.end();
}
