import type { Planner } from "./planner.ts";

/** Before anything is weighed: clean tools, protection, vessel weights, meter, stocks. */
export function prepare({ bench, add }: Planner): void {
  const flags = new Set(bench.lines.flatMap(({ material }) => material.flags));
  const wear = [
    ...(flags.has("dusty-respirator") ? ["a dust mask"] : []),
    ...(flags.has("corrosive") || flags.has("eye-irritant") ? ["gloves and goggles"] : ["gloves"]),
  ];
  const isWet = bench.kind === "wet" || bench.kind === "layers" || bench.kind === "stock";
  add({
    id: "prepare",
    stage: "prepare",
    vessel: null,
    title: "Prepare the bench",
    do: `Clean and disinfect tools, beakers and containers and let them dry. Put on ${wear.join(", ")}. Note the tare weight of each beaker with its stirrer.${isWet ? " Calibrate the meter, and see that stock solutions are in date." : " Everything must be dry."}`,
    why: "Most microbes come from tools and containers, and a tare weight cannot be taken afterwards.",
    check: "Nothing smells, everything is dry, every tare weight is noted.",
  });
}
