import type { RequestHandler, Response } from "express";
import { sendRefusal } from "./refusals";

const STREAM = /^\/bench\/[^/]+\/news$/;
/** A browser opens at most six connections to one server, so two browsers never meet this. */
const MOST_PER_DEVICE = 12;

export interface EventStreams {
  readonly guard: RequestHandler;
  /** Cuts all that are open; they never end by themselves. */
  close(): void;
}

/** Whether a path is one of those that stay open and tell what happens. */
export function isEventStream(path: string): boolean {
  return STREAM.test(path);
}

/** Counts open event streams by device, and refuses more than a few of the same. */
export function eventStreams(mostPerDevice = MOST_PER_DEVICE): EventStreams {
  const open = new Map<string, Set<Response>>();
  return {
    guard(request, response, next) {
      if (!isEventStream(request.path)) return next();
      const device = String(response.locals.device ?? "this machine");
      const streams = open.get(device) ?? new Set();
      if (streams.size >= mostPerDevice) {
        sendRefusal(response, {
          status: 429,
          message: `${mostPerDevice} pages of the bench are open on this device.`,
          remedy: "Close some of them.",
        });
        return;
      }
      open.set(device, streams.add(response));
      response.on("close", () => {
        streams.delete(response);
        if (streams.size === 0) open.delete(device);
      });
      next();
    },
    close() {
      for (const streams of open.values()) for (const response of streams) response.destroy();
    },
  };
}
