import { constants } from "node:zlib";
import compression from "compression";
import express, { type RequestHandler } from "express";
import { createServer, type Server } from "node:http";
import { keepDailyBackups } from "../db/backup/keptBackups.server";
import { openDatabase } from "../db/client.server";
import { listenForNews } from "../db/news.server";
import { appStateOn } from "../db/workplace.server";
import { describeFault } from "../app/frame/describeFault.server";
import { apology } from "./guards/apology";
import { eventStreams } from "./guards/eventStreams";
import { addedHosts, behindProxy, knownHosts } from "./guards/knownHosts";
import { knownMethods, sameOrigin } from "./guards/sameOrigin";
import { serveLan, type LanOptions } from "./lan";
import { pages } from "./pages";

export { compareBackup, restoreBackup } from "../db/backup/restoreBackup.server";
export { writeBackup } from "../db/backup/writeBackup.server";
export { makerOfSession, THIS_MACHINE } from "../db/makers/queries.server";
export { prepareApplication } from "./prepare";
export { appStateOn, describeFault, listenForNews, openDatabase, pages };

const ONE_YEAR = "1y";
/** A page is packed anew for every visit, and mostly for the next room: quick counts for more than small. */
const FAST_GZIP = 1;
const FAST_BROTLI = 1;
/** Longest wait for requests under way when the server ends. */
const LAST_REQUESTS_MILLISECONDS = 3000;
/** A request whose head or body takes longer than this is given up. */
const HEAD_MILLISECONDS = 20_000;
const BODY_MILLISECONDS = 60_000;
const EVENT_STREAM = "text/event-stream";

const plainHeaders: RequestHandler = (_request, response, next) => {
  response.setHeader("X-Content-Type-Options", "nosniff");
  response.setHeader("Referrer-Policy", "same-origin");
  response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
  response.setHeader("Permissions-Policy", "camera=(), microphone=(), geolocation=()");
  next();
};

/** What every request passes before anything is done for it. @param hosts names it may be asked under, beside the loopback's */
export function guards(hosts: readonly string[] = []): readonly RequestHandler[] {
  return [plainHeaders, knownMethods, knownHosts([...hosts, ...addedHosts(process.env.TENSIDRUM_HOSTS)]), sameOrigin];
}

interface ServeOptions {
  readonly port: number;
  readonly connectionString: string;
  readonly clientFolder: string;
  readonly backupsFolder: string;
  /** Whether this process keeps a backup of each day; of several one does. */
  readonly keepsBackups: boolean;
  readonly say: (step: string) => void;
  /** Absent: nobody but this machine reaches it. */
  readonly lan?: LanOptions | undefined;
}

/** Serves the built application on the loopback and, where it is wanted, to paired devices of the local network. */
export async function serve({ port, connectionString, clientFolder, backupsFolder, keepsBackups, say, lan }: ServeOptions) {
  const database = openDatabase(connectionString);
  const application = express();
  application.disable("x-powered-by");
  const streams = eventStreams();
  application.use(
    streams.guard,
    compression({
      level: FAST_GZIP,
      brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: FAST_BROTLI } },
      // Events go out as they come; packed they would wait for more.
      filter: (request, response) => response.getHeader("Content-Type") !== EVENT_STREAM && compression.filter(request, response),
    }),
  );
  application.use("/assets", express.static(`${clientFolder}/assets`, { immutable: true, maxAge: ONE_YEAR }));
  application.use(express.static(clientFolder, { maxAge: "1h", index: false }));
  const state = appStateOn(database.db, backupsFolder);
  const news = await listenForNews(connectionString, state);
  application.use(pages(state));
  application.use(apology);
  const network = lan === undefined ? undefined : await serveLan(application, guards(lan.hosts), lan);
  if (network !== undefined) setTimeouts(network.server);
  const loopback = express();
  loopback.disable("x-powered-by");
  behindProxy(loopback, addedHosts(process.env.TENSIDRUM_HOSTS));
  loopback.use(
    ...guards(),
    (_request, response, next) => {
      response.locals.pairingDesk = network?.desk();
      next();
    },
    application,
  );
  loopback.use(apology);
  const server = createServer(loopback);
  setTimeouts(server);
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "127.0.0.1", resolve);
  });
  const endDaily = keepsBackups ? keepDailyBackups(database.db, { folder: backupsFolder, say }) : undefined;
  return {
    async close() {
      streams.close();
      await endDaily?.();
      await news.close();
      await Promise.all([server, ...(network === undefined ? [] : [network.server])].map(closeServer));
      await database.close();
    },
  };
}

function setTimeouts(server: Pick<Server, "headersTimeout" | "requestTimeout">): void {
  server.headersTimeout = HEAD_MILLISECONDS;
  server.requestTimeout = BODY_MILLISECONDS;
}

async function closeServer(server: Pick<Server, "closeIdleConnections" | "closeAllConnections" | "close">): Promise<void> {
  server.closeIdleConnections();
  const closed = new Promise<void>((resolve) => server.close(() => resolve()));
  const patience = setTimeout(() => server.closeAllConnections(), LAST_REQUESTS_MILLISECONDS);
  await closed;
  clearTimeout(patience);
}
