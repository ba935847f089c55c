import { readFileSync } from "node:fs";
import { gzipSync } from "node:zlib";
import { type Measured, quantile } from "./measure";

const WARM_UP = 60;
const SAMPLES = 250;
/** The kernel counts in hundredths of a second. */
const MILLISECONDS_OF_TICK = 10;

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

/** What a page costs the processor, ms, on average: what the kernel counts for the process that answers. */
async function processorMilliseconds(address: string, processNumber: number): Promise<number> {
  for (let i = 0; i < WARM_UP; i += 1) await (await fetch(address)).arrayBuffer();
  const before = processorTicks(processNumber);
  for (let i = 0; i < SAMPLES; i += 1) await (await fetch(address)).arrayBuffer();
  return ((processorTicks(processNumber) - before) * MILLISECONDS_OF_TICK) / SAMPLES;
}

function processorTicks(processNumber: number): number {
  const fields = readFileSync(`/proc/${processNumber}/stat`, "utf8").split(") ")[1]?.split(" ") ?? [];
  return Number(fields[11]) + Number(fields[12]);
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
export async function benchPages(sheet: string, processNumber: number): Promise<Measured[]> {
  const empty = await serverMilliseconds(new URL("/nowhere", sheet).toString());
  const full = await serverMilliseconds(sheet);
  const processor = {
    "an empty page": await processorMilliseconds(new URL("/nowhere", sheet).toString(), processNumber),
    Today: await processorMilliseconds(new URL("/", sheet).toString(), processNumber),
    "Sheet with 40 lines": await processorMilliseconds(sheet, processNumber),
  };
  const limits: Readonly<Record<string, number>> = { Today: 25, "Sheet with 40 lines": 35 };
  return [
    ...Object.entries(processor).map(([what, value]) => ({ what: `processor: ${what}`, value, unit: "ms", limit: limits[what] ?? null })),
    { what: "server: empty page, median", value: empty, unit: "ms", limit: null },
    { what: "server: Sheet with 40 lines, median", value: full, unit: "ms", limit: null },
    { what: "server: Sheet beside an empty page", value: full / empty, unit: "times", limit: 3 },
    { what: "browser: scripts of the Sheet's first load, gzipped", value: await firstLoadKilobytes(sheet), unit: "kB", limit: 230 },
  ];
}
