import type { Page } from "@playwright/test";
import { bannedIn, bannedPhrases } from "../scripts/glossaryWords";
import { seriousIn } from "./testing/axe";
import { expect, FAILED_LOAD, test } from "./testing/test";

const curtainCall = "/sheet/5ea50000-0000-4000-8000-00000000c100";
const propRoom = "/sheet/5ea50000-0000-4000-8000-00000000b300";
/** Looked at one after another in one window, as somebody walks through them. */
const views = {
  Sheet: [
    ["Sheet", curtainCall],
    ["Sheet with a stop", propRoom],
    ["final version", `${curtainCall}/1`],
    ["weighing sheet", "/weighing/5ea50000-0000-4000-8000-00000000c100/2"],
    ["card", `${curtainCall}/2/card`],
    ["difference", `${curtainCall}/difference`],
    ["steps", `${curtainCall}/2/steps`],
    ["import formula", "/import"],
    ["a blend for it", "/designer/5ea50000-0000-4000-8000-00000000c100?thickening=salt"],
  ],
  Shelf: [
    ["shelf", "/shelf"],
    ["library", "/shelf?where=library"],
    ["material", "/shelf/cocamidopropyl-betaine"],
    ["import of a list", "/shelf/import"],
    ["a lot that comes", "/shelf/receive"],
    ["a material of one's own", "/shelf/materials/new?from=coco-glucoside"],
    ["own facts", "/shelf/cocamidopropyl-betaine/own"],
    ["two side by side", "/shelf/materials/compare?one=cocamidopropyl-betaine&other=coco-glucoside"],
    ["what changed in the library", "/shelf/materials/changes"],
  ],
  "what is made here": [
    ["stock solution", "/shelf/make/solution?of=citric-acid-anhydrous"],
    ["plant water", "/shelf/make/water?name=Birch+leaf+water&inci=Betula+Alba+Leaf+Extract&plant=40&water=600&yield=470"],
    ["label of a lot", "/shelf/lots/d7139f65-c32e-89dc-a525-f1729571d42b/label"],
    ["scents", "/scents"],
    ["scent", "/scents/ca7de3b0-5ff1-8486-aa8f-0b107e4ca350"],
  ],
  "Bench and the rest": [
    ["Today", "/"],
    ["a week of the coming days", "/days"],
    ["a month of them", "/days?span=month"],
    ["search", "/search?q=juniper"],
    ["help", "/help"],
    ["a page of help", "/help/ph"],
    ["what is an estimate", "/help/estimates"],
    ["bench", "/bench"],
    ["what is to be filled", "/fill"],
    ["containers", "/fill/containers"],
    ["outlook", "/shelf/outlook"],
    ["shopping list", "/shelf/shopping"],
    ["prices of a material", "/shelf/glycerin/prices"],
    ["costs of versions", `${curtainCall}/costs`],
    ["backups", "/settings/backups"],
    ["watch", "/watch"],
    ["blind tests", "/watch/blind"],
    ["compare", "/compare"],
    ["new product", "/compare/products/new"],
    ["before a batch", `/bench/begin/5ea50000-0000-4000-8000-00000000c100/1`],
    ["salt-curve samples", "/bench/salt-samples/5ea50000-0000-4000-8000-00000000a200/1"],
    ["practice run", "/bench/practice/5ea50000-0000-4000-8000-00000000a200/1"],
    ["settings", "/settings"],
    ["nothing here", "/nowhere"],
  ],
} as const;

test.use({ allowedConsole: [FAILED_LOAD] });

/** Light and dark are one document in two sets of colours: the second time only the colours are looked at. */
async function seriousInBoth(page: Page): Promise<readonly string[]> {
  const found: string[] = [];
  for (const [scheme, rules] of [
    ["light", undefined],
    ["dark", ["color-contrast"]],
  ] as const) {
    await page.emulateMedia({ colorScheme: scheme });
    await expect(page.locator("html")).toHaveAttribute("data-mantine-color-scheme", scheme);
    found.push(...(await seriousIn(page, rules)).map((fault) => `${scheme}, ${fault}`));
  }
  return found;
}

const SIZES = [
  [1280, 800],
  [1024, 768],
  [390, 844],
] as const;

/** Screens the page is wider than. */
async function tooNarrowFor(page: Page): Promise<readonly string[]> {
  const narrow: string[] = [];
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height });
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    if (overflow > 0) narrow.push(`${width} x ${height} by ${overflow} px`);
  }
  return narrow;
}

/** Everything a page says: its text, also what is folded, and the names and hints of its controls. */
async function textOf(page: Page): Promise<string> {
  return page.evaluate(() => {
    const body = document.body.cloneNode(true) as HTMLElement;
    for (const script of body.querySelectorAll("script, style")) script.remove();
    const named = ["aria-label", "placeholder", "title", "alt", "data-act"].flatMap((name) =>
      [...document.querySelectorAll(`[${name}]`)].map((element) => element.getAttribute(name) ?? ""),
    );
    const texts: string[] = [];
    const walker = document.createTreeWalker(body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) texts.push(walker.currentNode.textContent ?? "");
    return [document.title, ...named, texts.join(" ")].join("\n");
  });
}

for (const [station, ofStation] of Object.entries(views)) {
  test(`${station}: for people who read, hear or steer differently, in both schemes, at three sizes, in the glossary's words`, async ({
    page,
  }) => {
    test.setTimeout(600_000);
    for (const [name, path] of ofStation) {
      await test.step(name, async () => {
        await page.goto(path);
        expect.soft(await seriousInBoth(page), name).toEqual([]);
        expect.soft(await tooNarrowFor(page), name).toEqual([]);
        expect.soft(bannedIn(await textOf(page), bannedPhrases()), name).toEqual([]);
      });
    }
  });
}

test("what opens over the Sheet, in both schemes: nothing serious either", async ({ page }) => {
  for (const [button, ready] of [
    ["Adjust the blend", page.getByText("What it would do")],
    ["Fix the blend", page.getByRole("region", { name: "least change" })],
    ["How much to make", page.getByText("To fill containers")],
    ["Search and commands", page.getByRole("dialog", { name: "Search and commands" }).getByRole("option").first()],
  ] as const) {
    await page.emulateMedia({ colorScheme: "light" });
    await page.goto(curtainCall);
    await page.getByRole("button", { name: button }).click();
    await expect(ready).toBeVisible();
    expect(await seriousInBoth(page), button).toEqual([]);
  }
});

test("the policy allows only this page's own scripts, with a fresh nonce each time", async ({ request }) => {
  const policyOf = async () => (await request.get("/")).headers()["content-security-policy"] ?? "";
  const [first, second] = [await policyOf(), await policyOf()];
  expect(first).toMatch(/script-src 'self' 'nonce-[A-Za-z0-9+/=]{24}';/);
  expect(first).toContain("frame-ancestors 'none'");
  expect(first).not.toContain("unsafe-eval");
  expect(first.match(/nonce-([^']+)/)?.[1]).not.toBe(second.match(/nonce-([^']+)/)?.[1]);
});

test("the dim switch is remembered", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "dim" }).click();
  await expect(page.locator("html")).toHaveAttribute("data-mantine-color-scheme", "dark");
  await page.reload();
  await expect(page.locator("html")).toHaveAttribute("data-mantine-color-scheme", "dark");
});

test("the demo is sensible and adds up, and one formula has something to stop for", async ({ page }) => {
  await page.goto("/");
  const formulas = page.getByRole("list", { name: "Formulas" }).getByRole("listitem");
  for (const name of ["Curtain Call shampoo", "Lights Down greasepaint remover", "Prop Room hand wash", "Green Room body wash"]) {
    await expect(formulas.filter({ hasText: name }).first()).toBeVisible();
  }
  await expect(page.getByText("must not be made as it stands")).toBeVisible();
  for (const [path, grams] of [
    [curtainCall, "600.00"],
    [propRoom, "800.00"],
    ["/sheet/5ea50000-0000-4000-8000-00000000a200", "1000.00"],
    ["/sheet/5ea50000-0000-4000-8000-00000000d400", "400.00"],
  ] as const) {
    await page.goto(path);
    await expect(page.locator("tfoot")).toContainText("100.00");
    await expect(page.locator("tfoot")).toContainText(grams);
    await expect(page.getByText("in usual range")).toBeVisible();
  }
});
