import type { Page } from "@playwright/test";
import { GREEN_ROOM_BATCH } from "./testing/atTheBench";
import { seriousIn } from "./testing/axe";
import { madeBatch } from "./testing/madeBatch";
import { readPdf } from "./testing/readPdf";
import { expect, scriptsReady, test } from "./testing/test";

test.use({ ownApplication: "label", allowedConsole: [/422/] });

const button = (page: Page, name: string | RegExp) => page.getByRole("button", { name });

async function openLabel(page: Page): Promise<string> {
  const batch = await madeBatch(page, GREEN_ROOM_BATCH, 600);
  await page.goto(`/fill/${batch}`);
  await scriptsReady(page);
  await page.getByLabel("How many of Pump bottle, tall").fill("2");
  await button(page, "Fill by this plan").click();
  await page.getByRole("link", { name: "Labels" }).click();
  await expect(page.getByRole("group", { name: "Label of 120 by 70 mm" })).toBeVisible();
  await scriptsReady(page);
  return batch;
}

test("a label is laid out by keys and by hand, kept, printed to scale, and read back from its PDF", async ({ page }) => {
  test.setTimeout(300_000);
  const batch = await openLabel(page);
  await expect(page.getByText("made in is empty.")).toBeVisible();
  expect(await seriousIn(page)).toEqual([]);
  const boxOf = (name: string) => page.getByRole("group", { name: /^Label of/ }).getByRole("button", { name: new RegExp(`^${name},`) });
  await boxOf("made in").focus();
  const panel = page.getByRole("region", { name: "Field: made in" });
  await panel.getByLabel("what it says").fill("Made at the lake");
  await expect(page.getByText("made in is empty.")).toBeHidden();

  // By the arrow keys in half millimetres, with Shift its size; by hand as far as the hand goes.
  await boxOf("name").focus();
  const name = page.getByRole("region", { name: "Field: name" });
  const before = Number(await name.getByLabel("from left").inputValue());
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await expect(name.getByLabel("from left")).toHaveValue(String(before + 1));
  const wide = Number(await name.getByLabel("wide").inputValue());
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(name.getByLabel("wide")).toHaveValue(String(wide - 0.5));
  const netTop = /and ([\d.]+) mm,/.exec((await boxOf("net content").getAttribute("aria-label")) ?? "")?.[1] ?? "";
  const held = (await boxOf("net content").boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  await page.mouse.move(held.x + held.width / 2, held.y + held.height / 2);
  await page.mouse.down();
  await page.mouse.move(held.x + held.width / 2, held.y + held.height / 2 - 20, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole("region", { name: "Field: net content" })).toBeVisible();
  const after = (await boxOf("net content").boundingBox()) ?? held;
  expect(after.y).toBeLessThan(held.y - 10);
  // However far the hand went, it is taken back as one.
  await button(page, "Undo").click();
  await expect(boxOf("net content")).toHaveAttribute("aria-label", new RegExp(`at [\\d.]+ and ${String(netTop).replace(".", "\\.")} mm`));

  // What sounds like healing is pointed at, what the letters lack is told, and too much text does not fit.
  await boxOf("directions").focus();
  const words = page.getByRole("region", { name: "Field: directions" }).getByLabel("in your words, instead of what the batch says");
  await words.fill("Heals dry skin 水");
  await expect(page.getByRole("status").filter({ hasText: "It promises to heal" })).toContainText("no shape for 水");
  await words.fill("Lather well, rinse, and let the curtain rise. ".repeat(40));
  await expect(page.getByText(/directions does not fit/)).toBeVisible();
  await words.fill("");

  // As volume, for another place, and for how long once it is open.
  await page.getByLabel("net content as").selectOption("mL and fl oz");
  await page.getByLabel("allergens as in").selectOption("Canada");
  await page.getByLabel("once open, for").selectOption("6 months");
  await page.getByLabel("put on it").selectOption("once open");
  await expect(page.getByText("The volume goes by an estimated density")).toBeVisible();

  await button(page, "Keep this label").click();
  await expect(button(page, "Kept")).toBeVisible();
  const pdf = await page.request.get((await page.getByRole("link", { name: "PDF", exact: true }).getAttribute("href")) ?? "");
  expect(pdf.headers()["content-type"]).toBe("application/pdf");
  const printed = await readPdf(await pdf.body());
  const code = (await (await page.request.get(`/bench/${batch}/record.json`)).json()) as { code: string };
  expect(printed.areFontsEmbedded).toBe(true);
  expect(printed.words.filter(({ text }) => text === "Ingredients:")).toHaveLength(2);
  expect(printed.words.map(({ text }) => text)).toEqual(expect.arrayContaining(["Aqua,", code.code, "lake", "mL", "Once"]));
  // Two labels of 120 mm on A4 stand below each other, 70 mm of label and 2 mm between.
  const [first, second] = printed.words.filter(({ text }) => text === "Ingredients:");
  expect((second?.y ?? 0) - (first?.y ?? 0)).toBeCloseTo(72, 1);
  const design = (await (await page.request.get(`/fill/${batch}/label.json`)).json()) as {
    format: string;
    boxes: { id: string; x: number; text: string }[];
  };
  expect(design.format).toBe("tensidrum-label/1");
  expect(design.boxes.find(({ id }) => id === "made-in")?.text).toBe("Made at the lake");
  // The list of ingredients begins where its box does: 45 mm of edge to the label on A4.
  expect(first?.x).toBeCloseTo(45 + (design.boxes.find(({ id }) => id === "ingredients")?.x ?? 0), 0);

  const rule = await readPdf(await (await page.request.get(`/fill/${batch}/label.pdf?test=on`)).body());
  expect(rule.words.map(({ text }) => text).join(" ")).toContain("50 mm: print at 100 %");
  expect(rule.code).toBe(code.code);

  // On a sheet of cut labels it has no room, and one that is half used up begins where it is free.
  await page.getByLabel("paper").selectOption("A4, 3 × 7 of 63.5 × 38.1 mm");
  await expect(page.getByText("Not one label of this size has room on that paper.")).toBeVisible();
  await page.getByLabel("paper").selectOption("A4");
  await page.getByLabel("first place").fill("3");
  await expect(page.getByText("The first 2 places of the first sheet stay free")).toBeVisible();
  const later = await readPdf(
    await (await page.request.get((await page.getByRole("link", { name: "PDF", exact: true }).getAttribute("href")) ?? "")).body(),
  );
  expect((later.words.find(({ text }) => text === "Ingredients:")?.y ?? 0) - (first?.y ?? 0)).toBeCloseTo(144, 0);

  // The next time it begins with the label that was kept.
  await page.reload();
  await boxOf("made in").focus();
  await expect(page.getByRole("region", { name: "Field: made in" }).getByRole("textbox").first()).toHaveValue("Made at the lake");
});

test("a label wider than the paper is refused with what to do", async ({ page }) => {
  const batch = await openLabel(page);
  await page.getByLabel("wide", { exact: true }).first().fill("260");

  // "Kept" is not said, not even for a moment, before the server has answered.
  let letGo = (): void => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(`**/fill/${batch}/label**`, async (route) => {
    if (route.request().method() === "POST") await held;
    await route.continue();
  });
  await page.evaluate(`new MutationObserver(() => { if (document.body.innerText.includes("Kept")) window.saidKept = true; })
    .observe(document.body, { subtree: true, childList: true, characterData: true })`);
  const sent = page.waitForRequest((request) => request.method() === "POST");
  await button(page, "Keep this label").click();
  await sent;
  expect(await page.evaluate("window.saidKept")).toBeUndefined();
  letGo();
  await expect(button(page, "Kept")).toBeVisible();
  const answer = await page.request.get(`/fill/${batch}/label.pdf?paper=a4`);
  expect(answer.status()).toBe(422);
  expect(await answer.text()).toContain("has no room on A4");
});
