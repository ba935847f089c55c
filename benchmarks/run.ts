import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { cpus } from "node:os";
import { makeDataFolder } from "../e2e/testing/dataFolder";
import { startCluster } from "../scripts/cluster.mjs";
import { startApplication } from "../e2e/testing/startApplication";
import { makeFormula } from "./benchFormula";
import { benchBackup } from "./backupBench";
import { benchBatch } from "./batchBench";
import { benchCompare } from "./compareBench";
import { benchCore } from "./coreBench";
import { benchFilling } from "./fillingBench";
import { benchInstruments } from "./instrumentBench";
import { benchDesign } from "./designBench";
import { benchKeystrokes } from "./keystrokeBench";
import { benchLabel } from "./labelBench";
import { benchLedger } from "./ledgerBench";
import { benchList } from "./listBench";
import { benchLoad } from "./loadBench";
import { benchProcesses } from "./processesBench";
import type { Measured } from "./measure";
import { benchModels } from "./modelBench";
import { benchPages } from "./pageBench";
import { benchSize } from "./sizeBench";
import { benchShelf } from "./shelfBench";
import { benchSteps } from "./stepsBench";
import { benchWatch } from "./watchBench";

const LINES = 40;
const LATEST = "docs/bench/latest.json";

interface Latest {
  /** Of results that do not tell their own. */
  readonly measuredAt?: string;
  readonly results: readonly (Measured & { readonly measuredAt?: string })[];
}

const folder = makeDataFolder();
const cluster = await startCluster(folder.path, { keep: false });
const application = await startApplication({ TENSIDRUM_DATA: folder.path, DATABASE_URL: cluster.url }, ["--small-demo"]);
/** Parts named on the command line; all of them where none is. */
const wanted = process.argv.slice(2);
const results: Measured[] = [];
try {
  const sheet = await makeFormula(application.address, LINES);
  const parts: Readonly<Record<string, () => readonly Measured[] | Promise<readonly Measured[]>>> = {
    core: benchCore,
    models: benchModels,
    design: () => benchDesign(application.address),
    pages: () => benchPages(sheet, application.process.pid ?? 0),
    load: () => benchLoad(sheet, application.process.pid ?? 0),
    keystrokes: () => benchKeystrokes(sheet, `${folder.path}/trace.json`),
    list: () => benchList(sheet, cluster.url),
    ledger: () => benchLedger(cluster.url),
    batch: () => benchBatch(application.address, cluster.url),
    instruments: () => benchInstruments(application.address),
    shelf: () => benchShelf(sheet),
    steps: () => benchSteps(sheet),
    filling: benchFilling,
    label: () => benchLabel(application.address, `${folder.path}/label.json`),
    compare: () => benchCompare(application.address),
    watch: () => benchWatch(application.address, cluster.url),
    processes: benchProcesses,
    size: benchSize,
    backup: () => benchBackup(cluster.url, folder.path),
  };
  for (const [name, measure] of Object.entries(parts)) {
    if (wanted.length === 0 || wanted.includes(name)) results.push(...(await measure()));
  }
} finally {
  await application.stop();
  await cluster.stop();
  folder.remove();
}

const shown = results.map(({ what, value, unit, limit }) => ({
  what,
  measured: `${value.toPrecision(3)} ${unit}`,
  limit: limit === null ? "" : `${limit} ${unit}`,
  kept: limit === null ? "" : value <= limit ? "yes" : "NO",
}));
console.table(shown);
mkdirSync("docs/bench", { recursive: true });
const machine = { node: process.version, processors: cpus().length, model: cpus()[0]?.model ?? "unknown" };
writeFileSync(LATEST, `${JSON.stringify({ machine, results: kept(results) }, null, 2)}\n`);

/** What was measured now in its place among what was measured before; what is not measured any more goes with a whole run. */
function kept(measured: readonly Measured[]): readonly (Measured & { readonly measuredAt: string })[] {
  const measuredAt = new Date().toISOString();
  const now = new Map(measured.map((one) => [one.what, { ...one, measuredAt }]));
  if (wanted.length === 0 || !existsSync(LATEST)) return [...now.values()];
  const before = JSON.parse(readFileSync(LATEST, "utf8")) as Latest;
  const old = before.results.map((one) => ({ measuredAt: before.measuredAt ?? measuredAt, ...one, ...now.get(one.what) }));
  return [...old, ...[...now.values()].filter(({ what }) => !old.some((one) => one.what === what))];
}
