import type { Express, RequestHandler } from "express";
import { sendRefusal } from "./refusals";

const LOOPBACK_NAMES = ["127.0.0.1", "localhost", "[::1]"];

/**
 * Answers only under names this server knows: those of the loopback, the addresses it announces and what the maker adds.
 * A foreign name that was pointed at this machine (DNS rebinding) gets nothing.
 * @param names further host names without a port
 */
export function knownHosts(names: readonly string[]): RequestHandler {
  const known = new Set([...LOOPBACK_NAMES, ...names.map((name) => name.toLowerCase())]);
  return (request, response, next) => {
    if (known.has(hostNameOf(request.headers.host))) return next();
    sendRefusal(response, {
      status: 421,
      message: "Tensidrum does not answer under this name.",
      remedy: "Open it at 127.0.0.1, or add the name to TENSIDRUM_HOSTS and start again.",
    });
  };
}

/** Host name of a Host header without its port, in small letters; empty when there is none. */
export function hostNameOf(host: string | undefined): string {
  return /^(\[[0-9a-f:.]+\]|[^:[\]]+)(?::\d{1,5})?$/i.exec(host ?? "")?.[1]?.toLowerCase() ?? "";
}

/** The names a maker added, parted by commas or spaces. */
export function addedHosts(text: string | undefined): readonly string[] {
  return (text ?? "").split(/[,\s]+/).filter((name) => name !== "");
}

/** Under a name that was added a proxy of this machine stands in front, and tells by which protocol it was asked. */
export function behindProxy(application: Express, names: readonly string[]): void {
  if (names.length > 0) application.set("trust proxy", "loopback");
}
