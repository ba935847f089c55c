import express from "express";
import { createServer, request as ask, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { gzipSync } from "node:zlib";
import { afterEach, describe, expect, it } from "vitest";
import { apology } from "./apology";
import { bodyRuleOf, readBody } from "./bodyLimits";
import { eventStreams } from "./eventStreams";
import { addedHosts, behindProxy, hostNameOf, knownHosts } from "./knownHosts";
import { knownMethods, sameOrigin } from "./sameOrigin";
import { Turns } from "./turns";

const open: Server[] = [];
afterEach(() => {
  for (const server of open.splice(0)) server.close();
});

interface Asked {
  readonly method?: string;
  readonly path?: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: Buffer | string;
  /** Sent in pieces without saying how long it is. */
  readonly isChunked?: boolean;
  /** Names the server was told to answer under; a proxy stands in front of it then. */
  readonly names?: readonly string[];
}

/** A server behind the guards that tells the size of what it read. */
async function guarded(asked: Asked): Promise<{ readonly status: number; readonly text: string }> {
  const application = express();
  behindProxy(application, asked.names ?? []);
  application.use(knownMethods, knownHosts(["bench.local"]), sameOrigin, async (incoming, outgoing) => {
    const body = await readBody(incoming);
    if (Buffer.isBuffer(body)) outgoing.send(`read ${body.length}`);
    else outgoing.status(body.status).send(`${body.message} ${body.remedy}`);
  });
  const server = createServer(application);
  open.push(server);
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const { port } = server.address() as AddressInfo;
  const { method = "POST", path = "/settings", headers = {}, body = "", isChunked = false } = asked;
  return new Promise((resolve, reject) => {
    const sent = ask({ port, host: "127.0.0.1", method, path, headers: replacePort(headers, port), agent: false }, (answer) => {
      let text = "";
      answer.on("data", (chunk) => (text += String(chunk)));
      answer.on("end", () => resolve({ status: answer.statusCode ?? 0, text }));
    });
    sent.on("error", reject);
    if (!isChunked) sent.setHeader("Content-Length", Buffer.byteLength(body));
    for (let at = 0; at < body.length; at += 50_000) sent.write(body.slice(at, at + 50_000));
    sent.end();
  });
}

const replacePort = (headers: Readonly<Record<string, string>>, port: number) =>
  Object.fromEntries(Object.entries(headers).map(([name, value]) => [name, value.replace("PORT", String(port))]));

const HERE = { Origin: "http://127.0.0.1:PORT", "Content-Type": "application/x-www-form-urlencoded" };

describe("where a change comes from", () => {
  it.each([
    ["a page of this origin", { Origin: "http://127.0.0.1:PORT" }, 200],
    ["a page of this origin, as new browsers say it", { Origin: "http://127.0.0.1:PORT", "Sec-Fetch-Site": "same-origin" }, 200],
    ["a browser that says only the site", { "Sec-Fetch-Site": "same-origin" }, 200],
    ["a foreign page", { Origin: "http://evil.invalid" }, 403],
    ["another port of this machine", { Origin: "http://127.0.0.1:9" }, 403],
    ["the same host without a lock", { Origin: "https://127.0.0.1:PORT" }, 403],
    ["a page that hides its origin", { Origin: "null" }, 403],
    ["another site", { "Sec-Fetch-Site": "cross-site" }, 403],
    ["a sister site", { Origin: "http://127.0.0.1:PORT", "Sec-Fetch-Site": "same-site" }, 403],
    ["somebody who says nothing", {}, 403],
  ])("%s: %o is answered %i", async (_, headers, status) => {
    expect((await guarded({ headers })).status).toBe(status);
  });

  it("behind a proxy that holds the certificate a page comes from its HTTPS; without a name that was added nobody is believed that", async () => {
    const headers = { Host: "bench.local", Origin: "https://bench.local", "X-Forwarded-Proto": "https" };
    expect((await guarded({ headers, names: ["bench.local"] })).status).toBe(200);
    expect((await guarded({ headers })).status).toBe(403);
    expect((await guarded({ headers: { ...headers, Origin: "http://bench.local" }, names: ["bench.local"] })).status).toBe(403);
  });

  it("reading asks for nothing of the kind, and unknown methods are not done at all", async () => {
    expect((await guarded({ method: "GET", headers: { Origin: "http://evil.invalid" } })).status).toBe(200);
    for (const method of ["PUT", "DELETE", "PATCH", "OPTIONS"]) expect((await guarded({ method, headers: HERE })).status, method).toBe(405);
  });
});

describe("names it answers under", () => {
  it.each(["127.0.0.1:4180", "localhost", "LOCALHOST:4180", "[::1]:4180", "bench.local:4180"])("%s", async (host) => {
    expect((await guarded({ method: "GET", headers: { Host: host } })).status).toBe(200);
  });

  it.each([
    "rebound.invalid",
    "rebound.invalid:4180",
    "127.0.0.1.rebound.invalid",
    "127.0.0.1:4180@rebound.invalid",
    "0.0.0.0",
    "[::]",
    "a b",
  ])("not %s", async (host) => {
    const answer = await guarded({ method: "GET", headers: { Host: host } });
    expect(answer.status).toBe(421);
    expect(answer.text).toContain("TENSIDRUM_HOSTS");
  });

  it("a host's name is read without its port, and what is none has none", () => {
    expect(hostNameOf("Bench.local:80")).toBe("bench.local");
    expect(hostNameOf("[::1]")).toBe("[::1]");
    for (const host of [undefined, "", ":80", "a:b", "a:123456", "[::1"]) expect(hostNameOf(host)).toBe("");
    expect(addedHosts(" bench.local, wash.local  other ")).toEqual(["bench.local", "wash.local", "other"]);
    expect(addedHosts(undefined)).toEqual([]);
  });
});

describe("how much a route takes", () => {
  const KB = 1024;
  const form = (bytes: number) => Buffer.alloc(bytes, "a");

  it.each([
    ["/settings", 64 * KB],
    ["/settings.data", 64 * KB],
    ["/bench/5ea5/entries", 1024 * KB],
    ["/bench/5ea5/photos", 12 * 1024 * KB],
    ["/bench/5ea5", 64 * KB],
    ["/import", 12 * 1024 * KB],
    ["/import.data", 12 * 1024 * KB],
    ["/shelf/import", 12 * 1024 * KB],
    ["/recipe", 1024 * KB],
    ["/sheet/5ea5", 1024 * KB],
    ["/sheet/5ea5/3.data", 1024 * KB],
    ["/sheet/5ea5/save", 1024 * KB],
    ["/sheet/5ea5/acknowledgements", 64 * KB],
    ["/imports", 64 * KB],
  ])("%s: %i bytes", (path, most) => {
    expect(bodyRuleOf(path).mostBytes).toBe(most);
  });

  it("the last byte that fits is read, the next one is refused in words, whether its length is said or not", async () => {
    expect(await guarded({ headers: HERE, body: form(64 * KB) })).toEqual({ status: 200, text: `read ${64 * KB}` });
    expect(await guarded({ headers: HERE, body: form(64 * KB), isChunked: true })).toEqual({ status: 200, text: `read ${64 * KB}` });
    for (const isChunked of [false, true]) {
      const answer = await guarded({ headers: HERE, body: form(64 * KB + 1), isChunked });
      expect(answer).toEqual({ status: 413, text: "This is larger than 64 kB, the most that is taken here. Send less at once." });
    }
  });

  it("a browser that sends a megabyte too much still hears why", async () => {
    expect((await guarded({ headers: HERE, body: form(1024 * KB) })).status).toBe(413);
    expect((await guarded({ headers: HERE, body: form(1024 * KB), isChunked: true })).status).toBe(413);
  });

  it("what is packed counts unpacked: 10 MB of zeros in 10 kB are too much", async () => {
    const packed = { ...HERE, "Content-Encoding": "gzip" };
    const bomb = gzipSync(Buffer.alloc(10 * 1024 * KB));
    expect(bomb.length).toBeLessThan(64 * KB);
    expect((await guarded({ headers: packed, body: bomb })).status).toBe(413);
    expect((await guarded({ headers: packed, body: gzipSync("name=Curtain+Call") })).text).toBe("read 17");
    expect((await guarded({ headers: packed, body: "no gzip at all" })).status).toBe(400);
    expect((await guarded({ headers: { ...HERE, "Content-Encoding": "__proto__" }, body: "a" })).status).toBe(415);
  });

  it("a type that is not the route's is 415, and nothing at all needs no type", async () => {
    const of = (type: string, path = "/settings") => guarded({ path, headers: { ...HERE, "Content-Type": type }, body: "{}" });
    expect((await of("application/json")).status).toBe(415);
    expect((await of("text/plain")).status).toBe(415);
    expect((await of("application/x-www-form-urlencoded; charset=UTF-8")).status).toBe(200);
    expect((await of("application/json", "/bench/5ea5/entries")).status).toBe(200);
    expect((await of("text/plain", "/bench/5ea5/entries")).status).toBe(415);
    expect((await of("text/plain", "/bench/practice/5ea5/1/runs")).status).toBe(415);
    expect((await of("application/json", "/bench/practice/5ea5/1/runs")).status).not.toBe(415);
    expect((await of("application/x-www-form-urlencoded", "/bench/5ea5/photos")).status).toBe(415);
    expect((await guarded({ headers: { Origin: "http://127.0.0.1:PORT" } })).text).toBe("read 0");
  });
});

describe("what nothing else answers", () => {
  const answerOf = async (error: unknown) => {
    const application = express();
    application.use(() => {
      throw error;
    }, apology);
    const server = createServer(application);
    open.push(server);
    await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
    const answer = await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
    return { status: answer.status, text: await answer.text() };
  };

  it("a fault is told without its words, and logged without what was typed", async () => {
    const told: unknown[] = [];
    const log = console.error;
    console.error = (line: unknown) => void told.push(line);
    const { status, text } = await answerOf(Object.assign(new Error('broken at "Curtain Call secret"'), { code: "XX000" }));
    console.error = log;
    expect([status, text]).toEqual([500, "Something broke on our side. Load the page again.\n"]);
    expect(String(told[0])).toContain("[XX000]");
    expect(String(told[0])).not.toContain("secret");
  });

  it("a request that cannot be read keeps its status", async () => {
    expect((await answerOf(Object.assign(new Error("bad"), { status: 400 }))).status).toBe(400);
    expect((await answerOf(Object.assign(new Error("bad"), { status: 200 }))).status).toBe(500);
  });
});

describe("turns", () => {
  it("two work, the others follow in the order they came, each once", async () => {
    const turns = new Turns({ atOnce: 2, mostWaiting: 10, patienceMilliseconds: 1_000 });
    const order: number[] = [];
    let most = 0;
    let working = 0;
    await Promise.all(
      [1, 2, 3, 4, 5, 6].map(async (number) => {
        const release = await turns.take();
        if (release === "busy") throw new Error("busy");
        order.push(number);
        working += 1;
        most = Math.max(most, working);
        await new Promise((resolve) => setImmediate(resolve));
        working -= 1;
        release();
        release();
      }),
    );
    expect(order).toEqual([1, 2, 3, 4, 5, 6]);
    expect(most).toBe(2);
  });

  it("who comes when too many wait, or waits too long, is told so, and the turn goes to the next", async () => {
    const turns = new Turns({ atOnce: 1, mostWaiting: 1, patienceMilliseconds: 20 });
    const first = await turns.take();
    const second = turns.take();
    expect(await turns.take()).toBe("busy");
    expect(await second).toBe("busy");
    const third = turns.take();
    if (first === "busy") throw new Error("busy");
    first();
    expect(await third).not.toBe("busy");
  });
});

describe("event streams", () => {
  it("of one device are counted: three are open, the fourth is refused, and one that closed makes room", async () => {
    const streams = eventStreams(3);
    const application = express();
    application.use(
      (incoming, outgoing, next) => {
        outgoing.locals.device = incoming.headers["x-device"];
        next();
      },
      streams.guard,
      (_, outgoing) => {
        outgoing.type("text/event-stream").write(": open\n\n");
      },
    );
    const server = createServer(application);
    open.push(server);
    await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
    const { port } = server.address() as AddressInfo;
    const listen = (device: string) => {
      const gone = new AbortController();
      const at = `http://127.0.0.1:${port}/bench/5ea5/news`;
      return fetch(at, { headers: { "x-device": device }, signal: gone.signal }).then(({ status }) => ({ status, gone }));
    };
    const three = [await listen("tablet"), await listen("tablet"), await listen("tablet")];
    expect(three.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect((await listen("tablet")).status).toBe(429);
    expect((await listen("phone")).status).toBe(200);
    three[0]?.gone.abort();
    await expect.poll(async () => (await listen("tablet")).status).toBe(200);
    streams.close();
  });
});
