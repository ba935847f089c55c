import pg from "pg";
import type { AppState } from "./workplace.server";

const CHANNEL = "batch_news";
/** Pauses before a connection that broke is made anew; the last one for every further time. */
const AGAIN_MILLISECONDS = [100, 500, 2_000, 5_000];

export interface News {
  close(): Promise<void>;
}

/**
 * Listens to what is stored for batches, by this process or another on the same database (LISTEN of PostgreSQL), and tells
 * whoever waits for it. A connection that breaks is made anew; then everyone looks, since something may have been missed.
 */
export async function listenForNews(connectionString: string, { listeners }: Pick<AppState, "listeners">): Promise<News> {
  let client: pg.Client | undefined;
  let waiting: NodeJS.Timeout | undefined;
  let isClosed = false;
  const tell = (batchId: string): void => {
    for (const listener of listeners.get(batchId) ?? []) listener();
  };
  const connect = async (attempt: number): Promise<void> => {
    const made = new pg.Client({ connectionString, keepAlive: true });
    let isOver = false;
    // One that never listened is waited for longer each time.
    let next = attempt + 1;
    const again = (): void => {
      if (isOver || isClosed) return;
      isOver = true;
      client = undefined;
      void made.end().catch(() => undefined);
      waiting = setTimeout(() => void connect(next), AGAIN_MILLISECONDS[Math.min(next, AGAIN_MILLISECONDS.length - 1)]);
    };
    made.on("error", again);
    made.on("end", again);
    made.on("notification", ({ payload = "" }) => tell(payload));
    try {
      await made.connect();
      await made.query(`listen ${CHANNEL}`);
      client = made;
      next = 0;
      for (const batchId of [...listeners.keys()]) tell(batchId);
    } catch {
      again();
    }
  };
  await connect(0);
  return {
    async close() {
      isClosed = true;
      clearTimeout(waiting);
      await client?.end().catch(() => undefined);
    },
  };
}
