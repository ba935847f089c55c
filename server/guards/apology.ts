import type { ErrorRequestHandler } from "express";
import { describeFault } from "../../app/frame/describeFault.server";

/** Answers what nothing else answered: a request that cannot be read keeps its status, a fault is logged without what was typed. */
export const apology: ErrorRequestHandler = (error: unknown, _request, response, _next) => {
  const { status } = error as { readonly status?: unknown };
  const isTheirs = typeof status === "number" && status >= 400 && status < 500;
  if (!isTheirs) console.error(describeFault(error));
  if (response.headersSent) {
    response.destroy();
    return;
  }
  const words = isTheirs ? "This request cannot be read. Use the page itself." : "Something broke on our side. Load the page again.";
  response
    .set("Cache-Control", "no-store")
    .status(isTheirs ? status : 500)
    .type("text/plain")
    .send(`${words}\n`);
};
