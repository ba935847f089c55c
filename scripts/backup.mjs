import { existsSync, statSync } from "node:fs";
import { resolve } from "node:path";
import { createInterface } from "node:readline/promises";
import { parseArgs } from "node:util";
import { ensureBuild } from "./build.mjs";
import { runningCluster } from "./cluster.mjs";
import { root } from "./commands.mjs";
import { checkNode, ensureNodePackages } from "./packages.mjs";
import { Obstacle, say } from "./say.mjs";
import { DATA, standUpDatabase } from "./standUp.mjs";

const USAGE = `Usage: bin/tensid backup [FILE]    writes everything of yours into a file, else into tensidrum-DAY.backup
       bin/tensid restore FILE     makes everything as it is in the file; says what would change first
  --yes   restores without asking`;

/**
 * Does one of the two commands that work on the database, without the web server.
 * @param {readonly string[]} args
 */
export async function runBackup(args) {
  const { command, file, yes } = read(args);
  checkNode();
  await ensureNodePackages();
  await ensureBuild();
  process.env.NODE_ENV = "production";
  // A Tensidrum that runs from this folder lends its database.
  const running = process.env.DATABASE_URL ? undefined : runningCluster(DATA);
  const database = running === undefined ? await standUpDatabase() : { url: running, stop: async () => undefined };
  const built = await import(`${root}/build/server/index.js`);
  try {
    await built.prepareApplication({
      connectionString: database.url,
      migrationsFolder: `${root}/db/migrations`,
      demo: "never",
      season: false,
      say,
    });
    const opened = built.openDatabase(database.url);
    try {
      const makerId = await built.makerOfSession(opened.db, built.THIS_MACHINE);
      if (command === "backup") await backUp(built, opened.db, makerId, file);
      else await restore(built, opened.db, makerId, { file, yes });
    } finally {
      await opened.close();
    }
  } catch (error) {
    const { remedy } = /** @type {{ remedy?: unknown }} */ (error);
    throw error instanceof Error && typeof remedy === "string" ? new Obstacle(`${error.message} ${remedy}`) : error;
  } finally {
    await database.stop();
  }
}

/** @param {readonly string[]} args */
function read(args) {
  let parsed;
  try {
    parsed = parseArgs({ args: [...args], options: { yes: { type: "boolean", default: false } }, allowPositionals: true });
  } catch (error) {
    throw new Obstacle(`${error instanceof Error ? error.message : error}\n${USAGE}`);
  }
  const [command, given, ...rest] = parsed.positionals;
  if (rest.length > 0 || (command === "restore" && given === undefined)) throw new Obstacle(USAGE);
  const file = resolve(given ?? `tensidrum-${new Date().toISOString().slice(0, 10)}.backup`);
  if (command === "restore" && !existsSync(file)) throw new Obstacle(`There is no ${file}. Give the file a backup was written into.`);
  if (command === "backup" && existsSync(file)) throw new Obstacle(`${file} is there already. Give another name, or move it away.`);
  return { command, file, yes: parsed.values.yes };
}

/** @param {any} built @param {unknown} db @param {string} makerId @param {string} file */
async function backUp(built, db, makerId, file) {
  await built.writeBackup(db, makerId, file, progress("Backing up"));
  say(`Everything is in ${file} (${(statSync(file).size / 1e6).toFixed(2)} MB).`);
}

/** @param {any} built @param {unknown} db @param {string} makerId @param {{ file: string, yes: boolean }} options */
async function restore(built, db, makerId, { file, yes }) {
  const { kinds, fingerprint, madeAt } = await built.compareBackup(db, makerId, file, progress("Reading"));
  /** @type {readonly { kind: string, here: number, added: number, changed: number, removed: number }[]} */
  const changed = kinds.filter((/** @type {any} */ { added, changed, removed }) => added + changed + removed > 0);
  say(`The backup of ${madeAt}`);
  if (changed.length === 0) return say("All is here as it is in the backup.");
  for (const { kind, added, changed: other, removed } of changed) {
    say(`  ${kind.replaceAll("_", " ").padEnd(18)} ${added} added, ${other} changed, ${removed} removed`);
  }
  if (!yes && changed.some(({ removed, changed: other }) => removed + other > 0) && !(await isSure())) {
    throw new Obstacle("Nothing was restored. Add --yes to restore it.");
  }
  await built.restoreBackup(db, makerId, file, { expected: fingerprint, note: progress("Restoring") });
  say("Everything is as in the backup.");
}

/** Without a terminal nobody can be asked. */
async function isSure() {
  if (!process.stdin.isTTY) return false;
  const asking = createInterface({ input: process.stdin, output: process.stderr });
  const answer = await asking.question("Restore it? What is changed or removed is lost here. [y/N] ");
  asking.close();
  return answer.trim().toLowerCase() === "y";
}

const EVERY_MILLISECONDS = 1_000;

/** Tells how far it has got, at most once a second. @param {string} what */
function progress(what) {
  let told = Date.now();
  return (/** @type {{ done: number, total: number }} */ { done, total }) => {
    if (Date.now() - told < EVERY_MILLISECONDS) return;
    told = Date.now();
    say(`${what}: ${done.toLocaleString("en-GB")} of ${total.toLocaleString("en-GB")}`);
  };
}
