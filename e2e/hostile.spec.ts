import { hostileRequests, type HostileRequest } from "./testing/hostileRequests";
import { beginBatch, GREEN_ROOM_BATCH } from "./testing/atTheBench";
import { expect, FAILED_LOAD, test } from "./testing/test";

// What is asked here changes settings and shelf, so it is asked of an application of its own.
test.use({ allowedConsole: [FAILED_LOAD], ownApplication: "hostile" });

/** No answer takes so long, however it is asked; one that does not come at all would take for ever. */
const PATIENCE_MILLISECONDS = 10_000;
const AT_ONCE = 6;

async function answerTo(address: string, { method, path, headers = {}, body }: HostileRequest): Promise<number | string> {
  try {
    const answer = await fetch(`${address}${path}`, {
      method,
      headers: { Origin: address, ...headers },
      redirect: "manual",
      signal: AbortSignal.timeout(PATIENCE_MILLISECONDS),
      ...(body === undefined ? {} : { body: typeof body === "string" ? body : new Uint8Array(body) }),
    });
    // An event stream goes on; that it began is answer enough.
    if (answer.headers.get("content-type")?.startsWith("text/event-stream") === true) await answer.body?.cancel();
    else await answer.arrayBuffer();
    return answer.status;
  } catch (error) {
    return error instanceof Error ? `no answer: ${error.name}` : "no answer";
  }
}

test("hostile input over every route: none is answered as a fault, none hangs, and the server lives", async ({ page, application }) => {
  test.setTimeout(600_000);
  const requests = hostileRequests(await beginBatch(page, GREEN_ROOM_BATCH));
  expect(requests.length).toBeGreaterThanOrEqual(160);
  const wrong: string[] = [];
  let next = 0;
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      for (let at = next++; at < requests.length; at = next++) {
        const request = requests[at];
        if (request === undefined) break;
        const status = await answerTo(application.address, request);
        const isRight = request.status === undefined ? typeof status === "number" && status < 500 : status === request.status;
        if (!isRight) wrong.push(`${request.name}: ${status}`);
      }
    }),
  );
  expect(wrong).toEqual([]);
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Today" })).toBeVisible();
  expect(application.output()).not.toMatch(/DrizzleQueryError|TypeError|RangeError/);
});
