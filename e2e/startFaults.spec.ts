import { spawn, spawnSync } from "node:child_process";
import { chownSync, mkdirSync, writeFileSync } from "node:fs";
import { findPostgres, freePort, startCluster } from "../scripts/cluster.mjs";
import { isRoot, root } from "../scripts/commands.mjs";
import { owner, unprivileged } from "../scripts/unprivileged.mjs";
import { expect, test } from "./testing/test";

function startToItsEnd(environment: Readonly<Record<string, string>>, options: readonly string[] = []) {
  return spawnSync(process.execPath, [`${root}/bin/start`, "--port", "4998", ...options], {
    encoding: "utf8",
    env: { ...process.env, ...environment },
    timeout: 60_000,
  });
}

test("a data folder that cannot be one is told in words with what to type", async ({ folder }) => {
  writeFileSync(`${folder}/a-file`, "");
  const underFile = startToItsEnd({ TENSIDRUM_DATA: `${folder}/a-file/data` });
  expect(underFile.status).toBe(1);
  expect(underFile.stderr).toContain("cannot be written");
  expect(underFile.stderr).toContain("TENSIDRUM_DATA=");
  expect(underFile.stderr).not.toContain("at ");

  const foreign = startToItsEnd({ TENSIDRUM_DATA: folder });
  expect(foreign.status).toBe(1);
  expect(foreign.stderr).toContain("already holds something else (a-file)");
});

test("a moved folder with another owner, and a cluster of somebody else, say what to type", async ({ folder }) => {
  test.setTimeout(240_000);
  const programs = findPostgres();
  if (programs === undefined) throw new Error("PostgreSQL is not installed");
  const foreign = `${folder}/foreign`;
  mkdirSync(foreign);
  // Somebody else's cluster: made with another superuser.
  await (await startCluster(foreign, { keep: false })).stop();
  const [psql, args] = unprivileged(`${programs}/postgres`, ["--single", "-D", `${foreign}/postgres`, "postgres"]);
  const renamed = spawnSync(psql, args, {
    cwd: "/",
    encoding: "utf8",
    input: "create role somebody superuser login;\nalter role tensidrum nologin;\n",
  });
  expect(renamed.status).toBe(0);
  const told = startToItsEnd({ TENSIDRUM_DATA: foreign });
  expect(told.status).toBe(1);
  expect(told.stderr).toContain("was not made by Tensidrum");
  expect(told.stderr).toContain(`mv ${foreign}/postgres ${foreign}/postgres.other`);

  const moved = `${folder}/moved`;
  mkdirSync(moved);
  await (await startCluster(moved, { keep: false })).stop();
  // Only root can give a folder away; who runs the tests otherwise owns every folder of theirs.
  if (isRoot) {
    chownSync(`${moved}/postgres`, 0, 0);
    const wrong = startToItsEnd({ TENSIDRUM_DATA: moved });
    expect(wrong.status).toBe(1);
    expect(wrong.stderr).toContain(`chown -R ${owner().name}: ${moved}/postgres`);
  }
});

test("a first start interrupted anywhere heals on the next", async ({ start, folder }) => {
  test.setTimeout(360_000);
  const moments = ["Creating the database cluster", "Laid in the reference library", "Laid in the demo"];
  for (const [at, moment] of moments.entries()) {
    const data = `${folder}/${at}`;
    mkdirSync(data);
    const child = spawn(process.execPath, [`${root}/bin/start`, "--port", String(await freePort())], {
      env: { ...process.env, TENSIDRUM_DATA: data },
      stdio: ["ignore", "pipe", "pipe"],
    });
    await new Promise<void>((resolve) => {
      let output = "";
      child.stdout.on("data", (chunk) => {
        output += String(chunk);
        if (output.includes(moment)) resolve();
      });
    });
    // In the middle of initdb, of the library, of the season of the demo.
    await new Promise((resolve) => setTimeout(resolve, at === 0 ? 400 : 20));
    child.kill("SIGKILL");
    await new Promise((resolve) => child.once("exit", resolve));
    const isInSeason = at === moments.length - 1;
    const application = await start({ TENSIDRUM_DATA: data }, isInSeason ? [] : ["--small-demo"]);
    const said = await (await fetch(`${application.address}/`)).text();
    expect(said, moment).toContain("Curtain Call");
    if (isInSeason) expect(said).toContain("the 6 bottles of Lights Down");
    expect(await application.stop()).toBe(0);
  }
});

test("of two starts of one folder at the same moment one runs and the other says so", async ({ folder }) => {
  test.setTimeout(240_000);
  const run = async () => {
    const child = spawn(process.execPath, [`${root}/bin/start`, "--port", String(await freePort())], {
      env: { ...process.env, TENSIDRUM_DATA: folder },
      stdio: ["ignore", "pipe", "pipe"],
    });
    let output = "";
    const resolved = new Promise<string>((resolve) => {
      const read = (chunk: Buffer) => {
        output += String(chunk);
        if (output.includes("is ready at")) resolve("ready");
      };
      child.stdout.on("data", read);
      child.stderr.on("data", read);
      child.on("exit", () => resolve(output));
    });
    return { child, resolved: await resolved };
  };
  const both = await Promise.all([run(), run()]);
  expect(both.filter(({ resolved }) => resolved === "ready")).toHaveLength(1);
  expect(both.find(({ resolved }) => resolved !== "ready")?.resolved).toContain("Tensidrum already runs from this folder");
  for (const { child } of both) {
    if (child.exitCode !== null) continue;
    child.kill("SIGTERM");
    await new Promise((resolve) => child.once("exit", resolve));
  }
});
