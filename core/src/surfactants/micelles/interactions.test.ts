import { describe, expect, it } from "vitest";
import { charges } from "../../library/material.ts";
import { interaction, mixingAt } from "./interactions.ts";

describe("interactions in a micelle", () => {
  it.each([
    ["anionic", "amphoteric", -6],
    ["anionic", "nonionic", -3.3],
    ["amphoteric", "nonionic", -1],
    ["anionic", "cationic", -22],
    ["cationic", "amphoteric", -2],
    ["cationic", "nonionic", -1.5],
  ] as const)("%s with %s: β = %d, either way round", (one, other, beta) => {
    expect(interaction(one, other)).toBe(beta);
    expect(interaction(other, one)).toBe(beta);
  });

  it("within a type there is none", () => {
    for (const charge of charges) expect(interaction(charge, charge)).toBe(0);
  });

  it("two types: ln f is β X₂² and β X₁²; at 0.7 and 0.3 with β = −6 these are −0.54 and −2.94", () => {
    const { lnActivity } = mixingAt(
      [0.7, 0.3],
      [
        [0, -6],
        [-6, 0],
      ],
    );
    expect(lnActivity[0]).toBeCloseTo(-6 * 0.3 ** 2, 12);
    expect(lnActivity[1]).toBeCloseTo(-6 * 0.7 ** 2, 12);
  });
});
