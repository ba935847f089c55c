import type { Planner } from "./planner.ts";

/** Before anything is weighed: clean tools, protection, vessel weights, meter, stocks. */
export function prepare({ bench, add }: Planner): void {
  const flags = new Set(bench.lines.flatMap(({ material }) => material.flags));
  const wear = [
    ...(flags.has("dusty-respirator") ? ["a dust mask"] : []),
    ...(flags.has("corrosive") || flags.has("eye-irritant") ? ["gloves and goggles"] : ["gloves"]),
  ];
  const isWet = bench.kind === "wet" || bench.kind === "layers" || bench.kind === "stock";
  add({ id: "prepare", code: "prepare", facts: { wear, isWet }, stage: "prepare", vessel: null });
}
