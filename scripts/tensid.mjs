import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import vm from "node:vm";
import { root, runToEnd } from "./commands.mjs";
import { ensureNodePackages } from "./packages.mjs";
import { Obstacle, run, say, sayOnStandardError } from "./say.mjs";

const SOURCES = ["cli", "core/src", "core/package.json", "package-lock.json", "scripts/tensid.mjs"];
const FOLDER = `${root}/build/tensid`;
const BUNDLE = `${FOLDER}/tensid.cjs`;
/** The bundle as Node.js compiled it the first time; half the start is spared with it. */
const COMPILED = `${FOLDER}/tensid.${process.version}.cache`;

/** They need the database, the others only the core. */
const DATABASE_COMMANDS = ["backup", "restore"];

/** Time of the latest change under a path, ms. @param {string} path @returns {number} */
function latestChange(path) {
  const stats = statSync(path);
  if (!stats.isDirectory()) return path.endsWith(".test.ts") ? 0 : stats.mtimeMs;
  return readdirSync(path).reduce((latest, name) => Math.max(latest, latestChange(`${path}/${name}`)), stats.mtimeMs);
}

/** @param {string} entry @param {string} outfile */
async function bundle(entry, outfile) {
  const { build } = await import("esbuild");
  await build({
    entryPoints: [`${root}/cli/${entry}`],
    outfile,
    bundle: true,
    minify: true,
    platform: "node",
    format: "cjs",
    target: "node20",
    mainFields: ["module", "main"],
    // Its binary lies beside it, and only one command asks for it.
    external: ["highs"],
    // A script that was compiled before cannot import, only require.
    supported: { "dynamic-import": false },
    logLevel: "error",
  });
}

async function ensureBundle() {
  const changed = Math.max(...SOURCES.map((source) => latestChange(`${root}/${source}`)));
  if (existsSync(BUNDLE) && statSync(BUNDLE).mtimeMs > changed) return;
  await ensureNodePackages();
  say("Building tensid …");
  mkdirSync(FOLDER, { recursive: true });
  // Two that build at the same time each finish their own file.
  const own = `${FOLDER}/${process.pid}.cjs`;
  try {
    await bundle("checkLibrary.ts", own);
    if ((await runToEnd(process.execPath, [own])) !== 0) {
      throw new Obstacle("The reference library has the faults listed above; fix them in core/src/library/reference.");
    }
    await bundle("tensid.ts", own);
    rmSync(COMPILED, { force: true });
    renameSync(own, BUNDLE);
  } finally {
    rmSync(own, { force: true });
  }
}

function runBundle() {
  const cached = existsSync(COMPILED) ? readFileSync(COMPILED) : undefined;
  const source = `(function (require, module, exports) {${readFileSync(BUNDLE, "utf8")}\n})`;
  const script = new vm.Script(source, { filename: BUNDLE, ...(cached === undefined ? {} : { cachedData: cached }) });
  const module = { exports: {} };
  script.runInThisContext()(createRequire(import.meta.url), module, module.exports);
  if (cached !== undefined && script.cachedDataRejected !== true) return;
  process.on("exit", () => keepCompiled(script));
}

/** @param {vm.Script} script */
function keepCompiled(script) {
  try {
    const own = `${COMPILED}.${process.pid}`;
    writeFileSync(own, script.createCachedData());
    renameSync(own, COMPILED);
  } catch {
    // A folder that cannot be written costs the next start its head start, nothing else.
  }
}

// Only the answer goes to standard output.
sayOnStandardError();
const args = process.argv.slice(2);
if (DATABASE_COMMANDS.includes(args[0] ?? "")) {
  await run(async () => {
    const { runBackup } = await import("./backup.mjs");
    await runBackup(args);
  });
} else {
  await run(ensureBundle);
  runBundle();
}
