import { parse as parseCookie } from "cookie";
import express, { type RequestHandler } from "express";
import { existsSync, readFileSync, renameSync, writeFileSync } from "node:fs";
import { createServer, type Server } from "node:https";
import type { PairingDesk } from "../app/frame/requestContext.server";
import { apology } from "./guards/apology";
import { DAYS_WITHOUT_USE, type Device, devicesOf, Pairing } from "./pairing";
import { pairPage } from "./pairPage";

const COOKIE = "tensidrum-device";
const DAY_SECONDS = 86_400;
const PAGE_POLICY = "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
const STRICT_TRANSPORT = `max-age=${180 * DAY_SECONDS}`;

export interface LanOptions {
  readonly port: number;
  readonly key: string;
  /** The certificate of this machine, with that of the root that signed it behind it. */
  readonly certificate: string;
  /** What a device may trust: the root alone. */
  readonly root: string;
  /** Where the devices that are paired are remembered. */
  readonly devicesFile: string;
  /** To be told on the first screen. */
  readonly addresses: readonly string[];
  /** Names it answers under. */
  readonly hosts: readonly string[];
}

export interface Lan {
  readonly server: Server;
  /** For this machine itself: the code, the devices, and how to end their access. */
  desk(): PairingDesk;
}

/** Serves the application to devices of the local network that were paired, over HTTPS. */
export async function serveLan(application: RequestHandler, guards: readonly RequestHandler[], options: LanOptions): Promise<Lan> {
  const { port, key, certificate, root, devicesFile, addresses } = options;
  const pairing = new Pairing({ known: readDevices(devicesFile), remember: (devices) => writeDevices(devicesFile, devices) });
  const gate = express();
  gate.disable("x-powered-by");
  gate.use(
    (_request, response, next) => {
      response.setHeader("Strict-Transport-Security", STRICT_TRANSPORT);
      next();
    },
    ...guards,
  );
  gate.get("/certificate.pem", (_request, response) => {
    response.type("application/x-x509-ca-cert").set("Content-Disposition", 'attachment; filename="tensidrum.pem"').send(root);
  });
  gate.post("/pair", express.urlencoded({ extended: false, limit: "1kb" }), (request, response) => {
    const { code, name } = (request.body ?? {}) as { readonly code?: unknown; readonly name?: unknown };
    const from = request.socket.remoteAddress ?? "unknown";
    const tried = pairing.tryCode(typeof code === "string" ? code : "", from, typeof name === "string" ? name : "");
    if (tried.kind === "paired") {
      setCookie(response, tried.token);
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
    const token = parseCookie(request.headers.cookie ?? "")[COOKIE];
    const device = pairing.deviceOf(token);
    if (device === undefined || token === undefined) {
      if (request.method === "GET" && request.accepts("html") !== false && request.path === "/pair") sendPage(response, null);
      else if (request.method === "GET" && request.headers["sec-fetch-dest"] === "document") response.redirect(303, "/pair");
      else response.status(401).set("Cache-Control", "no-store").type("text/plain").send("Pair this device first.");
      return;
    }
    response.locals.device = device.id;
    // The token's days without use are counted from its last page.
    if (request.headers["sec-fetch-dest"] === "document") setCookie(response, token);
    next();
  });
  gate.use(application);
  gate.use(apology);
  const server = createServer({ key, cert: certificate }, gate);
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "0.0.0.0", resolve);
  });
  return {
    server,
    desk: () => ({
      ...pairing.state(),
      addresses: addresses.map((address) => `https://${address}:${port}/`),
      revoke: (id) => pairing.revoke(id),
      revokeAll: () => pairing.revokeAll(),
    }),
  };
}

function readDevices(file: string): readonly Device[] {
  if (!existsSync(file)) return [];
  try {
    return devicesOf(JSON.parse(readFileSync(file, "utf8")));
  } catch {
    return [];
  }
}

function writeDevices(file: string, devices: readonly Device[]): void {
  writeFileSync(`${file}.new`, JSON.stringify(devices), { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

function setCookie(response: express.Response, token: string): void {
  response.cookie(COOKIE, token, { httpOnly: true, secure: true, sameSite: "strict", maxAge: DAYS_WITHOUT_USE * DAY_SECONDS * 1000 });
}

function sendPage(response: express.Response, message: string | null): void {
  response.set({ "Content-Security-Policy": PAGE_POLICY, "Cache-Control": "no-store" }).type("html").send(pairPage(message));
}
