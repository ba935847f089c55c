import { spawn } from "node:child_process";
import { mkdirSync, writeFileSync } from "node:fs";
import { cpus } from "node:os";
import { join } from "node:path";
import { createInterface } from "node:readline";
import { build } from "esbuild";
import type { SimulationName } from "./part";
import type { ThickeningOutcome } from "./thickeningRun";
import type { TitrationOutcome } from "./titrationRun";

const BATCHES = 1000;
const HILLS = 500;
/** Settings were looked at on lower numbers; what is reported comes from numbers nobody looked at. */
const FIRST = 30_000;
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

function share<Outcome>(outcomes: readonly Outcome[], isTrue: (outcome: Outcome) => boolean): number {
  return (100 * outcomes.filter(isTrue).length) / outcomes.length;
}

function place(values: readonly number[], part: number): number {
  return [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(part * values.length))]!;
}

async function titration(name: SimulationName) {
  const outcomes = await outcomesOf<TitrationOutcome>(name, BATCHES);
  const doses = outcomes.map((outcome) => outcome.doses);
  return {
    simulation: name,
    batches: outcomes.length,
    neverPassedPercent: share(outcomes, ({ passed }) => !passed),
    endsInsidePercent: share(outcomes, ({ endsInside }) => endsInside),
    medianDoses: place(doses, 0.5),
    p90Doses: place(doses, 0.9),
  };
}

async function thickening(name: SimulationName) {
  const outcomes = await outcomesOf<ThickeningOutcome>(name, HILLS);
  const additions = outcomes.map((outcome) => outcome.additions);
  return {
    simulation: name,
    batches: outcomes.length,
    neverPastPeakPercent: share(outcomes, ({ passedPeak }) => !passedPeak),
    onTargetInFivePercent: share(outcomes, ({ onTarget, additions: many }) => onTarget && many <= 5),
    onTargetPercent: share(outcomes, ({ onTarget }) => onTarget),
    medianAdditions: place(additions, 0.5),
    p90Additions: place(additions, 0.9),
  };
}

await build({
  entryPoints: [join(root, "simulate/part.ts")],
  bundle: true,
  platform: "node",
  format: "esm",
  outfile: bundle,
  logLevel: "error",
});
const acid = [await titration("pH by the advisor"), await titration("pH by the slope rule")];
console.table(acid);
const salt = [
  await thickening("salt, one reading each"),
  await thickening("salt, three readings each"),
  await thickening("salt, three readings each, after five jars"),
];
console.table(salt);
mkdirSync(join(root, "docs/simulations"), { recursive: true });
writeFileSync(join(root, "docs/simulations/latest.json"), `${JSON.stringify({ acid, salt }, null, 2)}\n`);
