import type { Request, RequestHandler } from "express";
import { sendRefusal } from "./refusals";

const READING = new Set(["GET", "HEAD"]);

/** Pages, forms and files use these methods; nothing else is answered. */
export const knownMethods: RequestHandler = (request, response, next) => {
  if (READING.has(request.method) || request.method === "POST") return next();
  response.set("Allow", "GET, HEAD, POST");
  sendRefusal(response, {
    status: 405,
    message: `Tensidrum does not know the method ${request.method}.`,
    remedy: "Use the page itself.",
  });
};

/**
 * Everything that may change something must come from a page of this origin. A browser says so in `Sec-Fetch-Site` or in
 * `Origin`; what says neither, or anything else in either, is refused.
 */
export const sameOrigin: RequestHandler = (request, response, next) => {
  if (READING.has(request.method) || comesFromHere(request)) return next();
  sendRefusal(response, {
    status: 403,
    message: "This was not sent by a page of Tensidrum, so nothing was changed.",
    remedy: "Open Tensidrum itself and do it there.",
  });
};

function comesFromHere(request: Request): boolean {
  const { origin, host } = request.headers;
  const site = request.headers["sec-fetch-site"];
  if (origin === undefined && site === undefined) return false;
  if (site !== undefined && site !== "same-origin") return false;
  return origin === undefined || origin === `${request.protocol}://${host ?? ""}`;
}
