import { Readable } from "node:stream";
import { parse as parseCookie } from "cookie";
import { writeReadableStreamToWritable } from "@react-router/node";
import type { Request as Incoming, RequestHandler, Response as Outgoing } from "express";
import { createRequestHandler, RouterContextProvider, type ServerBuild } from "react-router";
import { ZONE_COOKIE } from "../app/frame/zone";
import { plainAddress } from "../app/frame/plainAddress.server";
import { pairingDesk, refusedBefore, requestOrigin } from "../app/frame/requestContext.server";
import { THIS_MACHINE } from "../db/makers/queries.server";
import type { AppState } from "../db/workplace.server";
import { busyPage } from "./busyPage";
import { readBody, streamedBody } from "./guards/bodyLimits";
import { isEventStream } from "./guards/eventStreams";
import { busyReading, busySending, type EarlyRefusal } from "./guards/refusals";
import { Turns } from "./guards/turns";

/** Node runs one thread and the database ten connections; a page asks for several at once. */
const turns = new Turns({ atOnce: 8, mostWaiting: 400, patienceMilliseconds: 20_000 });

// The generated types spell "may be undefined" where the declared ones say "may be missing".
const build = () => import("virtual:react-router/server-build") as unknown as Promise<ServerBuild>;
const mode = process.env.NODE_ENV ?? "production";

/** A build that does not change is prepared once; while it is worked on, for every request. */
async function handlerOf() {
  return createRequestHandler(mode === "production" ? await build() : build, mode);
}
let handler: ReturnType<typeof handlerOf> | undefined;

/** Answers pages, actions and data: reads the body within the limit of its route, waits for a turn, asks the route. */
export const pages =
  (state: AppState): RequestHandler =>
  async (incoming, outgoing, next) => {
    try {
      const body = incoming.method === "POST" ? await bodyOf(incoming) : undefined;
      const isRefused = body !== undefined && !Buffer.isBuffer(body) && !(body instanceof ReadableStream);
      // A refused body is not read to its end, so this connection can carry nothing more.
      if (isRefused) outgoing.set("Connection", "close");
      const release = isEventStream(incoming.path) ? undefined : await turns.take();
      if (release === "busy" && isDocument(incoming)) return sendBusy(outgoing);
      try {
        const busy = incoming.method === "POST" ? busySending : busyReading;
        const refusal = release === "busy" ? busy : isRefused ? body : null;
        const request = requestOf(incoming, outgoing, refusal === null && !isRefused ? body : undefined);
        handler ??= handlerOf();
        const answer = await (await handler)(request, contextOf(incoming, outgoing, { refusal, state }));
        if (release !== "busy") release?.();
        await send(outgoing, answer);
      } finally {
        if (release !== "busy") release?.();
      }
    } catch (error) {
      next(error);
    }
  };

async function bodyOf(incoming: Incoming): Promise<Buffer | ReadableStream | EarlyRefusal> {
  const streamed = streamedBody(incoming);
  if (streamed === null) return readBody(incoming);
  return streamed === "streamed" ? (Readable.toWeb(incoming) as ReadableStream) : streamed;
}

function isDocument(incoming: Incoming): boolean {
  return incoming.method === "GET" && !incoming.path.endsWith(".data") && (incoming.headers.accept ?? "").includes("text/html");
}

function sendBusy(outgoing: Outgoing): void {
  outgoing.set({ "Cache-Control": "no-store", "Retry-After": "2" }).status(503).type("html").send(busyPage);
}

function contextOf(
  incoming: Incoming,
  outgoing: Outgoing,
  { refusal, state }: { readonly refusal: EarlyRefusal | null; readonly state: AppState },
): RouterContextProvider {
  const context = new RouterContextProvider();
  context.set(requestOrigin, {
    state,
    place: outgoing.locals.device ?? THIS_MACHINE,
    zone: parseCookie(incoming.headers.cookie ?? "")[ZONE_COOKIE],
  });
  context.set(refusedBefore, refusal);
  context.set(pairingDesk, outgoing.locals.pairingDesk ?? null);
  return context;
}

/** The request as the routes take it. */
function requestOf(incoming: Incoming, outgoing: Outgoing, body: Buffer | ReadableStream | undefined): Request {
  const headers = new Headers();
  for (const [name, values] of Object.entries(incoming.headers)) {
    for (const value of values === undefined ? [] : [values].flat()) headers.append(name, value);
  }
  // The body is unpacked by now.
  headers.delete("content-encoding");
  headers.delete("content-length");
  headers.delete("transfer-encoding");
  const gone = new AbortController();
  outgoing.on("close", () => {
    if (!outgoing.writableFinished) gone.abort();
  });
  const url = new URL(`${incoming.protocol}://${incoming.headers.host ?? "127.0.0.1"}`);
  // The path as it was asked for: one that begins with two slashes names no other host.
  const mark = incoming.originalUrl.indexOf("?");
  url.pathname = mark < 0 ? incoming.originalUrl : incoming.originalUrl.slice(0, mark);
  if (mark >= 0) url.search = incoming.originalUrl.slice(mark);
  return new Request(plainAddress(url), {
    method: incoming.method,
    headers,
    signal: gone.signal,
    ...sentBody(body),
  });
}

function sentBody(body: Buffer | ReadableStream | undefined): RequestInit {
  // A stream is read while the answer waits; the declared types do not know of it yet.
  if (body instanceof ReadableStream) return { body, duplex: "half" } as RequestInit;
  return body === undefined || body.length === 0 ? {} : { body: new Uint8Array(body) };
}

async function send(outgoing: Outgoing, answer: Response): Promise<void> {
  if (outgoing.destroyed || outgoing.writableEnded) {
    await answer.body?.cancel();
    return;
  }
  outgoing.status(answer.status);
  for (const [name, value] of answer.headers) outgoing.append(name, value);
  // Answers hold the maker's own data; what may be kept says so itself.
  if (!answer.headers.has("Cache-Control")) outgoing.set("Cache-Control", "no-store");
  if (answer.headers.get("Content-Type")?.startsWith("text/event-stream") === true) outgoing.flushHeaders();
  if (answer.body === null) {
    outgoing.end();
    return;
  }
  try {
    await writeReadableStreamToWritable(answer.body, outgoing);
  } catch (error) {
    if (!outgoing.destroyed && !outgoing.writableEnded) throw error;
  }
}
