import type { Planner } from "./planner.ts";
import { topUp } from "./topUp.ts";

const HOUR = 60;

/** Soap takes hours to dissolve and is never whisked or acidified. */
export function soapPart(plan: Planner): void {
  const soaps = plan.take("soap");
  if (soaps.length === 0) return;
  const isSolid = soaps.some(({ material }) => material.form !== "liquid");
  if (isSolid && plan.holds("main")) {
    plan.add({
      id: "heat-water",
      code: "heat-soap-water",
      stage: "heat",
      vessel: "main",
      measures: "before-heating",
      temperature: { low: 75, high: 80 },
    });
  }
  plan.add({
    id: "soap",
    code: "soap",
    facts: { ...plan.weighed(soaps), isSolid },
    stage: "combine",
    vessel: "main",
    lines: soaps,
    ...(isSolid ? { wait: { from: 10 * HOUR, until: 12 * HOUR }, stirEveryMinutes: 2 * HOUR } : {}),
  });
  if (isSolid) topUp(plan, "top-up-soap", "top-up-hot");
}
