import { describe, expect, it } from "vitest";
import { type WrittenLine } from "../../testing/exampleSheet.ts";
import { codesOf, found, unjudged, water } from "../testing/findings.ts";

const glucoside: WrittenLine = ["coco-glucoside", 20];
const soap: WrittenLine[] = [water, ["liquid-potassium-soap", 40]];
const soapWash = { profile: "soap-wash" } as const;

describe("soap", () => {
  it("SOAP_ACIDIFIED stops soap beside an acid, and soap measured below 8.5", () => {
    expect(codesOf(soap, soapWash)).not.toContain("SOAP_ACIDIFIED");
    expect(found("SOAP_ACIDIFIED", [...soap, ["citric-acid-anhydrous", 0.1]], soapWash)[0]).toMatchObject({
      severity: "stop",
      lines: ["liquid-potassium-soap", "citric-acid-anhydrous"],
    });
    expect(codesOf(soap, { ...soapWash, measured: { ph: 8.5 } })).not.toContain("SOAP_ACIDIFIED");
    expect(codesOf(soap, { ...soapWash, measured: { ph: 8.49 } })).toContain("SOAP_ACIDIFIED");
  });

  it("a soap that only emulsifies is none", () => {
    expect(codesOf([water, ["potassium-stearate", 2], ["citric-acid-anhydrous", 0.1]])).not.toContain("SOAP_ACIDIFIED");
  });
});

describe("the corridor", () => {
  it("PH_NO_CORRIDOR: benzoate (to pH 5) excludes the eye area (from 6.5)", () => {
    const lines: WrittenLine[] = [water, glucoside, ["sodium-benzoate", 0.5]];
    expect(codesOf(lines)).not.toContain("PH_NO_CORRIDOR");
    const [finding] = found("PH_NO_CORRIDOR", lines, { eyeArea: true });
    expect(finding).toMatchObject({ severity: "stop", lines: ["sodium-benzoate"] });
    expect(finding?.what).toContain("eye area");
  });

  // a body wash wants 4.5 to 6
  it.each([4.5, 6])("PH_OUTSIDE: pH %d is inside", (ph) => {
    expect(codesOf([water, ["glycerin", 5]], { measured: { ph } })).not.toContain("PH_OUTSIDE");
  });

  it.each([4.49, 6.01])("PH_OUTSIDE: pH %d is outside", (ph) => {
    expect(found("PH_OUTSIDE", [water, ["glycerin", 5]], { measured: { ph } })[0]?.severity).toBe("fix");
  });

  it("without a measured pH it is not judged", () => {
    expect(unjudged("PH_OUTSIDE", [water, glucoside])).toHaveLength(1);
  });
});

describe("near the eye", () => {
  it.each([
    [6.49, true],
    [6.5, false],
    [7.2, false],
    [7.21, true],
  ])("EYE_PH at pH %d: %s", (ph, fires) => {
    expect(codesOf([water, glucoside], { eyeArea: true, measured: { ph } }).includes("EYE_PH")).toBe(fires);
    expect(codesOf([water, glucoside], { measured: { ph } })).not.toContain("EYE_PH");
  });

  it("is not judged before it is measured", () => {
    expect(unjudged("EYE_PH", [water, glucoside], { eyeArea: true })).toHaveLength(1);
  });
});
