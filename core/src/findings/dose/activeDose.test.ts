import { describe, expect, it } from "vitest";
import type { PlainMaterial } from "../../library/material.ts";
import { materialOf } from "../../testing/exampleSheet.ts";
import { codesOf, found, water } from "../testing/findings.ts";

const plainOf = (slug: string): PlainMaterial => materialOf(slug) as PlainMaterial;

describe("the dose of an active", () => {
  // Niacinamide of 99.5 %, usually 0.5 to 5 %: 0.4975 to 4.975 % of the substance.
  it("5 % passes and 5.1 % does not, and what is over is told as the substance: 5.0745 of 4.975 %", () => {
    expect(codesOf([water, ["niacinamide", 5]])).not.toContain("ACTIVE_DOSE");
    const [finding] = found("ACTIVE_DOSE", [water, ["niacinamide", 5.1]]);
    expect(finding).toMatchObject({ severity: "fix", lines: ["niacinamide"] });
    expect((finding?.facts as { percent: number }).percent).toBeCloseTo(5.0745, 9);
  });

  it("0.5 % passes, 0.4 % is to consider: it hardly does anything", () => {
    expect(codesOf([water, ["niacinamide", 0.5]])).not.toContain("ACTIVE_DOSE");
    expect(found("ACTIVE_DOSE", [water, ["niacinamide", 0.4]])[0]?.severity).toBe("consider");
  });

  it("two lines of one substance are reckoned together, a half-strong one by half: 3 + 5 × 0.4975 are 5.4725 %", () => {
    const half = {
      ...plainOf("niacinamide"),
      slug: "niacinamide-half",
      inci: [
        { name: "Niacinamide", percent: 49.75 },
        { name: "Aqua", percent: 50.25 },
      ],
      use: { low: 1, high: 10 },
    };
    const lines = [water, ["niacinamide", 3], ["niacinamide-half", 5]] as const;
    const [finding] = found("ACTIVE_DOSE", lines, { materials: [half] });
    expect((finding?.facts as { percent: number }).percent).toBeCloseTo(3 * 0.995 + 5 * 0.4975, 9);
  });
});
