import type { FormatName } from "../formatNames.ts";

/** A file that must be taken, or refused at a path. */
export interface CorpusFile {
  readonly format: FormatName;
  readonly title: string;
  readonly file: unknown;
  /** Where it is refused; null when it must be taken. */
  readonly refusedAt: string | null;
  /** Seen only by the reader: a JSON Schema cannot say it. */
  readonly beyondSchema?: true;
}

export const washFile = {
  format: "tensidrum-formula/1",
  name: "Green Room body wash",
  profile: "body-wash",
  school: "classic",
  eyeArea: false,
  wantsClear: true,
  batchGrams: 600,
  scales: [
    { name: "bench", readabilityGrams: 0.1, capacityGrams: 3000 },
    { name: "fine", readabilityGrams: 0.01, capacityGrams: 200 },
  ],
  measured: { ph: 5.2, densityGramsPerMl: 1.03 },
  phases: [
    { id: "A", temperatureC: 22 },
    { id: "B", title: "cleansers" },
  ],
  splits: [{ name: "juniper", sharePercent: 50, lines: [{ id: "j", phase: "B", material: "juniper-berry-oil", percent: 0.3 }] }],
  lines: [
    { id: "w", phase: "A", material: "water-distilled", qs: true },
    { id: "b", phase: "B", material: "cocamidopropyl-betaine", percent: 22, assayPercent: 30.4 },
  ],
  materials: [
    {
      slug: "house-blend",
      name: "House blend",
      role: "base",
      parts: [
        { material: "coco-glucoside", percent: 60 },
        { material: "glycerin", percent: 40 },
      ],
    },
    {
      slug: "birch-water",
      name: "Birch water",
      role: "water",
      inci: [{ name: "Aqua", common: "water", percent: 98 }],
      phStable: { low: 4, high: 7 },
    },
  ],
};

type Changes = Readonly<Record<string, unknown>>;

const wash = (changes: Changes) => ({ ...washFile, ...changes });
const lineWith = (changes: Changes) => wash({ lines: [washFile.lines[0], { ...washFile.lines[1], ...changes }] });
const without = (file: object, key: string) => Object.fromEntries(Object.entries(file).filter(([name]) => name !== key));
const blendOf = (parts: unknown) => wash({ materials: [{ slug: "blend", name: "Blend", role: "base", parts }] });
const material = (changes: Changes) =>
  wash({ materials: [{ slug: "own", name: "Own", role: "active", inci: [{ name: "Aqua", percent: 100 }], ...changes }] });

const F = "tensidrum-formula/1";
const good = (format: FormatName, title: string, file: unknown): CorpusFile => ({ format, title, file, refusedAt: null });
const bad = (format: FormatName, title: string, file: unknown, refusedAt: string): CorpusFile => ({ format, title, file, refusedAt });
const beyond = (format: FormatName, title: string, file: unknown, refusedAt: string): CorpusFile => ({
  ...bad(format, title, file, refusedAt),
  beyondSchema: true,
});

const formulas: readonly CorpusFile[] = [
  good(F, "everything a formula can carry", washFile),
  good(F, "the least a formula needs", { format: F, profile: "scrub", batchGrams: 50, lines: [] }),
  good(F, "nothing but a rest", { format: F, profile: "micellar-water", batchGrams: 1, lines: [washFile.lines[0]] }),
  good(
    F,
    "0 % and 100 %",
    wash({
      lines: [
        { ...washFile.lines[1], percent: 0 },
        { id: "c", phase: "A", material: "glycerin", percent: 100 },
      ],
    }),
  ),
  good(F, "too much in all is a finding, not a fault", lineWith({ percent: 100 })),
  bad(F, "another version", wash({ format: "tensidrum-formula/2" }), "format"),
  bad(F, "no format", without(washFile, "format"), "format"),
  bad(F, "no lines", without(washFile, "lines"), "lines"),
  bad(F, "no batch", without(washFile, "batchGrams"), "batchGrams"),
  bad(F, "an empty batch", wash({ batchGrams: 0 }), "batchGrams"),
  bad(F, "a negative batch", wash({ batchGrams: -600 }), "batchGrams"),
  bad(F, "a batch beyond all measure", wash({ batchGrams: 1e300 }), "batchGrams"),
  bad(F, "an unknown profile", wash({ profile: "dish-soap" }), "profile"),
  bad(F, "an unknown school", wash({ school: "alchemy" }), "school"),
  bad(F, "an unknown key", wash({ colour: "green" }), "colour"),
  bad(F, "an unknown key in a line", lineWith({ grams: 3 }), "lines[1].grams"),
  bad(F, "a number in quotes", lineWith({ percent: "22" }), "lines[1].percent"),
  bad(F, "a negative percent", lineWith({ percent: -3 }), "lines[1].percent"),
  bad(F, "more than all of it", lineWith({ percent: 101 }), "lines[1].percent"),
  bad(F, "an assay of more than everything", lineWith({ assayPercent: 130 }), "lines[1].assayPercent"),
  bad(F, "percent and rest in one line", lineWith({ qs: true }), "lines[1]"),
  bad(F, "neither percent nor rest", wash({ lines: [without(washFile.lines[1] ?? {}, "percent")] }), "lines[0]"),
  bad(F, "a rest that is not one", wash({ lines: [{ id: "w", phase: "A", material: "water-distilled", qs: false }] }), "lines[0].qs"),
  bad(F, "a pH that does not exist", wash({ measured: { ph: 15 } }), "measured.ph"),
  bad(F, "no density", wash({ measured: { densityGramsPerMl: 0 } }), "measured.densityGramsPerMl"),
  bad(F, "null where a number belongs", lineWith({ percent: null }), "lines[1].percent"),
  bad(F, "a list where an object belongs", wash({ lines: [[]] }), "lines[0]"),
  bad(F, "text where a list belongs", wash({ lines: "none" }), "lines"),
  bad(
    F,
    "a scale that shows nothing",
    wash({ scales: [{ name: "s", readabilityGrams: 0, capacityGrams: 10 }] }),
    "scales[0].readabilityGrams",
  ),
  bad(F, "a slug with spaces", lineWith({ material: "coco betaine" }), "lines[1].material"),
  bad(F, "a material with composition and parts", material({ parts: [{ material: "glycerin", percent: 100 }] }), "materials[0]"),
  bad(F, "a material with neither", wash({ materials: [{ slug: "own", name: "Own", role: "active" }] }), "materials[0]"),
  bad(F, "a role nobody knows", material({ role: "magic" }), "materials[0].role"),
  bad(F, "a fact of the wrong kind", material({ saltPercent: "5 %" }), "materials[0].saltPercent"),
  bad(F, "a fact nobody knows", material({ colour: "blue" }), "materials[0].colour"),
  bad(F, "a span without its end", material({ phStable: { low: 4 } }), "materials[0].phStable.high"),
  bad(F, "not an object", [washFile], ""),
  bad(F, "nothing", null, ""),
  beyond(F, "two lines of one id", wash({ lines: [washFile.lines[1], washFile.lines[1]] }), "lines[1].id"),
  beyond(
    F,
    "a split's line with an id of the sheet",
    wash({ splits: [{ name: "s", sharePercent: 10, lines: [{ ...washFile.lines[1], phase: "A" }] }] }),
    "splits[0].lines[0].id",
  ),
  beyond(F, "two rests", wash({ lines: [washFile.lines[0], { ...washFile.lines[0], id: "w2" }] }), "lines[1].qs"),
  beyond(F, "a phase that is not there", lineWith({ phase: "Z" }), "lines[1].phase"),
  beyond(F, "two phases of one id", wash({ phases: [{ id: "A" }, { id: "A" }, { id: "B" }] }), "phases[1].id"),
  beyond(F, "a material that is not there", lineWith({ material: "moon-dust" }), "lines[1].material"),
  beyond(F, "parts that do not come to 100", blendOf([{ material: "glycerin", percent: 90 }]), "materials[0].parts"),
  beyond(F, "a part that is not there", blendOf([{ material: "moon-dust", percent: 100 }]), "materials[0].parts[0].material"),
  beyond(F, "a material that contains itself", blendOf([{ material: "blend", percent: 100 }]), "materials[0].parts"),
  beyond(F, "the same slug twice", wash({ materials: [washFile.materials[1], washFile.materials[1]] }), "materials[1].slug"),
  beyond(
    F,
    "a composition of more than everything",
    material({
      inci: [
        { name: "Aqua", percent: 70 },
        { name: "Mel", percent: 70 },
      ],
    }),
    "materials[0].inci",
  ),
  beyond(F, "a low end above its high end", material({ phStable: { low: 7, high: 4 } }), "materials[0].phStable"),
  beyond(
    F,
    "parts of more than the batch",
    wash({
      splits: [
        { name: "a", sharePercent: 60, lines: [] },
        { name: "b", sharePercent: 60, lines: [] },
      ],
    }),
    "splits",
  ),
];

const lot = {
  id: "lot-1",
  material: "glycerin",
  assayPercent: 99.5,
  supplier: null,
  gramsLeft: 83,
  packGrams: 500,
  packPrice: 7.5,
  openedOn: "2026-05-01",
  daysAfterOpening: 180,
  expiresOn: null,
};
const materialsFile = { format: "tensidrum-materials/1", libraryVersion: "1", materials: washFile.materials, lots: [lot] };
const M = "tensidrum-materials/1";
const D = "tensidrum-dilution/1";
const dilutionFile = { format: D, formula: washFile, partsProduct: 1, partsWater: 1 };

const others: readonly CorpusFile[] = [
  good(M, "materials and a lot", materialsFile),
  good(M, "nothing yet", { format: M, materials: [] }),
  bad(M, "a formula's format", { ...materialsFile, format: F }, "format"),
  bad(M, "an assay of more than everything", { ...materialsFile, lots: [{ ...lot, assayPercent: 101 }] }, "lots[0].assayPercent"),
  bad(M, "a date in words", { ...materialsFile, lots: [{ ...lot, expiresOn: "next May" }] }, "lots[0].expiresOn"),
  beyond(M, "a lot of nothing known", { ...materialsFile, lots: [{ ...lot, material: "moon-dust" }] }, "lots[0].material"),
  beyond(M, "two lots of one id", { ...materialsFile, lots: [lot, lot] }, "lots[1].id"),
  good(D, "doubled with water", dilutionFile),
  good(D, "no water at all", { ...dilutionFile, partsWater: 0 }),
  bad(D, "no product", { ...dilutionFile, partsProduct: 0 }, "partsProduct"),
  bad(D, "less than no water", { ...dilutionFile, partsWater: -1 }, "partsWater"),
  bad(D, "no formula", without(dilutionFile, "formula"), "formula"),
  bad(D, "a fault inside the formula", { ...dilutionFile, formula: lineWith({ percent: "22" }) }, "formula.lines[1].percent"),
  beyond(D, "a fault only the reader sees", { ...dilutionFile, formula: lineWith({ phase: "Z" }) }, "formula.lines[1].phase"),
];

const B = "tensidrum-batch/1";
const at = "2026-11-26T10:00:00Z";
const batchLine = washFile.lines[1]?.id ?? "";
const weighing = { id: "e-1", at, kind: "weighed", step: "weigh", line: batchLine, grams: 84.2 };
const batchFile = {
  format: B,
  code: "CC-261126-1",
  startedAt: at,
  finishedAt: null,
  formula: washFile,
  lots: [{ line: batchLine, code: "B-114", grams: 84 }],
  entries: [weighing, { id: "e-2", at, kind: "noted", step: null, text: "power cut" }],
};

const seen = {
  ...{ storage: "warm", at: "2026-12-03T09:00:00Z", ph: 5.1, viscosity: null, said: "", clarity: "clear", colour: "weaker", smell: "" },
  ...{ sedimentMm: 0, signs: [], note: "" },
};
const shaken = { at: "2026-12-03T09:20:00Z", atOnceMm: 60, afterOneMinuteMm: 52, afterFiveMinutesMm: 45, bubbles: "fine" };

const batchFiles: readonly CorpusFile[] = [
  good(B, "a batch being made", batchFile),
  good(B, "nothing entered yet", { ...batchFile, lots: [], entries: [] }),
  bad(B, "a weight below nothing", { ...batchFile, entries: [{ ...weighing, grams: -1 }] }, "entries[0].grams"),
  bad(B, "a kind nobody knows", { ...batchFile, entries: [{ ...weighing, kind: "sung" }] }, "entries[0].kind"),
  bad(B, "a day without its hour", { ...batchFile, startedAt: "2026-11-26" }, "startedAt"),
  beyond(B, "a weight of nothing", { ...batchFile, entries: [without(weighing, "grams")] }, "entries[0].grams"),
  beyond(B, "one entry twice", { ...batchFile, entries: [weighing, weighing] }, "entries[1].id"),
  beyond(B, "a line that is not in the formula", { ...batchFile, entries: [{ ...weighing, line: "moon" }] }, "entries[0].line"),
  good(B, "what was seen of it later", { ...batchFile, checks: [seen], lather: [shaken] }),
  bad(B, "a sample kept on the moon", { ...batchFile, checks: [{ ...seen, storage: "moon" }] }, "checks[0].storage"),
  bad(B, "a sign nobody knows", { ...batchFile, checks: [{ ...seen, signs: ["rust"] }] }, "checks[0].signs[0]"),
  beyond(B, "foam that grows", { ...batchFile, lather: [{ ...shaken, afterOneMinuteMm: 90 }] }, "lather[0].afterOneMinuteMm"),
  beyond(B, "a lot for no line", { ...batchFile, lots: [{ line: "moon", code: "M", grams: 1 }] }, "lots[0].line"),
];

const acid = { kind: "acid", molarMass: 192.12, pKas: [3.13, 4.76, 6.4], strengthPercent: 10 };
const T = "tensidrum-titration/1";
const titration = {
  format: T,
  batchGrams: 500,
  agent: acid,
  target: { low: 4.8, high: 5.4 },
  dropGrams: 0.05,
  counterAgent: { kind: "base", molarMass: 40, pKas: [], strengthPercent: 5 },
  knownBuffers: [{ mmolPerKg: 12, pKa: 4.2 }],
  readings: [{ doseGramsTotal: 0, counterGramsTotal: 0, otherGramsTotal: 0, ph: 7.1, phSigma: 0.03, sampleGrams: 2 }],
};
const thicken = {
  format: "tensidrum-thicken/1",
  batchGrams: 500,
  hiddenSaltPercent: 1.1,
  strengthPercent: 20,
  target: 4,
  jars: [{ saltPercent: 1.5, viscosity: 2 }],
  additions: [{ gramsTotal: 5, viscosity: 1.2 }],
};
const bead = {
  format: "tensidrum-bead-drop/1",
  beadDiameterMm: 3,
  beadDensity: 2.5,
  jarDiameterMm: 60,
  liquidDensity: 1.03,
  fallMm: 100,
  seconds: 12,
};
const grain = {
  format: "tensidrum-settle/1",
  diameterMicrometre: 300,
  particleDensity: 1.4,
  liquidDensity: 1.02,
  pascalSeconds: 3,
  yieldPascal: 0,
};
const micelles = {
  format: "tensidrum-micelles/1",
  totalMillimolar: 40,
  surfactants: [
    { charge: "anionic", cmcMillimolar: 1, moleFraction: 0.6 },
    { charge: "amphoteric", cmcMillimolar: 0.3, moleFraction: 0.4 },
  ],
};
const design = {
  format: "tensidrum-design/1",
  formula: washFile,
  against: "cost",
  wishes: {
    ...{ activePercent: { low: 8, high: 12 }, mostIrritation: 90, leastFlash: 5, leastStability: null, thickening: "salt", mostCost: 0.6 },
    ...{ mostSaltPercent: 2, count: { low: 2, high: 4 }, mustHave: ["cocamidopropyl-betaine"] },
  },
  ...{ mustNot: ["sles-2eo-28"], coldOnly: true, onlyShelf: false, mostBoxes: 10_000 },
  shelf: [{ material: "cocamidopropyl-betaine", grams: 400, price: 9.5, packGrams: 1000, assayPercent: 30.2 }],
};
const designWith = (changes: Changes) => ({ ...design, wishes: { ...design.wishes, ...changes } });

const unmix = {
  format: "tensidrum-unmix/1",
  ingredients: [{ name: "Aqua", min: 50 }, { name: "Glycerin", max: 10 }, { name: "Parfum" }],
  onePercentLineAfter: 1,
};
const curve = { format: "tensidrum-salt-curve/1", points: [{ saltPercent: 1, viscosity: 0.5 }], target: null };

const measured: readonly CorpusFile[] = [
  good(T, "a first reading", titration),
  good(T, "without drops or counter agent", { ...titration, dropGrams: null, counterAgent: null, knownBuffers: [] }),
  bad(T, "no reading", { ...titration, readings: [] }, "readings"),
  bad(T, "an agent that is neither", { ...titration, agent: { ...acid, kind: "salt" } }, "agent.kind"),
  bad(T, "a target outside pH", { ...titration, target: { low: 4, high: 15 } }, "target.high"),
  bad(T, "a solution of nothing", { ...titration, agent: { ...acid, strengthPercent: 0 } }, "agent.strengthPercent"),
  bad(T, "a drop of nothing", { ...titration, dropGrams: 0 }, "dropGrams"),
  beyond(T, "a target upside down", { ...titration, target: { low: 6, high: 5 } }, "target"),
  good("tensidrum-thicken/1", "jars and additions", thicken),
  good("tensidrum-thicken/1", "nothing measured yet", without(without(thicken, "jars"), "additions")),
  bad("tensidrum-thicken/1", "no thickness", { ...thicken, target: 0 }, "target"),
  bad(
    "tensidrum-thicken/1",
    "a thickness below nothing",
    { ...thicken, additions: [{ gramsTotal: 5, viscosity: -1 }] },
    "additions[0].viscosity",
  ),
  good("tensidrum-salt-curve/1", "one jar", curve),
  good("tensidrum-salt-curve/1", "no jar", { ...curve, points: [] }),
  bad("tensidrum-salt-curve/1", "a jar of text", { ...curve, points: [{ saltPercent: "1", viscosity: 1 }] }, "points[0].saltPercent"),
  good("tensidrum-bead-drop/1", "a glass bead", bead),
  bad("tensidrum-bead-drop/1", "no time", { ...bead, seconds: 0 }, "seconds"),
  bad("tensidrum-bead-drop/1", "no jar", without(bead, "jarDiameterMm"), "jarDiameterMm"),
  good("tensidrum-settle/1", "fruit stone in a gel", grain),
  bad("tensidrum-settle/1", "a negative yield stress", { ...grain, yieldPascal: -1 }, "yieldPascal"),
  good("tensidrum-recipe/1", "three lines", { format: "tensidrum-recipe/1", text: "20 g betaine\n5 g salt\nwater to 100 g" }),
  good("tensidrum-recipe/1", "nothing yet", { format: "tensidrum-recipe/1", text: "" }),
  bad("tensidrum-recipe/1", "no text", { format: "tensidrum-recipe/1" }, "text"),
  bad("tensidrum-recipe/1", "a number for text", { format: "tensidrum-recipe/1", text: 5 }, "text"),
  bad("tensidrum-recipe/1", "longer than a recipe", { format: "tensidrum-recipe/1", text: "a".repeat(20_001) }, "text"),
  good("tensidrum-find/1", "a word", { format: "tensidrum-find/1", query: "table salt" }),
  bad("tensidrum-find/1", "no query", { format: "tensidrum-find/1" }, "query"),
  bad("tensidrum-find/1", "a key nobody knows", { format: "tensidrum-find/1", query: "salt", limit: 3 }, "limit"),
  bad("tensidrum-settle/1", "text for a number", { ...grain, pascalSeconds: "3" }, "pascalSeconds"),
  good("tensidrum-micelles/1", "two surfactants", micelles),
  bad("tensidrum-micelles/1", "none", { ...micelles, surfactants: [] }, "surfactants"),
  bad(
    "tensidrum-micelles/1",
    "a share above one",
    { ...micelles, surfactants: [{ charge: "anionic", cmcMillimolar: 1, moleFraction: 2 }] },
    "surfactants[0].moleFraction",
  ),
  bad(
    "tensidrum-micelles/1",
    "a charge nobody knows",
    { ...micelles, surfactants: [{ charge: "odd", cmcMillimolar: 1, moleFraction: 1 }] },
    "surfactants[0].charge",
  ),
  beyond(
    "tensidrum-micelles/1",
    "shares that are all nothing",
    { ...micelles, surfactants: [{ charge: "anionic", cmcMillimolar: 1, moleFraction: 0 }] },
    "surfactants",
  ),
  beyond(
    "tensidrum-titration/1",
    "a dose that runs back",
    {
      ...titration,
      readings: [
        { doseGramsTotal: 2, ph: 7 },
        { doseGramsTotal: 1, ph: 6 },
      ],
    },
    "readings[1].doseGramsTotal",
  ),
  beyond(
    "tensidrum-titration/1",
    "samples larger than the batch",
    { ...titration, readings: [{ doseGramsTotal: 0, ph: 7, sampleGrams: titration.batchGrams }] },
    "readings",
  ),
  beyond(
    "tensidrum-titration/1",
    "a counter dose of nothing named",
    { ...titration, counterAgent: null, readings: [{ doseGramsTotal: 0, counterGramsTotal: 1, ph: 7 }] },
    "readings[0].counterGramsTotal",
  ),
  beyond(
    "tensidrum-thicken/1",
    "additions that run back",
    { ...thicken, additions: [...thicken.additions, { gramsTotal: 1, viscosity: 2 }] },
    "additions[1].gramsTotal",
  ),
  bad(
    "tensidrum-titration/1",
    "more readings than a batch has",
    { ...titration, readings: Array.from({ length: 41 }, () => titration.readings[0]) },
    "readings",
  ),
  good("tensidrum-design/1", "every wish", design),
  good("tensidrum-design/1", "a window alone", {
    format: design.format,
    formula: washFile,
    wishes: { activePercent: { low: 8, high: 12 } },
  }),
  bad("tensidrum-design/1", "no window", { ...design, wishes: {} }, "wishes.activePercent"),
  bad("tensidrum-design/1", "six at once", designWith({ count: { low: 2, high: 6 } }), "wishes.count.high"),
  bad("tensidrum-design/1", "foam beyond its scale", designWith({ leastFlash: 11 }), "wishes.leastFlash"),
  bad("tensidrum-design/1", "a way of thickening nobody knows", designWith({ thickening: "starch" }), "wishes.thickening"),
  beyond("tensidrum-design/1", "a window the wrong way round", designWith({ activePercent: { low: 12, high: 8 } }), "wishes.activePercent"),
  beyond("tensidrum-design/1", "a must-have nobody knows", designWith({ mustHave: ["moon-milk"] }), "wishes.mustHave[0]"),
  beyond(
    "tensidrum-design/1",
    "a shelf with what nobody knows",
    { ...design, shelf: [{ material: "moon-milk", grams: 5 }] },
    "shelf[0].material",
  ),
  good("tensidrum-unmix/1", "three names", unmix),
  good("tensidrum-unmix/1", "no line drawn", { ...unmix, onePercentLineAfter: null }),
  bad("tensidrum-unmix/1", "half a line", { ...unmix, onePercentLineAfter: 0.5 }, "onePercentLineAfter"),
  bad("tensidrum-unmix/1", "more than everything", { ...unmix, ingredients: [{ name: "Aqua", max: 120 }] }, "ingredients[0].max"),
  beyond("tensidrum-unmix/1", "a line behind the last name", { ...unmix, onePercentLineAfter: 3 }, "onePercentLineAfter"),
];

const L = "tensidrum-label/1";
const labelBox = {
  ...{ id: "name", field: "name", x: 2, y: 2, width: 38, height: 15, points: 18, leastPoints: 4.5, align: "centre" },
  ...{ isBold: true, text: "" },
};
const label = {
  ...{ format: L, name: "wrap", widthMm: 84, heightMm: 48, naming: "inci", months: 12 },
  ...{ openMonths: 6, market: "uk", netIn: "volume", boxes: [labelBox] },
};

const labels: readonly CorpusFile[] = [
  good(L, "a name on it", label),
  good(L, "nothing on it", { ...label, boxes: [] }),
  good(L, "a box beyond it", { ...label, boxes: [{ ...labelBox, x: 80 }] }),
  bad(L, "no size", without(label, "widthMm"), "widthMm"),
  bad(L, "wider than any label", { ...label, widthMm: 4_000 }, "widthMm"),
  bad(L, "a field nobody knows", { ...label, boxes: [{ ...labelBox, field: "price" }] }, "boxes[0].field"),
  good(L, "nothing said of its opening", { ...label, openMonths: null }),
  bad(L, "a place with no list of ours", { ...label, market: "moon" }, "market"),
  bad(L, "letters of no size", { ...label, boxes: [{ ...labelBox, points: 0 }] }, "boxes[0].points"),
  beyond(L, "a box that stands twice", { ...label, boxes: [labelBox, labelBox] }, "boxes[1].id"),
];

const K = "tensidrum-backup/1";
const backupHead = { format: K, madeAt: "2026-11-30T08:00:00.000Z", tables: 27, rows: { formulas: 2, lots: 14 } };
const backups: readonly CorpusFile[] = [
  good(K, "the head of a backup", backupHead),
  good(K, "of a maker who has nothing", { ...backupHead, rows: {} }),
  bad(K, "no moment", without(backupHead, "madeAt"), "madeAt"),
  bad(K, "fewer rows than none", { ...backupHead, rows: { lots: -1 } }, "rows.lots"),
  bad(K, "half a change of the tables", { ...backupHead, tables: 2.5 }, "tables"),
];

/** Good and bad files of every format. */
export const corpus: readonly CorpusFile[] = [...formulas, ...others, ...measured, ...batchFiles, ...labels, ...backups];
