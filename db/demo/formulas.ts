import type { Aim, ProfileSlug } from "@tensidrum/core/formula";

/** A line: phase letter, material, percent or the rest. */
export type DemoLine = readonly [phase: string, material: string, percent: number | "q.s."];

export interface DemoVersion {
  readonly id: string;
  /** Note of a final version; a version without one is the draft. */
  readonly note?: string;
  /** When a final version was finalised, counted from the day the demo is laid in. */
  readonly daysAgo?: number;
  /** Measured on a 10 % dilution. */
  readonly measuredPh?: number;
  readonly lines: readonly DemoLine[];
}

export interface DemoFormula {
  readonly id: string;
  readonly name: string;
  readonly profile: ProfileSlug;
  readonly batchGrams: number;
  readonly aim: Partial<Aim>;
  readonly phases: Readonly<Record<string, string>>;
  /** Of the phases that are heated, °C. */
  readonly temperatures?: Readonly<Record<string, number>>;
  /** In order; only the last may be a draft. */
  readonly versions: readonly DemoVersion[];
}

const curtainCall: DemoFormula = {
  id: "5ea50000-0000-4000-8000-00000000c100",
  name: "Curtain Call shampoo",
  profile: "everyday-shampoo",
  batchGrams: 600,
  aim: { school: "sulfate-free", forWhom: "the cast, hair sprayed every night", thickness: "pump-gel", without: ["sulfates"] },
  phases: { A: "water", B: "cleansing", C: "care", D: "scent", E: "finish" },
  versions: [
    {
      id: "5ea50000-0000-4000-8000-00000000c101",
      daysAgo: 62,
      note: "Opening night. Cleans well after hairspray, a little dry for the chorus.",
      measuredPh: 4.9,
      lines: [
        ["A", "water-distilled", "q.s."],
        ["A", "guar-hydroxypropyltrimonium-chloride", 0.2],
        ["A", "glycerin", 2],
        ["A", "tetrasodium-glda", 0.2],
        ["A", "sodium-benzoate", 0.4],
        ["A", "potassium-sorbate", 0.2],
        ["B", "aos-40", 18],
        ["B", "cocamidopropyl-betaine", 12],
        ["B", "coco-glucoside", 4],
        ["C", "panthenol-75", 0.5],
        ["D", "polyglyceryl-4-caprate", 1.6],
        ["D", "rosemary-oil", 0.25],
        ["D", "lemon-oil", 0.15],
        ["E", "citric-acid-solution-50", 0.3],
        ["E", "sodium-chloride", 1],
      ],
    },
    {
      id: "5ea50000-0000-4000-8000-00000000c102",
      lines: [
        ["A", "water-distilled", "q.s."],
        ["A", "guar-hydroxypropyltrimonium-chloride", 0.25],
        ["A", "glycerin", 2],
        ["A", "tetrasodium-glda", 0.2],
        ["A", "sodium-benzoate", 0.4],
        ["A", "potassium-sorbate", 0.2],
        ["B", "aos-40", 15],
        ["B", "cocamidopropyl-betaine", 14],
        ["B", "coco-glucoside", 4.4],
        ["C", "panthenol-75", 0.8],
        ["D", "polyglyceryl-4-caprate", 1.6],
        ["D", "rosemary-oil", 0.25],
        ["D", "lemon-oil", 0.15],
        ["E", "citric-acid-solution-50", 0.3],
        ["E", "sodium-chloride", 1],
        ["E", "water-soluble-dye-powder", 0.002],
      ],
    },
  ],
};

const greenRoom: DemoFormula = {
  id: "5ea50000-0000-4000-8000-00000000a200",
  name: "Green Room body wash",
  profile: "body-wash",
  batchGrams: 1000,
  aim: { school: "classic", forWhom: "guests", thickness: "pump-gel" },
  phases: { A: "water", B: "cleansing", C: "juniper", D: "finish" },
  versions: [
    {
      id: "5ea50000-0000-4000-8000-00000000a201",
      daysAgo: 58,
      note: "Juniper and birch leaf, the one the guests ask for.",
      lines: [
        ["A", "water-distilled", "q.s."],
        ["A", "glycerin", 2],
        ["A", "tetrasodium-glda", 0.2],
        ["A", "birch-leaf-extract", 2],
        ["B", "sles-2eo-28", 24],
        ["B", "cocamidopropyl-betaine", 12],
        ["B", "decyl-glucoside", 3],
        ["C", "polysorbate-20", 1.2],
        ["C", "juniper-berry-oil", 0.3],
        ["D", "benzyl-alcohol-benzoic-sorbic", 0.9],
        ["D", "citric-acid-solution-50", 0.3],
        ["D", "sodium-chloride", 1.2],
      ],
    },
  ],
};

const propRoom: DemoFormula = {
  id: "5ea50000-0000-4000-8000-00000000b300",
  name: "Prop Room hand wash",
  profile: "hand-wash",
  batchGrams: 800,
  aim: { school: "sulfate-free", forWhom: "working hands, washed often", thickness: "pump-gel" },
  phases: { A: "gum", B: "water", C: "cleansing", D: "finish" },
  versions: [
    {
      id: "5ea50000-0000-4000-8000-00000000b301",
      lines: [
        ["A", "glycerin", 5],
        ["A", "xanthan-gum-clear", 0.6],
        ["B", "water-distilled", "q.s."],
        ["B", "tetrasodium-glda", 0.2],
        ["C", "smct-liquid", 16],
        ["C", "cocamidopropyl-hydroxysultaine", 8],
        ["C", "coco-glucoside", 2],
        ["C", "cetrimonium-chloride", 1.5],
        ["D", "polysorbate-20", 0.8],
        ["D", "grapefruit-oil", 0.2],
        ["D", "sodium-benzoate-potassium-sorbate-liquid", 1.2],
        ["D", "citric-acid-solution-50", 0.4],
      ],
    },
  ],
};

const lightsDown: DemoFormula = {
  id: "5ea50000-0000-4000-8000-00000000d400",
  name: "Lights Down greasepaint remover",
  profile: "cream-cleanser",
  batchGrams: 400,
  aim: { forWhom: "faces after the show", look: "creamy", eyeArea: false },
  phases: { A: "water", B: "fats", C: "cleansing", D: "cool-down" },
  temperatures: { A: 72, B: 72 },
  versions: [
    {
      id: "5ea50000-0000-4000-8000-00000000d401",
      lines: [
        ["A", "water-distilled", "q.s."],
        ["A", "glycerin", 4],
        ["A", "tetrasodium-glda", 0.2],
        ["B", "sunflower-oil", 14],
        ["B", "cetearyl-alcohol", 3],
        ["B", "glyceryl-stearate", 4],
        ["B", "cetearyl-olivate-sorbitan-olivate", 3],
        ["C", "decyl-glucoside", 3],
        ["C", "sodium-cocoyl-glutamate", 3],
        ["D", "phenoxyethanol-caprylyl-glycol", 1],
        ["D", "citric-acid-solution-50", 0.1],
      ],
    },
  ],
};

/** Newest change last, so that the board shows it first. */
export const demoFormulas: readonly DemoFormula[] = [greenRoom, propRoom, lightsDown, curtainCall];
