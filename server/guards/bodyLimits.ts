import type { Request } from "express";
import type { Readable } from "node:stream";
import { createBrotliDecompress, createGunzip, createInflate } from "node:zlib";
import { busySending, type EarlyRefusal } from "./refusals";

const KB = 1024;
const MB = 1024 * KB;

/** So much of a body that is too large is read past before it is refused. */
const PASSED_OVER_BYTES = 64 * MB;
const PASSED_OVER_MILLISECONDS = 5_000;

const FORM_TYPES = ["application/x-www-form-urlencoded", "multipart/form-data"];

/** Bodies that are too large to be held are handed on as they come. */
const STREAMED = { path: /^\/settings\/backups\/file$/, type: "application/octet-stream" };

interface BodyRule {
  readonly path: RegExp;
  readonly mostBytes: number;
  readonly types: readonly string[];
}

/** What the routes take, the first that fits; every other one is a form. */
const RULES: readonly BodyRule[] = [
  { path: /^\/bench\/[^/]+\/entries$/, mostBytes: MB, types: ["application/json"] },
  { path: /^\/bench\/practice\/[^/]+\/\d+\/runs$/, mostBytes: MB, types: ["application/json"] },
  { path: /^\/bench\/[^/]+\/photos$/, mostBytes: 12 * MB, types: ["multipart/form-data"] },
  { path: /^\/watch\/[^/]+(?:\/looks)?$/, mostBytes: 12 * MB, types: FORM_TYPES },
  { path: /^\/compare\/products\/[^/]+$/, mostBytes: 12 * MB, types: FORM_TYPES },
  { path: /^\/(?:import|shelf\/import)$/, mostBytes: 12 * MB, types: FORM_TYPES },
  { path: /^\/sheet\/[^/]+\/\d+\/steps\/keep$/, mostBytes: 256 * KB, types: ["application/json"] },
  { path: /^\/recipe$/, mostBytes: MB, types: FORM_TYPES },
  { path: /^\/sheet\/[^/]+(?:\/\d+)?(?:\/save)?$/, mostBytes: MB, types: FORM_TYPES },
];

const FORM: BodyRule = { path: /^/, mostBytes: 64 * KB, types: FORM_TYPES };

/** What a route takes, told by its path, also as the browser asks for its data. */
export function bodyRuleOf(path: string): BodyRule {
  const plain = path.replace(/(?:\/_)?\.data$/, "");
  return RULES.find((rule) => rule.path.test(plain)) ?? FORM;
}

const unpackers: ReadonlyMap<string, () => Readable & NodeJS.WritableStream> = new Map([
  ["gzip", createGunzip],
  ["deflate", createInflate],
  ["br", createBrotliDecompress],
]);

/** Whether the body of a request goes on to its route as it comes, or why it is not taken; null for every other request. */
export function streamedBody(request: Request): "streamed" | EarlyRefusal | null {
  if (!STREAMED.path.test(request.path)) return null;
  const type = typeOf(request);
  return type === STREAMED.type ? "streamed" : wrongType(type === "" ? "something without a type" : type);
}

function typeOf(request: Request): string {
  return (request.headers["content-type"] ?? "").split(";")[0]?.trim().toLowerCase() ?? "";
}

/** The body of a request, whole and unpacked, or why it is not taken. Nothing over the limit of its route is kept. */
export async function readBody(request: Request): Promise<Buffer | EarlyRefusal> {
  const { mostBytes, types } = bodyRuleOf(request.path);
  const said = Number(request.headers["content-length"] ?? 0);
  const isEmpty = said === 0 && request.headers["transfer-encoding"] === undefined;
  if (isEmpty) return Buffer.alloc(0);
  const type = typeOf(request);
  if (!types.includes(type)) return wrongType(type === "" ? "something without a type" : type);
  if (said > mostBytes) {
    await passOver(request);
    return tooLarge(mostBytes);
  }
  const packing = (request.headers["content-encoding"] ?? "identity").trim().toLowerCase();
  const unpacker = unpackers.get(packing)?.();
  if (unpacker === undefined && packing !== "identity") return wrongType(`"${packing}"`);
  const whole = await collect(unpacker === undefined ? request : piped(request, unpacker), mostBytes);
  if (!Buffer.isBuffer(whole)) {
    request.unpipe();
    unpacker?.destroy();
    await passOver(request);
  }
  return whole;
}

function piped<Stream extends Readable & NodeJS.WritableStream>(request: Request, unpacker: Stream): Stream {
  request.on("close", () => {
    if (!request.complete) unpacker.destroy();
  });
  return request.pipe(unpacker);
}

/** Reads on without keeping anything, for a while: a browser that is still sending does not read the answer. */
async function passOver(request: Request): Promise<void> {
  const patience = AbortSignal.timeout(PASSED_OVER_MILLISECONDS);
  let bytes = 0;
  try {
    for await (const chunk of request as AsyncIterable<Buffer>) {
      bytes += chunk.length;
      if (bytes > PASSED_OVER_BYTES || patience.aborted) return;
    }
  } catch {
    // It has stopped sending.
  }
}

/** Bodies that are being read at this moment hold so much together; who comes then is told to come again. */
const MOST_AT_ONCE_BYTES = 128 * MB;
let heldBytes = 0;

async function collect(stream: Readable, mostBytes: number): Promise<Buffer | EarlyRefusal> {
  const chunks: Buffer[] = [];
  let bytes = 0;
  const hold = (more: number): void => {
    bytes += more;
    heldBytes += more;
  };
  try {
    // Left early, the stream stays open: what is left of it is passed over.
    for await (const chunk of stream.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>) {
      hold(chunk.length);
      if (bytes > mostBytes) return tooLarge(mostBytes);
      if (heldBytes > MOST_AT_ONCE_BYTES) return busySending;
      chunks.push(chunk);
    }
  } catch {
    return { status: 400, message: "What was sent arrived broken.", remedy: "Send it again." };
  } finally {
    heldBytes -= bytes;
  }
  return Buffer.concat(chunks, bytes);
}

function tooLarge(mostBytes: number): EarlyRefusal {
  const most = mostBytes >= MB ? `${mostBytes / MB} MB` : `${mostBytes / KB} kB`;
  return { status: 413, message: `This is larger than ${most}, the most that is taken here.`, remedy: "Send less at once." };
}

function wrongType(type: string): EarlyRefusal {
  return { status: 415, message: `This page does not take ${type}.`, remedy: "Use the form on the page." };
}
