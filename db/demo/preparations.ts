import type { OwnFacts } from "@tensidrum/core/library";
import type { OwnContainer } from "../containers/queries.server";

/** What the workshop's own meter, scale and dropper say. */
export const demoOwnFacts: Readonly<Record<string, OwnFacts>> = {
  "cocamidopropyl-betaine": { densityGramsPerMl: 1.041, phSupplied: { low: 5.2, high: 5.4, at: "as measured" } },
  "juniper-berry-oil": { dropMilligrams: 24 },
};

export const demoSolution = {
  solute: "citric-acid-anhydrous",
  strengthPercent: 25,
  grams: 100,
  madeDaysAgo: 38,
  keptDays: 91,
  used: [
    [-1.3, 37, "Curtain Call v1"],
    [-4.2, 12, "Green Room"],
  ] as const,
};

export const demoWater = {
  name: "Birch leaf water",
  extractInci: "Betula Alba Leaf Extract",
  plantGrams: 40,
  waterGrams: 600,
  yieldGrams: 470,
  madeDaysAgo: 4,
  daysOfLife: 7,
  used: [[-150, 3, "trial for Green Room"]] as const,
};

type Count = readonly [material: string, drops: number];

/** The rounds of a scent, one oil changed in each. */
export const demoScent = {
  name: "Lakeside evening",
  rounds: [
    {
      daysAgo: 21,
      note: "lemon first, then nothing else",
      oils: [
        ["juniper-berry-oil", 8],
        ["pine-needle-oil", 6],
        ["lemon-oil", 12],
      ],
    },
    {
      daysAgo: 14,
      note: "the wood is there now, still sharp",
      oils: [
        ["juniper-berry-oil", 8],
        ["pine-needle-oil", 6],
        ["lemon-oil", 5],
      ],
    },
    {
      daysAgo: 6,
      note: "round, resinous, like the boathouse",
      oils: [
        ["juniper-berry-oil", 12],
        ["pine-needle-oil", 6],
        ["lemon-oil", 5],
      ],
    },
  ] satisfies readonly { daysAgo: number; note: string; oils: readonly Count[] }[],
  keptAs: "Lakeside evening scent",
};

type DemoContainer = Omit<OwnContainer, "id">;

export const demoContainers: readonly DemoContainer[] = [
  {
    ...{ name: "Pump bottle, tall", type: "pump" },
    ...{ nominalMl: 250, brimfulMl: 276, headspaceMl: 10, dipTubeMl: 6, tareGrams: 34.2, pieces: 14, priceEach: 0.92 },
    ...{ labelWidthMm: 120, labelHeightMm: 70, note: "" },
  },
  {
    ...{ name: "Foam pump", type: "foaming-pump" },
    ...{ nominalMl: 150, brimfulMl: 178, headspaceMl: 22, dipTubeMl: 6, tareGrams: 29.6, pieces: 8, priceEach: 1.35 },
    ...{ labelWidthMm: 100, labelHeightMm: 60, note: "only what runs like water" },
  },
  {
    ...{ name: "Flip-top, guests", type: "bottle" },
    ...{ nominalMl: 50, brimfulMl: 56, headspaceMl: 3, dipTubeMl: 0, tareGrams: 11.4, pieces: 40, priceEach: 0.38 },
    ...{ labelWidthMm: 60, labelHeightMm: 40, note: "" },
  },
  {
    ...{ name: "Wide jar", type: "jar" },
    ...{ nominalMl: 100, brimfulMl: 112, headspaceMl: 6, dipTubeMl: 0, tareGrams: 26.8, pieces: 6, priceEach: 0.64 },
    ...{ labelWidthMm: 140, labelHeightMm: 30, note: "balms and whipped soap" },
  },
  {
    ...{ name: "Soft tube", type: "tube" },
    ...{ nominalMl: 75, brimfulMl: 92, headspaceMl: 8, dipTubeMl: 0, tareGrams: 9.8, pieces: 12, priceEach: 0.55 },
    ...{ labelWidthMm: 50, labelHeightMm: 90, note: "" },
  },
  {
    ...{ name: "Sample jar", type: "jar" },
    ...{ nominalMl: 30, brimfulMl: 34, headspaceMl: 2, dipTubeMl: 0, tareGrams: 12.1, pieces: 24, priceEach: 0.22 },
    ...{ labelWidthMm: 45, labelHeightMm: 20, note: "testers and retained samples" },
  },
];

export const demoCurrency = "€";
