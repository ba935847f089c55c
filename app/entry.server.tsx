import { randomBytes } from "node:crypto";
import { Writable } from "node:stream";
import { renderToPipeableStream } from "react-dom/server";
import { type EntryContext, isRouteErrorResponse, ServerRouter } from "react-router";
import { describeFault } from "./frame/describeFault.server";
import { NonceProvider } from "./frame/nonce";
import { securityPolicy } from "./frame/securityPolicy.server";

const ABANDON_MILLISECONDS = 6000;

export default function handleRequest(request: Request, status: number, headers: Headers, context: EntryContext) {
  const nonce = randomBytes(16).toString("base64");
  headers.set("Content-Type", "text/html; charset=utf-8");
  headers.set("Content-Security-Policy", securityPolicy(nonce, import.meta.env.DEV));
  headers.set("Cache-Control", "no-store");
  return new Promise<Response>((resolve, reject) => {
    let answered = status;
    const chunks: Buffer[] = [];
    // No page waits for parts of itself, so it goes out in one piece: packing fifty small ones takes far longer.
    const page = new Writable({
      write(chunk: Buffer, _encoding, done) {
        chunks.push(chunk);
        done();
      },
      final(done) {
        resolve(new Response(Buffer.concat(chunks), { status: answered, headers }));
        done();
      },
    });
    const { pipe, abort } = renderToPipeableStream(
      <NonceProvider value={nonce}>
        <ServerRouter context={context} url={request.url} nonce={nonce} />
      </NonceProvider>,
      {
        nonce,
        onAllReady() {
          clearTimeout(patience);
          pipe(page);
        },
        onShellError(error: unknown) {
          clearTimeout(patience);
          reject(error);
        },
        onError(error: unknown) {
          answered = 500;
          console.error(describeFault(error));
        },
      },
    );
    const patience = setTimeout(abort, ABANDON_MILLISECONDS);
  });
}

/** Refusals and missing pages are ordinary answers; only real faults are logged. */
export function handleError(error: unknown, { request }: { request: Request }) {
  if (request.signal.aborted || isRouteErrorResponse(error) || error instanceof Response) return;
  console.error(describeFault(error));
}
