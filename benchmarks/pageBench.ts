import { gzipSync } from "node:zlib";
import { type Measured, quantile } from "./measure";

const WARM_UP = 60;
const SAMPLES = 250;

/** Median time of a request, one after the other, ms. */
export async function serverMilliseconds(address: string): Promise<number> {
  const samples: number[] = [];
  for (let i = 0; i < WARM_UP + SAMPLES; i += 1) {
    const began = performance.now();
    await (await fetch(address)).text();
    if (i >= WARM_UP) samples.push(performance.now() - began);
  }
  return quantile(samples, 0.5);
}

/** Scripts a page names itself, kB gzipped; what it fetches once it stands (the rules) is not among them. */
async function firstLoadKilobytes(address: string): Promise<number> {
  const html = await (await fetch(address)).text();
  const scripts = new Set([...html.matchAll(/["'](\/assets\/[^"']+\.js)["']/g)].map((match) => match[1] ?? ""));
  let bytes = 0;
  for (const script of scripts) bytes += gzipSync(Buffer.from(await (await fetch(new URL(script, address))).arrayBuffer())).length;
  return bytes / 1000;
}

/** Server time of the Sheet beside an empty page of the same server, and the weight of its first load. */
export async function benchPages(sheet: string): Promise<Measured[]> {
  const empty = await serverMilliseconds(new URL("/nowhere", sheet).toString());
  const full = await serverMilliseconds(sheet);
  return [
    { what: "server: empty page, median", value: empty, unit: "ms", limit: null },
    { what: "server: Sheet with 40 lines, median", value: full, unit: "ms", limit: null },
    { what: "server: Sheet beside an empty page", value: full / empty, unit: "times", limit: 3 },
    { what: "browser: scripts of the Sheet's first load, gzipped", value: await firstLoadKilobytes(sheet), unit: "kB", limit: 230 },
  ];
}
