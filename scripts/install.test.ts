import { spawn } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { root } from "./commands.mjs";
import { missingPackages } from "./installed.mjs";
import { alone } from "./lock.mjs";
import { voice } from "./say.mjs";

let folder = "";
let told = "";
beforeEach(() => {
  folder = mkdtempSync(`${tmpdir()}/tensidrum-install-`);
  told = "";
  voice.stream = { write: (text: string) => void (told += text) } as never;
});
afterEach(() => {
  voice.stream = process.stdout;
  rmSync(folder, { recursive: true, force: true });
});

describe("two commands that want to install at once", () => {
  it("one does, the other waits and says so", async () => {
    const file = `${folder}/.lock`;
    const order: string[] = [];
    const job = (name: string) => () =>
      new Promise<void>((resolve) => {
        order.push(`${name} begins`);
        setTimeout(() => {
          order.push(`${name} ends`);
          resolve();
        }, 600);
      });
    await Promise.all([alone("installing", job("one"), file), alone("installing", job("other"), file)]);
    const [first, second] = order[0] === "one begins" ? ["one", "other"] : ["other", "one"];
    expect(order).toEqual([`${first} begins`, `${first} ends`, `${second} begins`, `${second} ends`]);
    expect(told).toContain("Another command of this folder is installing; waiting for it");
  });

  it("two processes never work at the same time", async () => {
    const script = `
      import { appendFileSync } from "node:fs";
      import { alone } from "${root}/scripts/lock.mjs";
      await alone("working", async () => {
        appendFileSync("${folder}/log", "b");
        await new Promise((resolve) => setTimeout(resolve, 40));
        appendFileSync("${folder}/log", "e");
      }, "${folder}/.lock");`;
    writeFileSync(`${folder}/job.mjs`, script);
    const run = () => new Promise((resolve) => spawn(process.execPath, [`${folder}/job.mjs`]).on("exit", resolve));
    expect(await Promise.all([run(), run(), run()])).toEqual([0, 0, 0]);
    expect(readFileSync(`${folder}/log`, "utf8")).toBe("bebebe");
  });

  it("a turn left behind by a command that was killed is taken over", async () => {
    const script = `
      import { alone } from "${root}/scripts/lock.mjs";
      await alone("installing", () => { console.log("held"); return new Promise(() => setInterval(() => {}, 1000)); }, "${folder}/.lock");`;
    writeFileSync(`${folder}/killed.mjs`, script);
    const killed = spawn(process.execPath, [`${folder}/killed.mjs`]);
    await new Promise((resolve) => killed.stdout.once("data", resolve));
    killed.kill("SIGKILL");
    expect(await alone("installing", () => Promise.resolve("done"), `${folder}/.lock`)).toBe("done");
  });

  it("a folder that cannot be written is told in words", async () => {
    await expect(alone("installing", () => Promise.resolve("done"), `${folder}/nowhere/.lock`)).rejects.toThrow("cannot be written");
  });

  it("a job that fails gives its turn back", async () => {
    const file = `${folder}/.lock`;
    await expect(alone("installing", () => Promise.reject(new Error("no network")), file)).rejects.toThrow("no network");
    expect(await alone("installing", () => Promise.resolve("done"), file)).toBe("done");
  });
});

describe("packages that are there", () => {
  const lock = {
    packages: {
      "": { version: "0.1.0" },
      core: { version: "0.1.0" },
      "node_modules/@tensidrum/core": { link: true },
      "node_modules/whole": { version: "1.0.0" },
      "node_modules/half": { version: "2.0.0" },
      "node_modules/other-system": { version: "3.0.0", optional: true },
    },
  };
  const install = (...names: string[]) => {
    for (const name of names) {
      mkdirSync(`${folder}/node_modules/${name}`, { recursive: true });
      writeFileSync(`${folder}/node_modules/${name}/package.json`, "{}");
    }
  };
  beforeEach(() => writeFileSync(`${folder}/package-lock.json`, JSON.stringify(lock)));

  it("none are, in a new folder", () => {
    expect(missingPackages(folder)).toEqual(["node_modules/@tensidrum/core", "node_modules/whole", "node_modules/half"]);
  });

  it("those of an install that was cut off do not count, although their folders are there", () => {
    install("@tensidrum/core", "whole", "half");
    expect(missingPackages(folder)).toEqual(["node_modules/whole", "node_modules/half"]);
  });

  it("those installed by hand count as they are, an older one does not", () => {
    install("@tensidrum/core", "whole", "half");
    const there = { packages: { "node_modules/whole": { version: "1.0.0" }, "node_modules/half": { version: "1.9.0" } } };
    writeFileSync(`${folder}/node_modules/.package-lock.json`, JSON.stringify(there));
    expect(missingPackages(folder)).toEqual(["node_modules/half"]);
    there.packages["node_modules/half"].version = "2.0.0";
    writeFileSync(`${folder}/node_modules/.package-lock.json`, JSON.stringify(there));
    expect(missingPackages(folder)).toEqual([]);
    rmSync(`${folder}/node_modules/half/package.json`);
    expect(missingPackages(folder)).toEqual(["node_modules/half"]);
  });
});

describe("a fault nobody caught", () => {
  const run = (body: string) =>
    new Promise<{ code: number | null; output: string }>((resolve) => {
      const script = `
        import { listenForFaults } from "${root}/scripts/faults.mjs";
        listenForFaults({ describe: (fault) => fault.message, end: (code) => { console.log("ended"); process.exit(code); } });
        ${body}
        setTimeout(() => { console.log("lives"); process.exit(0); }, 150);`;
      writeFileSync(`${folder}/fault.mjs`, script);
      const child = spawn(process.execPath, [`${folder}/fault.mjs`]);
      let output = "";
      child.stdout.on("data", (chunk) => (output += String(chunk)));
      child.on("exit", (code) => resolve({ code, output }));
    });

  it("a rejection is told, and the process lives", async () => {
    const { code, output } = await run("Promise.reject(new Error('forgotten'));");
    expect([code, output.includes("forgotten"), output.includes("lives")]).toEqual([0, true, true]);
  });

  it("whoever reads the output may go away: nothing ends, and nothing is told for ever", async () => {
    writeFileSync(
      `${folder}/unread.mjs`,
      `
        import { listenForFaults } from "${root}/scripts/faults.mjs";
        import { say } from "${root}/scripts/say.mjs";
        listenForFaults({ describe: (fault) => fault.message, end: (code) => process.exit(code) });
        const telling = setInterval(() => say("still here"), 5);
        setTimeout(() => process.exit(7), 300);
        process.on("exit", () => clearInterval(telling));`,
    );
    const child = spawn(process.execPath, [`${folder}/unread.mjs`]);
    child.stdout.destroy();
    child.stderr.destroy();
    expect(await new Promise((resolve) => child.on("exit", (code) => resolve(code)))).toBe(7);
  });

  it("after an exception everything is ended in order", async () => {
    const { code, output } = await run("setTimeout(() => { throw new Error('broken'); }, 10);");
    expect([code, output.includes("broken"), output.includes("ended"), output.includes("lives")]).toEqual([1, true, true, false]);
  });
});
