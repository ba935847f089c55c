import { createRequestHandler } from "@react-router/express";
import { constants } from "node:zlib";
import compression from "compression";
import express, { type RequestHandler, type Response } from "express";
import type { Server } from "node:http";
import type { ServerBuild } from "react-router";
import { closeDatabase } from "../db/client.server";
import { onLoopback, serveLan, type LanOptions } from "./lan";

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

interface ServeOptions {
  readonly port: number;
  readonly clientFolder: string;
  /** Absent: nobody but this machine reaches it. */
  readonly lan?: LanOptions | undefined;
}

/** Serves the built application on the loopback and, where it is wanted, to paired devices of the local network. */
export async function serve({ port, clientFolder, lan }: ServeOptions) {
  const application = express();
  application.disable("x-powered-by");
  application.use(plainHeaders);
  const news = new Set<Response>();
  application.use(newsKeptIn(news));
  application.use(
    compression({
      level: FAST_GZIP,
      brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: FAST_BROTLI } },
      // News go out as they come; packed they would wait for more.
      filter: (request, response) => response.getHeader("Content-Type") !== NEWS && compression.filter(request, response),
    }),
  );
  application.use("/assets", express.static(`${clientFolder}/assets`, { immutable: true, maxAge: ONE_YEAR }));
  application.use(express.static(clientFolder, { maxAge: "1h", index: false }));
  application.use(pages);
  const loopback = express();
  loopback.disable("x-powered-by");
  loopback.use(onLoopback, application);
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = loopback.listen(port, "127.0.0.1", (error?: Error) => (error ? reject(error) : resolve(listening)));
  });
  const servers: readonly Server[] = lan === undefined ? [server] : [server, await serveLan(application, lan)];
  return {
    async close() {
      for (const response of news) response.destroy();
      await Promise.all(servers.map(closeServer));
      await closeDatabase();
    },
  };
}

const NEWS = "text/event-stream";

/** News never end by themselves; they are cut when the server ends. */
function newsKeptIn(news: Set<Response>): RequestHandler {
  return (request, response, next) => {
    if (request.headers.accept === NEWS) {
      news.add(response);
      response.on("close", () => news.delete(response));
    }
    next();
  };
}

async function closeServer(server: Server): Promise<void> {
  server.closeIdleConnections();
  const closed = new Promise<void>((resolve) => server.close(() => resolve()));
  const patience = setTimeout(() => server.closeAllConnections(), LAST_REQUESTS_MILLISECONDS);
  await closed;
  clearTimeout(patience);
}
