import { readFileSync } from "node:fs";
import { type Measured, quantile } from "./measure";

const CONNECTIONS = 32;
export const SECONDS = 20;
const FEW = 500;
const MANY = 5_000;

interface Load {
  readonly failed: number;
  readonly milliseconds: readonly number[];
}

/** So many connections that each ask for the next page as soon as they have the one before. */
export async function loadOf(address: string): Promise<Load> {
  const until = performance.now() + SECONDS * 1000;
  const milliseconds: number[] = [];
  let failed = 0;
  await Promise.all(
    Array.from({ length: CONNECTIONS }, async () => {
      while (performance.now() < until) {
        const began = performance.now();
        try {
          const answer = await fetch(address, { headers: { Accept: "text/html" } });
          await answer.arrayBuffer();
          if (answer.status !== 200) failed += 1;
        } catch {
          failed += 1;
        }
        milliseconds.push(performance.now() - began);
      }
    }),
  );
  return { failed, milliseconds };
}

/** What a process holds in memory, MB, as the kernel counts it. */
function residentMegabytes(processNumber: number): number {
  const kilobytes = /^VmRSS:\s+(\d+) kB$/m.exec(readFileSync(`/proc/${processNumber}/status`, "utf8"))?.[1];
  return Number(kilobytes) / 1024;
}

async function ask(paths: readonly string[], times: number): Promise<void> {
  for (let time = 0; time < times; time += 1) await (await fetch(paths[time % paths.length] ?? "")).arrayBuffer();
}

/** Many connections at once on Today and on a Sheet, and what the server holds in memory after many requests. */
export async function benchLoad(sheet: string, processNumber: number): Promise<Measured[]> {
  const { origin } = new URL(sheet);
  const paths = [`${origin}/`, sheet, `${origin}/shelf`, `${origin}/bench`];
  await ask(paths, FEW);
  const after = residentMegabytes(processNumber);
  await ask(paths, MANY - FEW);
  const grown = residentMegabytes(processNumber) / after;
  const results: Measured[] = [
    { what: `memory after ${MANY} requests beside that after ${FEW} (${after.toFixed(0)} MB)`, value: grown, unit: "times", limit: 1.3 },
  ];
  for (const [name, address] of [
    ["Today", `${origin}/`],
    ["Sheet with 40 lines", sheet],
  ] as const) {
    const { failed, milliseconds } = await loadOf(address);
    const under = `${CONNECTIONS} connections for ${SECONDS} s on ${name}`;
    results.push(
      { what: `${under}: answers that failed`, value: failed, unit: "", limit: 0 },
      { what: `${under}: a second`, value: milliseconds.length / SECONDS, unit: "pages", limit: null },
      { what: `${under}: 99th percentile`, value: quantile(milliseconds, 0.99), unit: "ms", limit: null },
    );
  }
  return results;
}
