import { randomBytes } from "node:crypto";
import { PassThrough } from "node:stream";
import { createReadableStreamFromReadable } from "@react-router/node";
import { isbot } from "isbot";
import { renderToPipeableStream } from "react-dom/server";
import { type EntryContext, isRouteErrorResponse, ServerRouter } from "react-router";
import { NonceProvider } from "./frame/nonce";
import { securityPolicy } from "./frame/securityPolicy.server";

const ABANDON_MILLISECONDS = 6000;

export default function handleRequest(request: Request, status: number, headers: Headers, context: EntryContext) {
  const nonce = randomBytes(16).toString("base64");
  headers.set("Content-Type", "text/html; charset=utf-8");
  headers.set("Content-Security-Policy", securityPolicy(nonce, import.meta.env.DEV));
  headers.set("Cache-Control", "no-store");
  const readyEvent = isbot(request.headers.get("user-agent")) ? "onAllReady" : "onShellReady";
  return new Promise<Response>((resolve, reject) => {
    let answered = status;
    const { pipe, abort } = renderToPipeableStream(
      <NonceProvider value={nonce}>
        <ServerRouter context={context} url={request.url} nonce={nonce} />
      </NonceProvider>,
      {
        nonce,
        [readyEvent]() {
          const body = new PassThrough();
          resolve(new Response(createReadableStreamFromReadable(body), { status: answered, headers }));
          pipe(body);
        },
        onShellError: reject,
        onError(error: unknown) {
          answered = 500;
          console.error(error);
        },
      },
    );
    setTimeout(abort, ABANDON_MILLISECONDS);
  });
}

/** Refusals and missing pages are ordinary answers; only real faults are logged. */
export function handleError(error: unknown, { request }: { request: Request }) {
  if (request.signal.aborted || isRouteErrorResponse(error) || error instanceof Response) return;
  console.error(error);
}
