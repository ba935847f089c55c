import { workplace } from "../../../db/workplace.server";
import { listEntries } from "../../../db/batches/queries.server";

/** Then the connection is kept, and looked whether anything was missed. */
const HEARTBEAT_MILLISECONDS = 15_000;

/**
 * What is entered for a batch, as it happens: first all behind a position, then each entry within a moment, whichever
 * device it comes from and whichever process stored it: the database tells them all. A heartbeat keeps the connection; it ends with the request.
 */
export function newsOf(batchId: string, behind: number, signal: AbortSignal): Response {
  const encoder = new TextEncoder();
  const { db, makerId, listeners } = workplace();
  let position = behind;
  let end: () => void = () => undefined;
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let last: Promise<void> = Promise.resolve();
      let isGreeted = false;
      const say = (text: string): void => controller.enqueue(encoder.encode(text));
      const tell = async (): Promise<void> => {
        const stored = await listEntries(db, makerId, batchId, position);
        if (signal.aborted || (isGreeted && stored.length === 0)) return;
        isGreeted = true;
        position = stored.at(-1)?.position ?? position;
        say(`id: ${position}\nevent: entries\ndata: ${JSON.stringify({ now: new Date().toISOString(), stored })}\n\n`);
      };
      // One after the other, so that positions only grow.
      const listener = (): void => {
        last = last.then(tell).catch(end);
      };
      const heartbeat = setInterval(() => {
        say(": still here\n\n");
        listener();
      }, HEARTBEAT_MILLISECONDS);
      end = () => {
        clearInterval(heartbeat);
        const of = listeners.get(batchId);
        of?.delete(listener);
        if (of?.size === 0) listeners.delete(batchId);
        signal.removeEventListener("abort", end);
        try {
          controller.close();
        } catch {
          // It was closed from the other side.
        }
      };
      listeners.set(batchId, (listeners.get(batchId) ?? new Set()).add(listener));
      signal.addEventListener("abort", end);
      say("retry: 1000\n\n");
      listener();
    },
    cancel: () => end(),
  });
  return new Response(body, {
    headers: { "Content-Type": "text/event-stream", "Cache-Control": "no-store", "X-Accel-Buffering": "no" },
  });
}
