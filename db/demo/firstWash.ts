import type { DemoFormula } from "./formulas";

/** What a newcomer makes first: few lines, no heat, no scent, thickened by salt. */
export const firstWash: Omit<DemoFormula, "id" | "versions"> & Pick<DemoFormula["versions"][number], "lines"> = {
  name: "First hand wash",
  profile: "hand-wash",
  batchGrams: 200,
  aim: { school: "sulfate-free", thickness: "pump-gel" },
  phases: { A: "water", B: "cleansing", C: "finish" },
  lines: [
    ["A", "water-distilled", "q.s."],
    ["A", "glycerin", 3],
    ["B", "aos-40", 12],
    ["B", "cocamidopropyl-betaine", 15],
    ["C", "sodium-benzoate-potassium-sorbate-liquid", 1.2],
    ["C", "citric-acid-solution-50", 0.4],
    ["C", "sodium-chloride", 1.5],
  ],
};
