import { afterAll, beforeAll } from "vitest";
import { closeDatabase } from "../client.server";
import { freshDatabase } from "./freshDatabase";

/** The services of this test file work on a database of its own, gone when it is through. */
export function onFreshDatabase(options: Parameters<typeof freshDatabase>[0]): void {
  let fresh: Awaited<ReturnType<typeof freshDatabase>>;
  let server: string | undefined;
  beforeAll(async () => {
    fresh = await freshDatabase(options);
    server = process.env.DATABASE_URL;
    process.env.DATABASE_URL = fresh.connectionString;
  });
  afterAll(async () => {
    await closeDatabase();
    if (server !== undefined) process.env.DATABASE_URL = server;
    await fresh.close();
  });
}
