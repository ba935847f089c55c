import { readFileSync } from "node:fs";
import pg from "pg";

/** A connection of the test's own to the database of an application's data folder. */
export async function databaseOf(folder: string): Promise<pg.Client> {
  const port = readFileSync(`${folder}/port`, "utf8").trim();
  const client = new pg.Client({ connectionString: `postgresql://tensidrum@${encodeURIComponent(`${folder}/socket`)}:${port}/tensidrum` });
  client.on("error", () => undefined);
  await client.connect();
  return client;
}
