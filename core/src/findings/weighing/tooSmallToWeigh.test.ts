import { describe, expect, it } from "vitest";
import { assess } from "../../assessment/assess.ts";
import type { Formula } from "../../formula/types.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { read, water } from "../testing/findings.ts";

describe("too small to weigh", () => {
  const small = (percent: number, changes: Partial<Formula> = {}) =>
    read([water, ["coco-glucoside", 20], ["panthenol-75", percent]], changes).findings.filter(({ code }) => code === "TOO_SMALL_TO_WEIGH");

  it("0.03 g in 600 g: a 10 % solution weighs 0.30 g, or 4000 g of wash", () => {
    const [finding] = small(0.005);
    expect(finding).toMatchObject({ severity: "consider", lines: ["panthenol-75"] });
    expect(finding?.what).toContain("0.03 g");
    expect(finding?.cure).toContain("10 % solution and weigh 0.30 g");
    expect(finding?.cure).toContain("4000 g");
  });

  it("0.2 g is the last that passes on a 0.01 g scale: 0.0334 % of 600 g passes, 0.0333 % does not", () => {
    expect(small(0.0334)).toEqual([]);
    expect(small(0.0333)).toHaveLength(1);
  });

  it("is to fix where no solution is weak enough", () => {
    expect(small(0.00001)[0]?.severity).toBe("fix");
  });

  it("is to fix where the water line has no room for the solution's water", () => {
    const full = read([water, ["coco-glucoside", 20], ["glycerin", 79.99], ["panthenol-75", 0.005]]);
    expect(full.findings.find(({ code }) => code === "TOO_SMALL_TO_WEIGH")?.severity).toBe("fix");
  });

  it("without scales it cannot be judged, and says so", () => {
    const read = assess(sheetOf([water, ["panthenol-75", 0.005]], { scales: [] }), library);
    expect(read.findings.map(({ code }) => code)).not.toContain("TOO_SMALL_TO_WEIGH");
    expect(read.notJudged.filter(({ what }) => what === "TOO_SMALL_TO_WEIGH")).toEqual([
      { what: "TOO_SMALL_TO_WEIGH", lacks: "scale", missing: "a scale with its readability", lines: [] },
    ]);
  });
});
