import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { differenceOf } from "./difference.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import { baseHashOf } from "../../surfactants/baseHash.ts";
import { cleansersOf } from "../../surfactants/cleansers.ts";

const libraries = { before: library, after: library };
const before = sheetOf([
  ["water-distilled", "q.s."],
  ["aos-40", 18],
  ["cocamidopropyl-betaine", 12],
  ["glycerin", 2],
]);
const after = sheetOf(
  [
    ["water-distilled", "q.s."],
    ["aos-40", 15],
    ["cocamidopropyl-betaine", 12],
    ["panthenol-75", 0.8],
  ],
  {
    school: "sulfate-free",
  },
);

describe("what differs between two versions", () => {
  const difference = differenceOf(before, after, libraries);

  it("only lines that differ: the sulfonate, the water that gave way, one that came and one that went", () => {
    expect(difference.lines.map(({ id, before: from, after: to }) => [id, from?.percent ?? null, to?.percent ?? null])).toEqual([
      ["water-distilled", 68, 72.2],
      ["aos-40", 18, 15],
      ["panthenol-75", null, 0.8],
      ["glycerin", 2, null],
    ]);
  });

  it("and what it did: active matter from 18 × 0.39 + 12 × 0.30 = 10.62 to 9.45 %", () => {
    const active = difference.readings.find(({ reading }) => reading === "activeMatterPercent");
    expect(active?.before).toBeCloseTo(10.62, 9);
    expect(active?.after).toBeCloseTo(9.45, 9);
    expect(difference.head).toEqual([{ what: "Formulation style", before: "none", after: "sulfate-free" }]);
  });

  it("findings come and go by what they say", () => {
    const less = differenceOf(
      before,
      sheetOf([
        ["water-distilled", "q.s."],
        ["aos-40", 5],
      ]),
      libraries,
    );
    expect(less.findingsNew.map(({ code }) => code)).toContain("ACTIVE_LOW");
  });

  it("salt is measured by the peak of the maker's own samples: 2.2 % is too much where the base peaks at 2 %", () => {
    const salted = (percent: number) =>
      sheetOf([
        ["water-distilled", "q.s."],
        ["sles-2eo-28", 40],
        ["cocamidopropyl-betaine", 10],
        ["sodium-chloride", percent],
      ]);
    const [plain, more] = [salted(0.2), salted(1.9)];
    const base = baseHashOf(cleansersOf(resolveLines(more, libraries.after).sheet)) ?? "";
    const codes = (saltPeaks: Readonly<Record<string, number>>) =>
      differenceOf(plain, more, libraries, { saltPeaks }).findingsNew.map(({ code }) => code);
    expect(codes({ [base]: 2 })).toContain("SALT_PAST_PEAK");
    expect(codes({})).not.toContain("SALT_PAST_PEAK");
  });

  it("nothing, when nothing differs", () => {
    expect(differenceOf(before, before, libraries)).toEqual({ head: [], lines: [], readings: [], findingsNew: [], findingsGone: [] });
  });
});
