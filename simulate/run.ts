import { spawn } from "node:child_process";
import { mkdirSync, writeFileSync } from "node:fs";
import { cpus } from "node:os";
import { join } from "node:path";
import { createInterface } from "node:readline";
import { build } from "esbuild";
import { calibrationOf, calibrationPicture } from "./calibration";
import type { SimulationName } from "./part";
import { hillTables, titrationTables } from "./tables";
import type { ThickeningOutcome } from "./thickeningRun";
import type { TitrationOutcome } from "./titrationRun";

/** How many are drawn: about ten minutes on two processors. The tables of the documents are drawn by `npm run simulate -- 2`. */
const SCALE = Number(process.argv[2] ?? 0.6);
const BATCHES = Math.round(1000 * SCALE);
const SAMPLES = Math.round(400 * SCALE);
const HILLS = Math.round(500 * SCALE);
/** Settings were looked at on lower numbers; what is reported comes from numbers nobody looked at. */
const FIRST = 60_000;
const root = join(import.meta.dirname, "..");
const bundle = join(root, "build/simulate/part.mjs");

/** Runs `count` numbers on all processors and tells how far it is. */
async function outcomesOf<Outcome>(name: SimulationName, count: number): Promise<readonly Outcome[]> {
  const outcomes: Outcome[] = [];
  const processes = cpus().length;
  const parts = Array.from({ length: processes }, async (_, part) => {
    const [first, last] = [part, part + 1].map((edge) => FIRST + Math.round((edge * count) / processes));
    const child = spawn(process.execPath, [bundle, name, String(first), String(last)], { stdio: ["ignore", "pipe", "inherit"] });
    for await (const line of createInterface({ input: child.stdout })) {
      outcomes.push(JSON.parse(line) as Outcome);
      if (outcomes.length % 100 === 0) process.stderr.write(`${name}: ${outcomes.length} of ${count}\n`);
    }
  });
  await Promise.all(parts);
  if (outcomes.length !== count) throw new Error(`${name}: ${outcomes.length} of ${count} batches came back`);
  return outcomes;
}

await build({
  entryPoints: [join(root, "simulate/part.ts")],
  bundle: true,
  platform: "node",
  format: "esm",
  outfile: bundle,
  logLevel: "error",
});
const batches = await outcomesOf<TitrationOutcome>("pH by the advisor", BATCHES);
const acid = titrationTables(batches);
console.table(acid);
const aside = await outcomesOf<TitrationOutcome>("pH by a sample first", SAMPLES);
const sampleFirst = titrationTables(aside);
console.table(sampleFirst);
const promises = calibrationOf(batches.flatMap(({ promised }) => promised));
console.table(promises);
const hills = await outcomesOf<ThickeningOutcome>("salt by the advisor", HILLS);
const salt = hillTables(hills);
console.table(salt);
const saltPromises = calibrationOf(hills.flatMap(({ promised }) => promised));
console.table(saltPromises);
const folder = join(root, "docs/simulations");
mkdirSync(folder, { recursive: true });
writeFileSync(join(folder, "latest.json"), `${JSON.stringify({ acid, sampleFirst, promises, salt, saltPromises }, null, 2)}\n`);
writeFileSync(join(folder, "promised-ph.svg"), calibrationPicture("Chance of passing the far edge: promised and happened", promises));
writeFileSync(join(folder, "promised-salt.svg"), calibrationPicture("Chance of passing the peak: promised and happened", saltPromises));
