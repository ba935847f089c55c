import { databaseOf } from "./databaseOf";
import { dataFolderOf } from "./startApplication";

/** Lets a batch have been begun some minutes earlier, so that what rests in it need not be waited for. */
export async function begunEarlier(address: string, batch: string, minutes: number): Promise<void> {
  const client = await databaseOf(dataFolderOf(address));
  try {
    const id = batch.split("/").at(-1);
    await client.query("update batches set started_at = started_at - make_interval(mins => $1) where id = $2", [minutes, id]);
  } finally {
    await client.end();
  }
}
