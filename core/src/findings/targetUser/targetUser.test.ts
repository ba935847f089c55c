import { describe, expect, it } from "vitest";
import { type WrittenLine } from "../../testing/exampleSheet.ts";
import { codesOf, found, unjudged, water } from "../testing/findings.ts";
import { wholeMaterial } from "../../library/briefMaterial.ts";

const glucoside: WrittenLine = ["decyl-glucoside", 10];

describe("people", () => {
  it.each([
    ["DUST", "slsa-powder"],
    ["CORROSIVE", "sodium-hydroxide-pellets"],
    ["NUT", "sweet-almond-oil"],
    ["GLUTEN", "hydrolysed-wheat-protein"],
    ["SOY", "tocopherol"],
  ] as const)("%s speaks of %s and is to consider, and not at 0 %%", (code, slug) => {
    expect(found(code, [water, [slug, 1]])[0]).toMatchObject({ severity: "consider", lines: [slug] });
    expect(codesOf([water, [slug, 0]])).not.toContain(code);
    expect(codesOf([water, ["glycerin", 1]])).not.toContain(code);
  });

  it("EYE_IRRITANT names every line once", () => {
    const [finding] = found("EYE_IRRITANT", [water, ["sles-2eo-28", 20], ["cetrimonium-chloride", 1]]);
    expect(finding?.severity).toBe("consider");
    expect(new Set(finding?.lines).size).toBe(finding?.lines.length);
    expect(codesOf([water, ["glycerin", 5]])).not.toContain("EYE_IRRITANT");
  });

  it("RESTRICTED gives each note once, with everyone it speaks of", () => {
    const findings = found("RESTRICTED", [water, ["polysorbate-20", 1], ["polysorbate-80", 1]]);
    expect(findings).toHaveLength(1);
    expect(findings[0]?.lines).toEqual(["polysorbate-20", "polysorbate-80"]);
    expect(codesOf([water, ["glycerin", 1]])).not.toContain("RESTRICTED");
  });

  it("COARSE_ON_FACE: fruit stone on the face, not on the body; beads are round", () => {
    const face = { profile: "face-gel" } as const;
    expect(found("COARSE_ON_FACE", [water, glucoside, ["ground-fruit-stone", 2]], face)[0]?.severity).toBe("fix");
    expect(codesOf([water, glucoside, ["ground-fruit-stone", 2]])).not.toContain("COARSE_ON_FACE");
    expect(codesOf([water, glucoside, ["ground-fruit-stone", 2]], { eyeArea: true })).toContain("COARSE_ON_FACE");
    expect(codesOf([water, glucoside, ["jojoba-wax-beads", 2]], face)).not.toContain("COARSE_ON_FACE");
  });

  it("an exfoliant of unknown size cannot be judged for the face", () => {
    const grit = wholeMaterial({ slug: "grit", name: "Lake sand", role: "exfoliant", inci: [{ name: "Silica", percent: 100 }] });
    expect(unjudged("COARSE_ON_FACE", [water, ["grit", 2]], { profile: "face-gel", materials: [grit] })).toHaveLength(1);
  });
});

describe("looks", () => {
  const clear = { wantsClear: true } as const;

  it.each(["glycol-distearate", "hydrolysed-silk", "xanthan-gum", "sunflower-oil"])(
    "CLOUDY_LIKELY: %s clouds what should be clear",
    (slug) => {
      expect(codesOf([water, glucoside, [slug, 3]], clear)).toContain("CLOUDY_LIKELY");
      expect(codesOf([water, glucoside, [slug, 3]])).not.toContain("CLOUDY_LIKELY");
    },
  );

  it("CLOUDY_LIKELY: clear xanthan does not", () => {
    expect(codesOf([water, glucoside, ["xanthan-gum-clear", 0.5]], clear)).not.toContain("CLOUDY_LIKELY");
  });

  it("COLOUR_SHIFT: an extract tints what should be clear; a colour is meant to", () => {
    expect(found("COLOUR_SHIFT", [water, ["birch-leaf-extract", 1]], clear)[0]?.lines).toEqual(["birch-leaf-extract"]);
    expect(codesOf([water, ["water-soluble-dye-powder", 0.01]], clear)).not.toContain("COLOUR_SHIFT");
    expect(codesOf([water, ["birch-leaf-extract", 1]])).not.toContain("COLOUR_SHIFT");
  });
});
