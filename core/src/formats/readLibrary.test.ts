import { describe, expect, it } from "vitest";
import { Refusal } from "../quantities/refusal.ts";
import { referenceLibrary } from "../library/referenceLibrary.ts";
import { validatedLibrary } from "./readLibrary.ts";
import { LONGEST_FILE, readJson } from "./readJson.ts";

function refusal(read: () => unknown): Refusal {
  try {
    read();
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
  return expect.fail("it should have been refused");
}

/** The library with one material spoilt. */
const spoilt = (slug: string, changes: object) =>
  referenceLibrary.map((material) => (material.slug === slug ? { ...material, ...changes } : material));

describe("the reference library as it is loaded", () => {
  it("is without a fault", () => {
    expect(validatedLibrary(referenceLibrary)).toHaveLength(referenceLibrary.length);
  });

  const betaine = "cocamidopropyl-betaine";
  it.each([
    [`${betaine}.saltPercent`, spoilt(betaine, { saltPercent: "5" })],
    [`${betaine}.active.low`, spoilt(betaine, { active: { typical: 30, high: 32 } })],
    [`${betaine}.active`, spoilt(betaine, { active: { low: 31, typical: 30, high: 32 } })],
    [`${betaine}.inci`, spoilt(betaine, { inci: [{ name: "Aqua", percent: 99.9 }] })],
    [`${betaine}.zein`, spoilt(betaine, { zein: undefined })],
    [`${betaine}.flavour`, spoilt(betaine, { flavour: "none" })],
    [`${betaine}.phStable`, spoilt(betaine, { phStable: { low: 9, high: 3 } })],
    ["mild-anionic-preblend.parts[0].material", spoilt("mild-anionic-preblend", { parts: [{ material: "moon-dust", percent: 100 }] })],
    ["mild-anionic-preblend.parts", spoilt("mild-anionic-preblend", { parts: [{ material: "mild-anionic-preblend", percent: 100 }] })],
  ])("names material and field: %s", (path, materials) => {
    const { faults, message } = refusal(() => validatedLibrary(materials));
    expect(faults.map((fault) => fault.path)).toContain(path);
    expect(message).toContain(path.split(".")[0]);
  });

  it("names a slug that stands twice", () => {
    const twice = [...referenceLibrary, referenceLibrary[0]];
    expect(refusal(() => validatedLibrary(twice)).message).toContain('"water-distilled" stands twice');
  });
});

describe("JSON text", () => {
  it("is read", () => {
    expect(readJson('{"a":[1,2.5]}')).toEqual({ a: [1, 2.5] });
  });

  it.each([
    ['{"lines":[{"percent": NaN}]}', "lines[0].percent"],
    ['{"measured":{"ph": Infinity}}', "measured.ph"],
    ['{"batchGrams": 600,\n "lines": [ {"id": "a", "percent": .5} ]}', "lines[0].percent"],
  ])("that is none says where: %s", (text, path) => {
    const { message, faults } = refusal(() => readJson(text));
    expect(message).toContain(path);
    expect(faults[0]?.path).toBe(path);
  });

  it("refuses what is empty or endless", () => {
    expect(refusal(() => readJson("  ")).message).toContain("empty");
    expect(refusal(() => readJson(" ".repeat(LONGEST_FILE + 1))).message).toContain("million characters");
    expect(refusal(() => readJson("[".repeat(200_000))).kind).toBe("not-valid");
  });
});
