import { fileURLToPath } from "node:url";
import pg from "pg";
import { databaseUrl, openDatabase } from "../client.server";
import { prepareDatabase } from "../prepare.server";

const migrationsFolder = fileURLToPath(new URL("../migrations", import.meta.url));
const templates = { once: "tensidrum_template_with_demo", never: "tensidrum_template_without_demo" } as const;

/** A new database on the test server, with tables and reference library; gone after `close`. */
export async function freshDatabase({ demo }: { readonly demo: keyof typeof templates }) {
  const name = `test_${crypto.randomUUID().replaceAll("-", "")}`;
  await onServer(`create database ${name} template ${templates[demo]}`);
  const connectionString = urlOf(name);
  const opened = openDatabase(connectionString);
  return {
    db: opened.db,
    connectionString,
    async close() {
      await opened.close();
      await onServer(`drop database ${name} with (force)`);
    },
  };
}

/** Prepares once what every fresh database is a copy of. */
export async function makeTemplates(): Promise<void> {
  await dropTemplates();
  for (const [demo, name] of Object.entries(templates)) {
    await onServer(`create database ${name}`);
    await prepareDatabase({
      connectionString: urlOf(name),
      migrationsFolder,
      demo: demo as keyof typeof templates,
      say: () => undefined,
    });
  }
}

export async function dropTemplates(): Promise<void> {
  for (const name of Object.values(templates)) await onServer(`drop database if exists ${name} with (force)`);
}

function urlOf(name: string): string {
  const url = new URL(databaseUrl());
  url.pathname = `/${name}`;
  return url.toString();
}

async function onServer(statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl() });
  await client.connect();
  try {
    await client.query(statement);
  } finally {
    await client.end();
  }
}
