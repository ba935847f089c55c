import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { substitutesFor } from "./substitutes.ts";

const wash = sheetOf([
  ["water-distilled", "q.s."],
  ["aos-40", 15],
  ["cocamidopropyl-betaine", 14],
  ["glycerin", 2],
]);

describe("what could stand in", () => {
  const found = substitutesFor(wash, "cocamidopropyl-betaine", library);

  it("the least change first: another betaine before any anionic", () => {
    expect(library.get(found[0]?.material ?? "")?.charge).toBe("amphoteric");
    const scores = found.map(({ score }) => score);
    expect(scores).toEqual([...scores].sort((a, b) => a - b));
  });

  it("all bring the same active matter, and none is the material itself", () => {
    for (const { changes, material } of found) {
      expect(material).not.toBe("cocamidopropyl-betaine");
      const active = changes.find(({ reading }) => reading === "activeMatterPercent");
      if (active !== undefined) expect(active.after).toBeCloseTo(active.before ?? 0, 6);
    }
  });

  it("one that would clash comes late", () => {
    const clash = found.findIndex(({ findingsNew }) => findingsNew.includes("CHARGE_CLASH"));
    expect(clash === -1 || clash > 3).toBe(true);
  });

  it("is asked of cleansers only", () => {
    expect(() => substitutesFor(wash, "glycerin", library)).toThrow("Only a cleanser");
    expect(() => substitutesFor(wash, "moon-dust", library)).toThrow("Only a cleanser");
  });
});
