import { describe, expect, it } from "vitest";
import type { BatchEntry } from "../batch/entries.ts";
import { waitsOf } from "../batch/waits.ts";
import { questionOf, questionOfHaste } from "./questions.ts";

describe("what is asked first", () => {
  const at = { last: 7.4, dosedKind: "acid", advisedGrams: 0.5 } as const;
  const ph = (value: number, changes = {}) => questionOf({ kind: "ph-read", ph: value }, { ...at, ...changes });

  it("a reading 2 pH or more from the last; 1.9 is not asked", () => {
    expect(ph(5.4)).toContain("2.0 away from the last reading, 7.4");
    expect(ph(5.5)).toBeNull();
    expect(ph(2, { last: null })).toBeNull();
  });

  it("a reading against the direction of the dose, above what a meter trembles", () => {
    expect(ph(7.51)).toContain("the wrong way");
    expect(ph(7.5)).toBeNull();
    expect(ph(7.2, { dosedKind: "base" })).toContain("the wrong way");
    expect(ph(7.9, { dosedKind: null })).toBeNull();
  });

  it("a sample below 20 or above 25 °C, whatever it reads", () => {
    const warm = (temperatureC: number) => questionOf({ kind: "ph-read", ph: 7.2, temperatureC }, { ...at, last: null });
    expect(warm(25)).toBeNull();
    expect(warm(20)).toBeNull();
    expect(warm(25.5)).toContain("25.5 °C");
    expect(warm(19)).toContain("20 to 25 °C");
  });

  it("a dose of more than ten times the advice", () => {
    expect(questionOf({ kind: "dosed", grams: 5 }, at)).toBeNull();
    expect(questionOf({ kind: "dosed", grams: 5.1 }, at)).toContain("ten times");
    expect(questionOf({ kind: "dosed", grams: 50 }, { ...at, advisedGrams: null })).toBeNull();
  });
});

describe("a reading in a hurry", () => {
  const dose = {
    id: "d",
    at: "2026-06-12T10:00:00.000Z",
    kind: "dosed",
    step: "ph",
    agent: { name: "citric acid 20 %", line: null, kind: "acid", molarMass: 192.12, pKas: [3.13, 4.76, 6.4], strengthPercent: 20 },
    grams: 0.7,
  } as const satisfies BatchEntry;
  const salt = {
    id: "s",
    at: "2026-06-12T10:10:00.000Z",
    kind: "salted",
    step: "salt",
    salt: { name: "sodium chloride", line: null, strengthPercent: 100 },
    grams: 4,
  } as const satisfies BatchEntry;
  const ended = { id: "e", at: "2026-06-12T10:11:00.000Z", kind: "wait-ended", wait: "s" } as const satisfies BatchEntry;
  const asked = (kind: "ph-read" | "thickness-read", standing: readonly BatchEntry[], time: string) =>
    questionOfHaste(kind, { standing, waits: waitsOf([], standing) }, `2026-06-12T${time}.000Z`);

  it("within two minutes of a dose, with what is left of them; not once they are over", () => {
    expect(asked("ph-read", [dose], "10:01:15")).toContain("After 0.70 g citric acid 20 %: it rests for another 0:45");
    expect(asked("ph-read", [dose], "10:02:00")).toBeNull();
    expect(asked("ph-read", [], "10:00:00")).toBeNull();
  });

  it("within eight minutes of salt, which a pH need not wait for", () => {
    expect(asked("thickness-read", [dose, salt], "10:12:00")).toContain("another 6:00");
    expect(asked("thickness-read", [dose, salt], "10:18:00")).toBeNull();
    expect(asked("ph-read", [dose, salt], "10:12:00")).toBeNull();
    expect(asked("thickness-read", [dose], "10:00:30")).toBeNull();
  });

  it("not once the maker has ended the clock", () => {
    expect(asked("thickness-read", [salt, ended], "10:12:00")).toBeNull();
  });
});

describe("what was predicted", () => {
  const at = { last: 7.4, dosedKind: "acid", advisedGrams: null } as const;

  it("a reading far from the last is not asked about where the dose was said to bring it; outside it is", () => {
    const predicted = { low: 4.9, high: 5.3 };
    const ph = (value: number) => questionOf({ kind: "ph-read", ph: value }, { ...at, predicted });
    expect(ph(5)).toBeNull();
    expect(ph(5.39)).toBeNull();
    expect(ph(4.7)).toContain("away from the last reading");
  });
});
