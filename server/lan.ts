import express, { type RequestHandler } from "express";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { createServer, type Server } from "node:https";
import { Pairing, type PairingState } from "./pairing";
import { pairPage } from "./pairPage";

const COOKIE = "tensidrum-device";
const ONE_YEAR_SECONDS = 31_536_000;
const PAGE_POLICY = "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
/** Says to the pages that a request came over the local network; nobody else can say it. */
export const LAN_HEADER = "x-tensidrum-lan";

export interface LanOptions {
  readonly port: number;
  readonly key: string;
  readonly certificate: string;
  /** Where the devices that are paired are remembered. */
  readonly devicesFile: string;
  /** To be told on the first screen. */
  readonly addresses: readonly string[];
}

/** What the first screen tells of the way in. */
export interface LanNotice extends PairingState {
  readonly addresses: readonly string[];
}

const shared = globalThis as typeof globalThis & { tensidrumLan?: () => LanNotice };

/** A request that did not come over the local network cannot say that it did. */
export const onLoopback: RequestHandler = (request, _response, next) => {
  delete request.headers[LAN_HEADER];
  next();
};

/** Serves the application to devices of the local network that were paired, over HTTPS. */
export async function serveLan(
  application: RequestHandler,
  { port, key, certificate, devicesFile, addresses }: LanOptions,
): Promise<Server> {
  const pairing = new Pairing({
    known: existsSync(devicesFile) ? (JSON.parse(readFileSync(devicesFile, "utf8")) as string[]) : [],
    remember: (digests) => writeFileSync(devicesFile, JSON.stringify(digests), { mode: 0o600 }),
  });
  shared.tensidrumLan = () => ({ ...pairing.state(), addresses: addresses.map((address) => `https://${address}:${port}/`) });
  const gate = express();
  gate.disable("x-powered-by");
  gate.get("/certificate.pem", (_request, response) => {
    response.type("application/x-x509-ca-cert").set("Content-Disposition", 'attachment; filename="tensidrum.pem"').send(certificate);
  });
  gate.post("/pair", express.urlencoded({ extended: false, limit: "1kb" }), (request, response) => {
    const { code } = (request.body ?? {}) as { readonly code?: unknown };
    const tried = pairing.tryCode(typeof code === "string" ? code : "", request.socket.remoteAddress ?? "unknown");
    if (tried.kind === "paired") {
      response.cookie(COOKIE, tried.token, { httpOnly: true, secure: true, sameSite: "strict", maxAge: ONE_YEAR_SECONDS * 1000 });
      response.redirect(303, "/");
      return;
    }
    const wait = tried.waitSeconds === 1 ? "a second" : `${tried.waitSeconds} seconds`;
    const message =
      tried.kind === "wrong" ? `This is not the code. Try again in ${wait}.` : `Too soon after a wrong code. Try again in ${wait}.`;
    response.set("Retry-After", String(tried.waitSeconds));
    sendPage(response.status(tried.kind === "wrong" ? 401 : 429), message);
  });
  gate.use((request, response, next) => {
    if (!pairing.isPaired(cookieOf(request.headers.cookie))) {
      if (request.method === "GET" && request.accepts("html") !== false && request.path === "/pair") sendPage(response, null);
      else if (request.method === "GET" && request.headers["sec-fetch-dest"] === "document") response.redirect(303, "/pair");
      else response.status(401).type("text/plain").send("Pair this device first.");
      return;
    }
    request.headers[LAN_HEADER] = "1";
    next();
  });
  gate.use(application);
  const server = createServer({ key, cert: certificate }, gate);
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "0.0.0.0", resolve);
  });
  return server;
}

function sendPage(response: express.Response, message: string | null): void {
  response.set({ "Content-Security-Policy": PAGE_POLICY, "Cache-Control": "no-store" }).type("html").send(pairPage(message));
}

function cookieOf(header: string | undefined): string | undefined {
  const pair = header?.split(/;\s*/).find((each) => each.startsWith(`${COOKIE}=`));
  return pair?.slice(COOKIE.length + 1);
}
