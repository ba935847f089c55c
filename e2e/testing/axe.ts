import type { Page } from "@playwright/test";
import axe from "axe-core";

interface Violation {
  readonly id: string;
  readonly impact: string | null;
  readonly nodes: readonly { readonly html: string }[];
}

/** What a page gets wrong for people who read, hear or steer differently; of the rules named, or of all. */
export async function violationsIn(page: Page, rules?: readonly string[]): Promise<readonly Violation[]> {
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(axe.source);
  return page.evaluate(async (only) => {
    const { run } = (window as unknown as { axe: typeof axe }).axe;
    const { violations } = await run(document, {
      resultTypes: ["violations"],
      ...(only === undefined ? {} : { runOnly: { type: "rule", values: [...only] } }),
    });
    return violations.map(({ id, impact, nodes }) => ({ id, impact: impact ?? null, nodes: nodes.map(({ html }) => ({ html })) }));
  }, rules);
}

/** What would stop somebody, in words. */
export async function seriousIn(page: Page, rules?: readonly string[]): Promise<readonly string[]> {
  return (await violationsIn(page, rules))
    .filter(({ impact }) => impact === "serious" || impact === "critical")
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(" | ")}`);
}
