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
      stage: "heat",
      vessel: "main",
      title: "Heat the water",
      do: "Note the weight of beaker, stirrer and content. Heat to 75 to 80 °C with the lid on.",
      why: "Soap dissolves only in hot water, and what steams off must be put back.",
      check: "75 to 80 °C, weight noted.",
      measures: "before-heating",
    });
  }
  plan.add({
    id: "soap",
    stage: "combine",
    vessel: "main",
    title: isSolid ? "Dissolve the soap" : "Weigh the soap",
    do: isSolid
      ? `Add ${plan.amounts(soaps)} in small pieces. Do not whisk. Cover it and stir slowly every two hours until no lump is left.`
      : `Pour in ${plan.amounts(soaps)} and stir slowly.`,
    why: "Soap drinks water slowly; whisking fills it with air that does not leave.",
    lines: soaps,
    ...(isSolid ? { wait: { from: 10 * HOUR, until: 12 * HOUR } } : {}),
    caution: "No acid: it splits soap into greasy fatty acid.",
    check: "Even, without lumps.",
  });
  if (isSolid) topUp(plan, "top-up-soap");
}
