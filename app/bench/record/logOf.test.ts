import { referenceLibrary } from "@tensidrum/core/reference";
import { emptyShelf, stepsOf, planBatch, entryKinds, type BatchEntry } from "@tensidrum/core/process";
import type { Formula } from "@tensidrum/core/formula";
import { describe, expect, it } from "vitest";
import { batchView } from "../batch/batchView";
import type { SentBatch } from "../batch/sentBatch";
import { logOf } from "./logOf";

const materials = new Map(referenceLibrary.map((material) => [material.slug, material]));
const formula = {
  format: "tensidrum-formula/1",
  name: "Prop Room hand wash",
  profile: "hand-wash",
  batchGrams: 500,
  scales: [{ name: "bench", readabilityGrams: 0.1, capacityGrams: 3_000 }],
  phases: [{ id: "A" }],
  lines: [
    { id: "w", phase: "A", material: "water-distilled", qs: true },
    { id: "b", phase: "A", material: "cocamidopropyl-betaine", percent: 20 },
  ],
} as unknown as Formula;
const plan = planBatch(formula, 500, materials);
const { steps, vessels } = stepsOf(formula, materials);
const sent: SentBatch = {
  id: "x",
  formulaId: null,
  code: "PR-1",
  formula,
  steps,
  vessels,
  lots: [],
  entries: [],
  position: 0,
  earlier: null,
  saltSamples: [],
  funnel: null,
  containers: [],
  shelf: emptyShelf,
  started: "",
  now: "",
};
const at = "2026-11-26T10:00:00.000Z";
const weighing = steps.find(({ lines }) => lines.includes("b"))?.id ?? "";

const one: readonly BatchEntry[] = [
  { id: "1", at, kind: "tared", vessel: "main", grams: 212.5 },
  { id: "2", at, kind: "done", step: "prepare" },
  { id: "3", at, kind: "weighed", step: weighing, line: "b", grams: 110, readOff: "simulated scale" },
  { id: "4", at, kind: "accepted", line: "b" },
  { id: "5", at, kind: "corrected", line: "b" },
  { id: "6", at, kind: "measured", step: "prepare", grams: 620 },
  { id: "6z", at, kind: "topped-up", step: "prepare", grams: 12.3 },
  { id: "6y", at, kind: "filled", step: "fill", count: 2, container: "pump bottle 250 mL" },
  { id: "6x", at, kind: "fill-planned", filling: [{ id: "r", container: null, name: "Pump bottle", type: "pump", use: "use", count: 5, grams: 103.1, tareGrams: null }], density: { gramsPerMl: 1.031, source: "measured" } }, // prettier-ignore
  { id: "6w", at, kind: "fill-checked", check: "clean" },
  { id: "6v", at, kind: "container-tried", row: "r", works: false, text: "froths the gel" },
  { id: "6u", at, kind: "container-filled", row: "r", number: 4, grams: 103.2 },
  { id: "6t", at, kind: "fill-lost", grams: 3.5, text: "left in the funnel" },
  { id: "6a", at, kind: "calibrated", buffers: [{ bufferPh: 4, readingPh: 4.1 }, { bufferPh: 7, readingPh: 6.95 }] }, // prettier-ignore
  { id: "6b", at, kind: "ph-read", step: "ph", ph: 6.4, way: "dilution", sampleGrams: 2 },
  { id: "6b1", at, kind: "ph-target", step: "ph", low: 5, high: 5.4, because: "a trial" },
  { id: "6b2", at, kind: "temperature-read", step: "prepare", temperatureC: 72 },
  { id: "6b3", at, kind: "looked", step: null, when: "before", thickness: "pump gel", clarity: "clear", words: ["smooth"], text: "" },
  { id: "6c", at, kind: "dosed", step: "ph", agent: { name: "citric acid 20 %", line: null, kind: "acid", molarMass: 192.12, pKas: [], strengthPercent: 20 }, grams: 1.3 }, // prettier-ignore
  { id: "6c1", at, kind: "sample-taken", step: "ph", grams: 50 },
  { id: "6c2", at, kind: "sample-dosed", step: "ph", agent: { name: "citric acid 20 %, one part in ten", line: null, kind: "acid", molarMass: 192.12, pKas: [], strengthPercent: 2 }, grams: 1.5 }, // prettier-ignore
  { id: "6c3", at, kind: "sample-read", step: "ph", ph: 5.1, way: "dilution", sampleGrams: 2 },
  { id: "6c4", at, kind: "sample-back", step: "ph", grams: 49.5 },
  { id: "6c5", at, kind: "sample-lost", step: "ph", reason: "spilt" },
  { id: "6d", at, kind: "thickness-read", step: "salt", viscosity: 41, unit: "s", said: "" },
  { id: "6e", at, kind: "salted", step: "salt", salt: { name: "brine 20 %", line: null, strengthPercent: 20 }, grams: 4.7 },
  { id: "6f", at, kind: "drops-weighed", agent: "citric acid 20 %", drops: 20, grams: 0.94 },
  { id: "6g", at, kind: "thickened", step: "late-thickener", line: "b", grams: 1.2, because: "a trial" },
  { id: "7", at, kind: "skipped", step: "rest", reason: "filled at once" },
  { id: "8", at, kind: "noted", step: null, text: "good foam" },
  { id: "9", at, kind: "photographed", step: null, photo: "p" },
  { id: "10", at, kind: "timer", text: "bath", minutes: 12 },
  { id: "11", at, kind: "wait-ended", wait: "10" },
  { id: "12", at, kind: "paused" },
  { id: "13", at, kind: "resumed" },
  { id: "14", at, kind: "taken-back", entry: "8" },
  { id: "15", at, kind: "finished", yieldGrams: 480 },
  { id: "23", at, kind: "discarded" },
];

describe("what happened, in words", () => {
  const log = logOf(batchView(sent, plan, one), one);

  it("every kind of entry has its sentence", () => {
    expect(new Set(one.map(({ kind }) => kind))).toEqual(new Set(entryKinds));
    expect(log.map(({ what }) => what)).toEqual([
      "Tare weight of the main beaker: 212.5 g",
      "Prepare the bench: done",
      "Cocamidopropyl betaine: 110.0 g, off the simulated scale",
      "Cocamidopropyl betaine: kept as weighed",
      "Cocamidopropyl betaine: the others follow it",
      "Prepare the bench: 620.0 g",
      "Prepare the bench: 12.3 g of water put back",
      "Filled: 2 × pump bottle 250 mL",
      "Filling planned: 5 × Pump bottle",
      "Containers are clean and dry",
      "A container was tried: froths the gel",
      "Pump bottle 4 filled: 103.2 g",
      "3.5 g lost while filling: left in the funnel",
      "Meter: 4 read as 4.1, 7 as 6.95. Slope 95.0 %: sound.",
      "pH 6.40, in a 10 % dilution, 2.0 g taken",
      "pH wanted: 5.00 to 5.40; reason: a trial",
      "Prepare the bench: 72.0 °C",
      "Before: pump gel, clear, smooth",
      "1.30 g citric acid 20 % dosed",
      "Sample of 50.0 g taken aside",
      "Sample: 1.50 g citric acid 20 %, one part in ten dosed",
      "Sample: pH 5.10, in a 10 % dilution, 2.0 g of it used",
      "Sample: 49.5 g poured back",
      "Sample not poured back: spilt",
      "Thickness 41.00 s",
      "4.70 g brine 20 % added",
      "20 drops of citric acid 20 %: 0.94 g",
      "1.20 g Cocamidopropyl betaine folded in; reason: a trial",
      "Let it rest, covered: skipped, reason: filled at once",
      "Note: good foam",
      "Photo",
      "Clock of 12 min: bath",
      "Clock ended: bath",
      "Paused",
      "Gone on",
      "Taken back: Note: good foam",
      "Closed: yield 480.0 g",
      "Discarded before anything was weighed",
    ]);
  });

  it("what was taken back stays in it and is marked, what was simulated too", () => {
    expect(log.filter(({ isBack }) => isBack).map(({ id }) => id)).toEqual(["8"]);
    expect(log.filter(({ isSimulated }) => isSimulated).map(({ id }) => id)).toEqual(["3"]);
  });
});

describe("a batch on its page", () => {
  it("adds up: what is in the beakers and what is to come are the batch", () => {
    const view = batchView(sent, plan, one.slice(0, 4));
    expect(view.account.inGrams).toBe(110);
    expect(view.toComeGrams).toBe(400);
    expect(view.lines.find(({ line }) => line === "b")).toMatchObject({
      name: "Cocamidopropyl betaine",
      decimals: 1,
      readOff: "simulated scale",
    });
    expect(view.last?.id).toBe("4");
    expect(view.batch).toBe("500 g");
  });

  it("with nothing entered nothing can be taken back", () => {
    expect(batchView(sent, plan, []).last).toBeNull();
    expect(batchView(sent, plan, one.slice(0, 1)).last).toBeNull();
  });
});
