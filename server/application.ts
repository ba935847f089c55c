import { createRequestHandler } from "@react-router/express";
import { constants } from "node:zlib";
import compression from "compression";
import express, { type RequestHandler } from "express";
import type { ServerBuild } from "react-router";
import { closeDatabase } from "../db/client.server";

export { prepareDatabase } from "../db/prepare.server";
export { closeDatabase };

/** Answers pages, actions and data. */
export const pages: RequestHandler = createRequestHandler({
  // The generated types spell "may be undefined" where the declared ones say "may be missing".
  build: () => import("virtual:react-router/server-build") as unknown as Promise<ServerBuild>,
  mode: process.env.NODE_ENV ?? "production",
});

const ONE_YEAR = "1y";
/** A page is packed anew for every visit, and mostly for the next room: quick counts for more than small. */
const FAST_GZIP = 1;
const FAST_BROTLI = 1;
/** Longest wait for requests under way when the server ends. */
const LAST_REQUESTS_MILLISECONDS = 3000;

const plainHeaders: RequestHandler = (_request, response, next) => {
  response.setHeader("X-Content-Type-Options", "nosniff");
  response.setHeader("Referrer-Policy", "same-origin");
  response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
  response.setHeader("Permissions-Policy", "camera=(), microphone=(), geolocation=()");
  next();
};

/** Serves the built application on the loopback. */
export async function serve({ port, clientFolder }: { readonly port: number; readonly clientFolder: string }) {
  const application = express();
  application.disable("x-powered-by");
  application.use(plainHeaders);
  application.use(
    compression({
      level: FAST_GZIP,
      brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: FAST_BROTLI } },
      // News go out as they come; packed they would wait for more.
      filter: (request, response) => response.getHeader("Content-Type") !== "text/event-stream" && compression.filter(request, response),
    }),
  );
  application.use("/assets", express.static(`${clientFolder}/assets`, { immutable: true, maxAge: ONE_YEAR }));
  application.use(express.static(clientFolder, { maxAge: "1h", index: false }));
  application.use(pages);
  const server = await new Promise<ReturnType<typeof application.listen>>((resolve, reject) => {
    const listening = application.listen(port, "127.0.0.1", (error?: Error) => (error ? reject(error) : resolve(listening)));
  });
  return {
    async close() {
      server.closeIdleConnections();
      const closed = new Promise<void>((resolve) => server.close(() => resolve()));
      const patience = setTimeout(() => server.closeAllConnections(), LAST_REQUESTS_MILLISECONDS);
      await closed;
      clearTimeout(patience);
      await closeDatabase();
    },
  };
}
