import { demoFormulas, type DemoFormula, type DemoLine, type DemoVersion } from "./formulas";
import type { SpoilSign } from "@tensidrum/core/stability";
import type { DemoLot } from "./lots";

const calledOf = (name: string): DemoFormula => {
  const found = demoFormulas.find((formula) => formula.name.startsWith(name));
  if (found === undefined) throw new Error(`The demo has no formula called ${name}`);
  return found;
};

export const [curtainCall, greenRoom, lightsDown] = [calledOf("Curtain Call"), calledOf("Green Room"), calledOf("Lights Down")];

/** A version that came about in the season. */
export interface SeasonVersion extends DemoVersion {
  readonly formula: DemoFormula;
  readonly daysAgo: number;
}

/** Lines of a formula's first version with some shares changed. */
function changed(formula: DemoFormula, percents: Readonly<Record<string, number>>): readonly DemoLine[] {
  const lines = formula.versions[0]?.lines ?? [];
  return lines.map(([phase, material, percent]): DemoLine => [phase, material, percents[material] ?? percent]);
}

/** What was finalised since the first day, in order; one without a note is the draft. */
export const seasonVersions: readonly SeasonVersion[] = [
  {
    ...{ formula: lightsDown, daysAgo: 51, id: lightsDown.versions[0]?.id ?? "" },
    note: "Takes greasepaint off without rubbing. Watch its pH: nothing in it holds it.",
    lines: changed(lightsDown, {}),
  },
  {
    ...{ formula: greenRoom, daysAgo: 34, id: "5ea50000-0000-4000-8000-00000000a202" },
    note: "Less sulfate, more betaine: milder for guests who shower twice a day.",
    lines: changed(greenRoom, { "sles-2eo-28": 21, "cocamidopropyl-betaine": 14 }),
  },
  {
    ...{ formula: greenRoom, daysAgo: 13, id: "5ea50000-0000-4000-8000-00000000a203" },
    note: "A little more salt: v2 ran off the hand.",
    lines: changed(greenRoom, { "sles-2eo-28": 21, "cocamidopropyl-betaine": 14, "sodium-chloride": 1.5 }),
  },
  {
    ...{ formula: lightsDown, daysAgo: 4, id: "5ea50000-0000-4000-8000-00000000d402" },
    lines: changed(lightsDown, { "glyceryl-stearate": 4.5 }),
  },
];

/** What stood on the shelf for the season beside what the first day has. */
export const seasonLots: readonly DemoLot[] = [
  ["sles-2eo-28", "SL-61", 2500, 400, 11.8],
  ["benzyl-alcohol-benzoic-sorbic", "BZ-3", 100, 300, 9.6],
  ["polysorbate-20", "PO-2", 250, 420, 6.1],
  ["cetearyl-alcohol", "CE-1", 250, 500, 4.9],
  ["glyceryl-stearate", "GS-7", 250, 480, 6.2],
  ["cetearyl-olivate-sorbitan-olivate", "OL-9", 100, 350, 11.4],
  ["citric-acid-solution-50", "CS-50", 250, 160, 3.1],
  ["lemon-oil", "L-12", 30, 700, 6.9],
].map(([material, code, packGrams, endsInDays, price]) => ({
  ...{ material: String(material), code: String(code), packGrams: Number(packGrams) },
  ...{ receivedDaysAgo: 58, endsInDays: Number(endsInDays), price: Number(price), supplier: "wholesaler, summer order" },
}));

/** A look at the sample at room temperature. */
export interface SeasonLook {
  readonly daysAfter: number;
  readonly ph: string;
  readonly clarity?: "clear" | "slightly hazy" | "opaque";
  readonly colour?: "weaker" | "stronger";
  readonly signs?: readonly SpoilSign[];
  readonly note?: string;
}

export interface SeasonBatch {
  readonly key: string;
  readonly formula: DemoFormula;
  readonly number: number;
  readonly grams: number;
  /** When it was begun, hours ago. */
  readonly hoursAgo: number;
  /** What the meter showed: the last of them is where it ended. */
  readonly ph: readonly number[];
  /** Seconds through the flow cup, one before each dose of salt and one at the end. */
  readonly seconds: readonly number[];
  /** How far it came: to its end, until a step that still rests or is still to be done, or until it was stopped at one. */
  readonly until: "end" | { readonly before: string } | { readonly stoppedAt: string; readonly why: string };
  readonly yieldGrams?: number;
  /** Bottles for use, each of so many grams, and one that is kept. */
  readonly bottles?: { readonly container: string; readonly count: number; readonly grams: number };
  readonly looks?: readonly SeasonLook[];
  /** Code of the lot, by material, where another would be offered first. */
  readonly lots?: Readonly<Record<string, string>>;
  readonly foam?: readonly (readonly [atOnceMm: number, oneMinuteMm: number, fiveMinutesMm: number])[];
}

const DAY = 24;

/** The batches of eight weeks, the first first. */
export const seasonBatches: readonly SeasonBatch[] = [
  {
    ...{ key: "curtain call 1", formula: curtainCall, number: 1, grams: 500, hoursAgo: 52 * DAY + 3, until: "end", yieldGrams: 486 },
    ...{ ph: [6.2, 5.4, 5.0], seconds: [9, 17, 24] },
    bottles: { container: "Pump bottle, tall", count: 1, grams: 230 },
    looks: [
      { daysAfter: 7, ph: "5.0", clarity: "clear" },
      { daysAfter: 28, ph: "4.9", clarity: "clear", note: "Rosemary is fainter." },
    ],
    foam: [
      [118, 110, 96],
      [121, 112, 97],
    ],
  },
  {
    ...{ key: "lights down 1", formula: lightsDown, number: 1, grams: 400, hoursAgo: 49 * DAY + 5, until: "end", yieldGrams: 381 },
    ...{ ph: [7.3, 6.9], seconds: [] },
    bottles: { container: "Flip-top, guests", count: 6, grams: 50 },
    looks: [
      { daysAfter: 7, ph: "6.85", clarity: "opaque" },
      { daysAfter: 28, ph: "6.7", clarity: "opaque" },
      {
        daysAfter: 47,
        ph: "6.5",
        clarity: "opaque",
        colour: "stronger",
        signs: ["odd smell"],
        note: "Smells of old oil. Asked for the six bottles back.",
      },
    ],
  },
  {
    ...{ key: "green room 1", formula: greenRoom, number: 1, grams: 700, hoursAgo: 47 * DAY + 2, until: "end", yieldGrams: 684 },
    ...{ ph: [6.4, 5.6, 5.3], seconds: [8, 15, 21] },
    bottles: { container: "Pump bottle, tall", count: 2, grams: 230 },
    looks: [
      { daysAfter: 7, ph: "5.3", clarity: "clear" },
      { daysAfter: 28, ph: "5.25", clarity: "clear" },
    ],
    foam: [
      [131, 124, 108],
      [128, 122, 107],
    ],
  },
  {
    ...{ key: "green room 2", formula: greenRoom, number: 2, grams: 500, hoursAgo: 33 * DAY + 4, until: "end", yieldGrams: 489 },
    ...{ ph: [6.3, 5.4, 5.2], seconds: [7, 11, 14] },
    bottles: { container: "Pump bottle, tall", count: 1, grams: 230 },
    looks: [
      { daysAfter: 8, ph: "5.2", clarity: "clear" },
      { daysAfter: 16, ph: "5.2", clarity: "clear" },
    ],
    foam: [
      [124, 117, 104],
      [126, 118, 105],
    ],
  },
  {
    ...{ key: "lights down 2", formula: lightsDown, number: 1, grams: 300, hoursAgo: 20 * DAY + 6, yieldGrams: 268 },
    ...{ ph: [], seconds: [] },
    until: { stoppedAt: "cool", why: "It parted while it cooled: stopped here and not used." },
  },
  {
    ...{ key: "green room 3", formula: greenRoom, number: 3, grams: 500, hoursAgo: 5, until: { before: "fill" } },
    ...{ ph: [6.3, 5.5, 5.2], seconds: [7, 14, 22] },
  },
  {
    ...{ key: "curtain call 2", formula: curtainCall, number: 1, grams: 250, hoursAgo: 1.5, until: { before: "ph" } },
    lots: { "lemon-oil": "L-12" },
    ...{ ph: [], seconds: [] },
  },
];

export const seasonProduct = {
  id: "5ea50000-0000-4000-8000-00000000e500",
  name: "The one from the seaside hotel",
  printed:
    "Aqua, Sodium Laureth Sulfate, Cocamidopropyl Betaine, Glycerin, Decyl Glucoside, Sodium Chloride, Parfum, Benzyl Alcohol, Citric Acid",
  readings: { ph: "5.4", funnelSeconds: "26", foamAtOnceMm: "127", foamAfterFiveMm: "106", slip: "4", rinse: "4", afterFeel: "4" },
} as const;

/** What the maker marked of each round, and what was learned of it. */
export const seasonRounds = [
  { number: 1, slip: "2", rinse: "4", afterFeel: "2", learned: "Foams like the hotel’s, but the skin feels tight." },
  { number: 2, slip: "3", rinse: "4", afterFeel: "3", learned: "Milder. Too thin: it runs off the hand." },
] as const;

/** A practice run of a version: how much of the planned acid and salt went in, dose by dose, and how long each took. */
export interface SeasonPractice {
  readonly formula: DemoFormula;
  readonly number: number;
  readonly seed: string;
  readonly daysAgo: number;
  readonly acid: readonly number[];
  readonly salt: readonly number[];
  /** Between one thing and the next, minutes. */
  readonly pace: number;
}

/** Before the first batch of a new version somebody plays it through: too much at once at first, then little by little. */
export const seasonPractice: readonly SeasonPractice[] = [
  { formula: curtainCall, number: 1, seed: "first evening", daysAgo: 54, acid: [2.2], salt: [1.5], pace: 9 },
  { formula: curtainCall, number: 1, seed: "first evening", daysAgo: 53, acid: [0.6, 0.5, 0.3], salt: [0.6, 0.3], pace: 5 },
  { formula: curtainCall, number: 1, seed: "second evening", daysAgo: 2, acid: [0.6, 0.3], salt: [0.6, 0.25], pace: 4 },
  { formula: greenRoom, number: 3, seed: "understudy", daysAgo: 12, acid: [0.6, 0.4], salt: [0.6, 0.3], pace: 4 },
];
