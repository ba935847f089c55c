import { readFileSync } from "node:fs";
import pg from "pg";
import { dataFolderOf } from "./startApplication";

/** Lets a batch have been begun some minutes earlier, so that what rests in it need not be waited for. */
export async function begunEarlier(address: string, batch: string, minutes: number): Promise<void> {
  const folder = dataFolderOf(address);
  const port = readFileSync(`${folder}/port`, "utf8").trim();
  const client = new pg.Client({ connectionString: `postgresql://tensidrum@${encodeURIComponent(`${folder}/socket`)}:${port}/tensidrum` });
  await client.connect();
  try {
    const id = batch.split("/").at(-1);
    await client.query("update batches set started_at = started_at - make_interval(mins => $1) where id = $2", [minutes, id]);
  } finally {
    await client.end();
  }
}
