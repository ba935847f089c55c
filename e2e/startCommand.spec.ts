import { spawn, spawnSync } from "node:child_process";
import { readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { root } from "../scripts/commands.mjs";
import { expect, test } from "./testing/test";

function startToItsEnd(options: readonly string[], environment: Readonly<Record<string, string>> = {}) {
  return spawnSync(process.execPath, [`${root}/bin/start`, ...options], { encoding: "utf8", env: { ...process.env, ...environment } });
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

/** Processes that a process started and that run. */
function childrenOf(parent: number): readonly number[] {
  return readdirSync("/proc")
    .map(Number)
    .filter((pid) => pid > 0 && isAlive(pid))
    .filter((pid) => {
      try {
        return /^\d+ \(node\) \S (\d+)/.exec(readFileSync(`/proc/${pid}/stat`, "utf8"))?.[1] === String(parent);
      } catch {
        return false;
      }
    });
}

test("says in a sentence what is wrong with its options or its port", async () => {
  const unknown = startToItsEnd(["--colour", "red"]);
  expect(unknown.status).toBe(1);
  expect(unknown.stderr).toContain("--port NUMBER");
  expect(startToItsEnd(["--port", "99999"]).stderr).toContain("Give a whole number from 1 to 65535.");
  expect(startToItsEnd(["--empty", "--reset-demo"]).stderr).toContain("Choose one.");
  expect(startToItsEnd(["--processes", "0"]).stderr).toContain("from 1 to 64");
  expect(startToItsEnd(["--processes", "2", "--lan"]).stderr).toContain("exclude each other");

  const listener = createServer().listen(0, "127.0.0.1");
  await new Promise((resolve) => listener.once("listening", resolve));
  const { port } = listener.address() as { port: number };
  const child = spawn(process.execPath, [`${root}/bin/start`, "--port", String(port)], { stdio: ["ignore", "pipe", "pipe"] });
  let words = "";
  child.stderr.on("data", (chunk) => (words += String(chunk)));
  const code = await new Promise((resolve) => child.on("exit", resolve));
  listener.close();
  expect(code).toBe(1);
  expect(words).toContain(`Port ${port} is in use.`);
});

test("ends cleanly, refuses a second start, and clears up after one that was killed", async ({ start, folder }) => {
  test.setTimeout(240_000);
  const environment = { TENSIDRUM_DATA: folder };
  const postmaster = () => Number(readFileSync(`${folder}/postgres/postmaster.pid`, "utf8").split("\n")[0]);

  const first = await start(environment, ["--empty"]);
  const second = startToItsEnd(["--port", "4999"], environment);
  expect(second.status).toBe(1);
  expect(second.stderr).toContain(`kill ${first.process.pid}`);
  const firstServer = postmaster();
  // Nobody but its owner enters the data folder.
  expect(statSync(folder).mode & 0o777).toBe(0o700);
  expect(await first.stop()).toBe(0);
  expect(isAlive(firstServer)).toBe(false);

  const killed = await start(environment);
  const orphan = postmaster();
  killed.process.kill("SIGKILL");
  await new Promise((resolve) => killed.process.once("exit", resolve));
  expect(isAlive(orphan)).toBe(true);
  const after = await start(environment);
  expect(after.output()).toContain("left behind by an earlier start");
  expect(isAlive(orphan)).toBe(false);
  expect(await after.stop()).toBe(0);

  writeFileSync(`${folder}/postgres/postmaster.pid`, "999999\n");
  const stale = await start(environment);
  expect(stale.output()).toContain("stale");
  expect(await stale.stop()).toBe(0);
});

test("two processes share one database", async ({ start, folder, browser }) => {
  const one = await start({ TENSIDRUM_DATA: folder }, []);
  expect(one.output()).toContain("eight weeks of batches");
  const port = readFileSync(`${folder}/port`, "utf8").trim();
  const url = `postgresql://tensidrum@${encodeURIComponent(`${folder}/socket`)}:${port}/tensidrum`;
  const two = await start({ DATABASE_URL: url });
  expect(two.output()).toContain("Using the database of DATABASE_URL.");
  const page = await browser.newPage({ baseURL: one.address });
  await page.goto("/");
  await page.getByRole("button", { name: "New formula" }).first().click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toBeVisible();
  const formulas = await browser.newPage({ baseURL: two.address });
  await formulas.goto("/");
  await expect(formulas.getByRole("list", { name: "Formulas" }).getByRole("link", { name: "Untitled formula" })).toBeVisible();
  await page.close();
  await formulas.close();
  expect(await two.stop()).toBe(0);
  expect(await one.stop()).toBe(0);
});

test("several processes answer at one port; one that ends is replaced, and all end with the one that started them", async ({
  start,
  folder,
}) => {
  const many = await start({ TENSIDRUM_DATA: folder }, ["--empty", "--processes", "2"]);
  expect(many.output()).toContain("2 processes answer.");
  const [first = 0, ...rest] = childrenOf(many.process.pid ?? 0);
  expect(rest).toHaveLength(1);
  process.kill(first, "SIGKILL");
  await expect.poll(() => many.output()).toContain("another takes its place");
  await expect.poll(() => childrenOf(many.process.pid ?? 0).length).toBe(2);
  for (let time = 0; time < 4; time += 1) expect((await fetch(many.address)).status).toBe(200);
  const workers = childrenOf(many.process.pid ?? 0);
  expect(await many.stop()).toBe(0);
  expect(workers.some(isAlive)).toBe(false);
});
