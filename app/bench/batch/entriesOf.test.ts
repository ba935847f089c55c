import { describe, expect, it } from "vitest";
import { typedBenchForm, type BenchForm } from "./benchForm";
import { entriesOf } from "./entriesOf";
import { type Solutions } from "./solutionsOf";
import { gramsOfWeight } from "./gramsOfWeight";

const AT = "2026-11-26T10:00:00.000Z";
const NOTHING: Solutions = { agents: [], salts: [], funnel: null, densityGramsPerMl: 1.02 };
const form = (changes: Partial<BenchForm>): BenchForm => ({ ...typedBenchForm(new FormData()), id: "one", ...changes });

describe("a typed weight", () => {
  it.each([
    ["84", 84],
    ["84,05 g", 84.05],
    [" 84.05G ", 84.05],
    ["84 grams", 84],
    ["-4", -4],
  ])("%j is %d g", (text, value) => {
    expect(gramsOfWeight(text)).toEqual({ value });
  });

  it.each([
    ["3 oz", "not oz"],
    ["0.084 kg", "not kg"],
    ["84 ml", "not ml"],
    ["a lot", "in grams"],
    ["", "in grams"],
    ["1,234.5", "in grams"],
  ])("%j is answered in words", (text, words) => {
    expect(gramsOfWeight(text)).toMatchObject({ problem: expect.stringContaining(words) as string });
  });
});

describe("the entries of a form", () => {
  it("a weight is marked by what it was read off, a typed one by nothing", () => {
    const weigh = form({ intent: "weigh", step: "s", line: "l", grams: "12.5" });
    const typed = { id: "one", at: AT, kind: "weighed", step: "s", line: "l", grams: 12.5 };
    expect(entriesOf(weigh, AT, NOTHING)).toEqual({ entries: [typed] });
    expect(entriesOf({ ...weigh, readOff: "simulated scale" }, AT, NOTHING)).toEqual({
      entries: [{ ...typed, readOff: "simulated scale" }],
    });
  });

  it("a beaker begun again takes back every entry of it", () => {
    const made = entriesOf(form({ intent: "restart", entry: "c b a" }), AT, NOTHING);
    expect("entries" in made && made.entries.map((entry) => (entry.kind === "taken-back" ? entry.entry : ""))).toEqual(["c", "b", "a"]);
  });

  it("a filling: its plan as the page computed it, one container with its net mass, its trial, and what was lost", () => {
    const filling = [{ id: "r", container: null, name: "Pump", type: "pump", use: "use", count: 2, grams: 103, tareGrams: null }];
    const density = { gramsPerMl: 1.03, source: "estimate" };
    const made = (changes: Partial<BenchForm>) => entriesOf(form(changes), AT, NOTHING);
    expect(made({ intent: "plan-filling", filling: JSON.stringify({ filling, density }) })).toEqual({
      entries: [{ id: "one", at: AT, kind: "fill-planned", filling, density }],
    });
    expect(made({ intent: "plan-filling", filling: "5 bottles" })).toMatchObject({
      problem: expect.stringContaining("Plan it anew") as string,
    });
    expect(made({ intent: "fill-one", row: "r", number: "2", grams: "103,2 g", readOff: "scale" })).toMatchObject({
      entries: [{ kind: "container-filled", row: "r", number: 2, grams: 103.2, readOff: "scale" }],
    });
    expect(made({ intent: "fill-one", row: "r", number: "2", grams: "full" })).toHaveProperty("problem");
    expect(made({ intent: "try-container", row: "r", works: "no", text: "froths" })).toMatchObject({
      entries: [{ works: false, text: "froths" }],
    });
    expect(made({ intent: "check-filling", check: "dry" })).toHaveProperty("problem");
    expect(made({ intent: "lose-filling", grams: "3", text: "spilt" })).toMatchObject({ entries: [{ kind: "fill-lost", grams: 3 }] });
  });

  it("closing early skips what was said, then ends", () => {
    const made = entriesOf(form({ intent: "finish", grams: "480", skips: { rest: "filled at once" } }), AT, NOTHING);
    expect("entries" in made && made.entries.map(({ kind }) => kind)).toEqual(["skipped", "finished"]);
    expect(entriesOf(form({ intent: "finish", grams: "much" }), AT, NOTHING)).toMatchObject({
      problem: "Weigh the yield and give the grams.",
    });
  });

  it("a clock has minutes, and a name when none was given", () => {
    expect(entriesOf(form({ intent: "timer", minutes: "5 min" }), AT, NOTHING)).toMatchObject({ entries: [{ minutes: 5, text: "clock" }] });
    expect(entriesOf(form({ intent: "timer", minutes: "" }), AT, NOTHING)).toMatchObject({
      problem: expect.stringContaining("minutes") as string,
    });
  });

  it("a reading says how it was read and what it took; a dose says of what; a calibration has two buffers", () => {
    const citric = { name: "citric acid 20 %", line: null, kind: "acid", molarMass: 192.12, pKas: [3.13], strengthPercent: 20 } as const;
    const read = form({ intent: "read-ph", step: "ph", ph: "5,2", way: "strip", sample: "0.2 g" });
    expect(entriesOf(read, AT, NOTHING)).toMatchObject({ entries: [{ kind: "ph-read", ph: 5.2, way: "strip", sampleGrams: 0.2 }] });
    expect(entriesOf({ ...read, ph: "sour" }, AT, NOTHING)).toMatchObject({ problem: expect.stringContaining("as 5.2") as string });
    expect(entriesOf({ ...read, sample: "2 oz" }, AT, NOTHING)).toMatchObject({ problem: expect.stringContaining("not oz") as string });
    const dose = form({ intent: "dose", step: "ph", grams: "1.3", agent: "citric acid 20 %" });
    expect(entriesOf(dose, AT, { ...NOTHING, agents: [{ ...citric, dropGrams: 0.05, leftGrams: null }] })).toEqual({
      entries: [{ id: "one", at: AT, kind: "dosed", step: "ph", agent: citric, grams: 1.3 }],
    });
    expect(entriesOf(dose, AT, NOTHING)).toMatchObject({ problem: "Choose what was dosed." });
    const meter = form({ intent: "calibrate", buffers: ["4", "7"], shown: ["4.1", "6.95"] });
    expect(entriesOf(meter, AT, NOTHING)).toMatchObject({
      entries: [
        {
          buffers: [
            { bufferPh: 4, readingPh: 4.1 },
            { bufferPh: 7, readingPh: 6.95 },
          ],
        },
      ],
    });
    expect(entriesOf({ ...meter, shown: ["4.1"] }, AT, NOTHING)).toMatchObject({
      problem: expect.stringContaining("both buffers") as string,
    });
    expect(entriesOf({ ...meter, shown: ["4.1", "15"] }, AT, NOTHING)).toMatchObject({
      problem: expect.stringContaining("0 to 14") as string,
    });
  });

  it("a thickness is a number, a word, or seconds that stand for themselves without a funnel that is known", () => {
    const read = form({ intent: "read-thickness", step: "salt", viscosity: "41", by: "Pa·s" });
    const made = (changes: Partial<BenchForm>, funnel = NOTHING.funnel as Solutions["funnel"]) =>
      entriesOf({ ...read, ...changes }, AT, { ...NOTHING, funnel });
    expect(made({})).toMatchObject({ entries: [{ kind: "thickness-read", viscosity: 41, unit: "Pa·s", said: "" }] });
    expect(made({ by: "word", viscosity: "", word: "syrup" })).toMatchObject({
      entries: [{ viscosity: 0.4, unit: "Pa·s", said: "syrup" }],
    });
    expect(made({ by: "word", word: "" })).toMatchObject({ problem: "Choose a word for it." });
    expect(made({ viscosity: "thick" })).toMatchObject({ problem: expect.stringContaining("a number") as string });
    expect(made({ by: "funnel" })).toMatchObject({ entries: [{ viscosity: 41, unit: "s", said: "" }] });
    // 1.02 × (0.05 × 41 − 0.02 ÷ 41) = 2.09
    expect(made({ by: "funnel" }, { k: 0.05, c: 0.02 })).toMatchObject({
      entries: [{ viscosity: 2.09, unit: "Pa·s", said: "41 s through the flow cup" }],
    });
    expect(made({ by: "funnel", viscosity: "0.4" }, { k: 0.05, c: 0.02 })).toMatchObject({
      problem: expect.stringContaining("too fast") as string,
    });
    expect(made({ readOff: "cup" }, { k: 0.05, c: 0.02 })).toMatchObject({ entries: [{ viscosity: 41, unit: "Pa·s", readOff: "cup" }] });
    expect(made({ by: "funnel", readOff: "simulated cup" })).toMatchObject({
      entries: [{ viscosity: 2.09, unit: "Pa·s", readOff: "simulated cup" }],
    });
  });

  it("a bead of 3 mm and 2.5 g/mL that sinks 100 mm in a 40 mm jar in 20 s tells 1.22 Pa·s; a large one is not valid", () => {
    const bead = { diameter: "3", density: "2.5", jar: "40", fall: "100", seconds: "20" };
    const read = form({ intent: "read-thickness", step: "salt", by: "bead", bead });
    expect(entriesOf(read, AT, { ...NOTHING, densityGramsPerMl: 1.03 })).toMatchObject({
      entries: [{ viscosity: 1.22, unit: "Pa·s", said: "a bead of 3 mm fell 100 mm in 20 s" }],
    });
    expect(entriesOf({ ...read, bead: { ...bead, diameter: "20" } }, AT, NOTHING)).toMatchObject({
      problem: expect.stringContaining("smaller bead") as string,
    });
    expect(entriesOf({ ...read, bead: { ...bead, fall: "" } }, AT, NOTHING)).toMatchObject({
      problem: expect.stringContaining("how far it fell") as string,
    });
  });

  it("salt is one of those there are", () => {
    const brine = { name: "brine 20 %", line: null, strengthPercent: 20 };
    const salt = form({ intent: "salt", step: "salt", grams: "4.7", agent: "brine 20 %" });
    expect(entriesOf(salt, AT, { ...NOTHING, salts: [brine] })).toMatchObject({ entries: [{ kind: "salted", salt: brine, grams: 4.7 }] });
    expect(entriesOf(salt, AT, NOTHING)).toMatchObject({ problem: "Choose what was added." });
  });

  it("a sample is taken, dosed with one part in ten, read, and poured back", () => {
    const acid = {
      name: "citric acid 20 %",
      line: "c",
      kind: "acid",
      molarMass: 192.12,
      pKas: [3.13],
      strengthPercent: 20,
      dropGrams: 0.05,
      leftGrams: null,
    } as const;
    const step = "ph";
    const made = (typed: Parameters<typeof form>[0]) => entriesOf(form({ step, ...typed }), AT, { ...NOTHING, agents: [acid] });
    expect(made({ intent: "take-sample", grams: "50" })).toMatchObject({ entries: [{ kind: "sample-taken", step, grams: 50 }] });
    expect(made({ intent: "dose", vessel: "sample", agent: acid.name, grams: "1.5" })).toMatchObject({
      entries: [{ kind: "sample-dosed", grams: 1.5, agent: { name: "citric acid 20 %, one part in ten", strengthPercent: 2 } }],
    });
    expect(made({ intent: "read-ph", vessel: "sample", ph: "5.4", sample: "2" })).toMatchObject({
      entries: [{ kind: "sample-read", ph: 5.4, sampleGrams: 2 }],
    });
    expect(made({ intent: "pour-back", grams: "49.5", readOff: "scale" })).toMatchObject({
      entries: [{ kind: "sample-back", grams: 49.5, readOff: "scale" }],
    });
    expect(made({ intent: "lose-sample", text: "spilt" })).toMatchObject({ entries: [{ kind: "sample-lost", reason: "spilt" }] });
    expect(made({ intent: "take-sample", grams: "some" })).toHaveProperty("problem");
  });

  it("a temperature stands with the reading, and a reason with what was asked about", () => {
    const read = form({ intent: "read-ph", step: "ph", ph: "5.2", temperature: "22 °C", because: "read twice" });
    expect(entriesOf(read, AT, NOTHING)).toMatchObject({ entries: [{ ph: 5.2, temperatureC: 22, because: "read twice" }] });
    expect(entriesOf({ ...read, temperature: "" }, AT, NOTHING)).not.toHaveProperty("entries.0.temperatureC");
    expect(entriesOf({ ...read, temperature: "warm" }, AT, NOTHING)).toMatchObject({ problem: expect.stringContaining("°C") as string });
  });

  it("drops are counted and weighed, a late thickener is folded in on its line", () => {
    const drops = form({ intent: "drops", agent: "citric acid 20 %", drops: "20", grams: "0.94", readOff: "scale" });
    expect(entriesOf(drops, AT, NOTHING)).toMatchObject({ entries: [{ kind: "drops-weighed", drops: 20, grams: 0.94, readOff: "scale" }] });
    expect(entriesOf({ ...drops, drops: "some" }, AT, NOTHING)).toMatchObject({ problem: expect.stringContaining("how many") as string });
    const fold = form({ intent: "thicken", step: "late-thickener", line: "p", grams: "1.2" });
    expect(entriesOf(fold, AT, NOTHING)).toEqual({
      entries: [{ id: "one", at: AT, kind: "thickened", step: "late-thickener", line: "p", grams: 1.2 }],
    });
  });
});
