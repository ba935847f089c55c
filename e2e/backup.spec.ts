import { spawnSync } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { gunzipSync } from "node:zlib";
import type { Page } from "@playwright/test";
import { root } from "../scripts/commands.mjs";
import { expect, FAILED_LOAD, test } from "./testing/test";

/** The digests at the end of each kind, as a backup tells them. */
const digestsOf = (file: string): readonly string[] =>
  gunzipSync(readFileSync(file))
    .toString()
    .split("\n")
    .filter((line) => line.startsWith('{"kind":') && line.includes('"sha256"'));

async function makeBackup(page: Page, address: string, file: string): Promise<void> {
  await page.goto(`${address}/settings/backups`);
  await page.getByRole("button", { name: "Make a backup now" }).click();
  const coming = page.waitForEvent("download");
  await page.getByRole("link", { name: "Download it" }).click();
  await (await coming).saveAs(file);
}

async function send(page: Page, address: string, file: string): Promise<void> {
  await page.goto(`${address}/settings/backups`);
  await page.getByLabel("A backup").setInputFiles(file);
  await page.getByRole("button", { name: "Send it and compare" }).click();
}

const tensid = (folder: string, ...args: readonly string[]) =>
  spawnSync(process.execPath, [`${root}/bin/tensid`, ...args], {
    encoding: "utf8",
    env: { ...process.env, TENSIDRUM_DATA: folder },
  });

test("everything goes to another machine as one file, and comes back as it was", async ({
  page,
  start,
  demoFolder,
  folder,
  allowedConsole,
}) => {
  allowedConsole.push(FAILED_LOAD);
  const [here, there] = [await start({ TENSIDRUM_DATA: demoFolder }), await start({ TENSIDRUM_DATA: `${folder}/there` }, ["--empty"])];
  const [first, second, byCommand] = [`${folder}/first.backup`, `${folder}/second.backup`, `${folder}/command.backup`];
  await makeBackup(page, here.address, first);
  expect(digestsOf(first).length).toBeGreaterThan(20);

  await test.step("a file that is cut off or something else is refused, and nothing is stored", async () => {
    const cut = `${folder}/cut.backup`;
    writeFileSync(cut, readFileSync(first).subarray(0, 20_000));
    await send(page, there.address, cut);
    await expect(page.getByRole("alert")).toContainText(/ends too early, after line \d+\. Nothing was stored/);
    writeFileSync(cut, "lot;grams\n");
    await send(page, there.address, cut);
    await expect(page.getByRole("alert")).toContainText("not a backup made by Tensidrum");
    await page.goto(`${there.address}/shelf`);
    await expect(page.getByText("B-141")).toHaveCount(0);
  });

  await test.step("into an empty place it comes whole", async () => {
    await send(page, there.address, first);
    await expect(page.getByText("Nothing is here yet. Everything comes from the backup.")).toBeVisible();
    await page.getByRole("button", { name: "Restore it" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Restore it" }).click();
    await expect(page.getByText(/Everything is as in .*What was here before is kept below/)).toBeVisible();
    await makeBackup(page, there.address, second);
    expect(digestsOf(second)).toEqual(digestsOf(first));
    await page.goto(`${there.address}/`);
    await expect(page.getByText("Curtain Call shampoo").first()).toBeVisible();
  });

  await test.step("into a full one it says what would change, by name, and what was there can be had back", async () => {
    await page
      .getByRole("button", { name: /New formula/ })
      .first()
      .click();
    await page.getByRole("textbox", { name: "Name of the formula" }).fill("Stage Door soap");
    await expect(page.getByText("Saved", { exact: false }).first()).toBeVisible();
    await send(page, there.address, first);
    await expect(page.getByRole("region", { name: /The backup of/ })).toContainText("removed: Stage Door soap");
    await page.getByRole("button", { name: "Restore it" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Restore it" }).click();
    await expect(page.getByText(/Everything is as in/)).toBeVisible();
    await page
      .getByRole("row", { name: /before a backup was restored/ })
      .first()
      .getByRole("button", { name: /^Compare/ })
      .click();
    await page.getByRole("button", { name: "Restore it" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Restore it" }).click();
    await expect(page.getByText(/Everything is as in/)).toBeVisible();
    await page.goto(`${there.address}/`);
    await expect(page.getByText("Stage Door soap").first()).toBeVisible();
  });

  await test.step("the command does the same, beside a Tensidrum that runs and without one", async () => {
    expect(tensid(demoFolder, "backup", byCommand).status).toBe(0);
    expect(digestsOf(byCommand)).toEqual(digestsOf(first));
    await there.stop();
    const asked = tensid(`${folder}/there`, "restore", byCommand);
    expect(asked.status).toBe(1);
    expect(asked.stderr).toContain("formulas           0 added, 0 changed, 1 removed");
    expect(asked.stderr).toContain("Nothing was restored");
    expect(tensid(`${folder}/there`, "restore", byCommand, "--yes").stderr).toContain("Everything is as in the backup.");
    const after = `${folder}/after.backup`;
    expect(tensid(`${folder}/there`, "backup", after).status).toBe(0);
    expect(digestsOf(after)).toEqual(digestsOf(first));
    expect(tensid(`${folder}/there`, "restore", `${folder}/none`).status).toBe(1);
  });

  expect(there.output()).toMatch(/Kept today's backup of everything: .*\.backup, 0\.\d\d MB/);
});
