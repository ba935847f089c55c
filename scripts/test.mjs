import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { ensureBrowser, ensurePdfReader } from "./browser.mjs";
import { ensureBuild } from "./build.mjs";
import { ensurePostgres } from "./cluster.mjs";
import { root, runToEnd } from "./commands.mjs";
import { checkNode, ensureNodePackages } from "./packages.mjs";
import { Obstacle, run, say } from "./say.mjs";

const RESULTS = `${root}/test-results`;

/** @typedef {{ passed: number, failed: number }} Count */

/** @type {Count} */
const total = { passed: 0, failed: 0 };
/** What is told once more at the end, where a long report is read. @type {string[]} */
const failures = [];
/** Browser tests that passed only when they were tried again; told too, since one that is often here has a fault. @type {string[]} */
const secondTries = [];

/** @param {string} title @param {() => Promise<Count>} step */
async function counted(title, step) {
  say(`\n${title} …`);
  const began = Date.now();
  const count = await step();
  total.passed += count.passed;
  total.failed += count.failed;
  const seconds = ((Date.now() - began) / 1000).toFixed(0);
  say(`${title}: ${count.passed} passed, ${count.failed} failed (${seconds} s)`);
  return count;
}

/** A command that is right or wrong as a whole. @param {string} script @param {readonly string[]} args @returns {Promise<Count>} */
async function check(script, args) {
  const code = await runToEnd(process.execPath, [`${root}/node_modules/${script}`, ...args]);
  if (code === 0) return { passed: 1, failed: 0 };
  failures.push([script, ...args].join(" "));
  return { passed: 0, failed: 1 };
}

/** @param {string} file */
function readReport(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : undefined;
}

/** @param {readonly string[]} projects @returns {Promise<Count>} */
async function unitTests(projects) {
  const report = `${RESULTS}/unit.json`;
  rmSync(report, { force: true });
  const chosen = projects.flatMap((project) => ["--project", project]);
  const reporters = ["--reporter=dot", "--reporter=json", `--outputFile.json=${report}`];
  const code = await runToEnd(process.execPath, [`${root}/node_modules/vitest/vitest.mjs`, "run", ...chosen, ...reporters]);
  const read = readReport(report);
  if (read === undefined) return { passed: 0, failed: 1 };
  const failed = read.numFailedTests + read.numPendingTests;
  for (const file of read.testResults) {
    for (const test of file.assertionResults) if (test.status !== "passed") failures.push(`${file.name}: ${test.fullName}`);
  }
  return { passed: read.numPassedTests, failed: code !== 0 && failed === 0 ? 1 : failed };
}

/** @param {{ file: string, specs?: { title: string, ok: boolean, tests: { status: string }[] }[], suites?: any[] }} suite */
function nameTroubles(suite) {
  for (const { ok, title, tests } of suite.specs ?? []) {
    if (!ok) failures.push(`${suite.file}: ${title}`);
    else if (tests.some(({ status }) => status === "flaky")) secondTries.push(`${suite.file}: ${title}`);
  }
  for (const within of suite.suites ?? []) nameTroubles(within);
}

/** @returns {Promise<Count>} */
async function browserTests() {
  const report = `${RESULTS}/e2e.json`;
  rmSync(report, { force: true });
  const code = await runToEnd(process.execPath, [`${root}/node_modules/@playwright/test/cli.js`, "test"]);
  const read = readReport(report);
  if (read === undefined) return { passed: 0, failed: 1 };
  const failed = read.stats.unexpected + read.stats.skipped;
  for (const suite of read.suites) nameTroubles(suite);
  return { passed: read.stats.expected + read.stats.flaky, failed: code !== 0 && failed === 0 ? 1 : failed };
}

async function lint() {
  await counted("Lint", () => check("eslint/bin/eslint.js", ["."]));
  await counted("Layout of the text", () => check("prettier/bin/prettier.cjs", ["--check", "--log-level", "warn", "."]));
}

async function types() {
  await counted("Types of the core", () => check("typescript/bin/tsc", ["-p", "core"]));
  await counted("Types of the bench's worker", () => check("typescript/bin/tsc", ["-p", "workers/offline"]));
  await counted("Types of the routes", () => check("@react-router/dev/bin.js", ["typegen"]));
  await counted("Types of the whole", () => check("typescript/bin/tsc", []));
}

await run(async () => {
  const what = process.argv[2];
  if (what !== undefined && what !== "core") throw new Obstacle(`bin/test knows "core" or nothing, not "${what}".`);
  checkNode();
  await ensureNodePackages();
  mkdirSync(RESULTS, { recursive: true });
  if (what === "core") {
    await counted("Core", () => unitTests(["core"]));
  } else {
    await ensurePostgres();
    await ensureBrowser();
    await ensurePdfReader();
    // Each of these keeps one processor busy, so two of them run side by side.
    await Promise.all([lint(), types()]);
    await counted("Core, command line, interface and server tests", () => unitTests(["core", "commands", "worlds", "interface", "server"]));
    const built = await counted("Production build", () =>
      ensureBuild().then(
        () => ({ passed: 1, failed: 0 }),
        () => ({ passed: 0, failed: 1 }),
      ),
    );
    await counted("Browser tests", () => (built.failed > 0 ? Promise.resolve({ passed: 0, failed: 1 }) : browserTests()));
  }
  say(`\n${total.passed} passed, ${total.failed} failed`);
  for (const failure of failures) say(`  failed: ${failure}`);
  for (const late of secondTries) say(`  passed at the second try: ${late}`);
  process.exit(total.failed === 0 ? 0 : 1);
});
