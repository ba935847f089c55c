import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Finding } from "../findings/finding.ts";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { acknowledges, fingerprintOf } from "./acknowledgement.ts";
import { assess } from "./assess.ts";

const SALTY = [
  ["water-distilled", "q.s."],
  ["sles-2eo-28", 20],
  ["sodium-chloride", 4],
] as const;

function findingOf(code: string, lines: readonly (readonly [string, number | "q.s."])[]) {
  const found = assess(sheetOf(lines), library).findings.find((one) => one.code === code);
  if (found === undefined) throw new Error(`no ${code}`);
  return found;
}

describe("acknowledgements", () => {
  it("the same facts have the same fingerprint, other numbers another", () => {
    const salty = findingOf("SALT_PAST_PEAK", SALTY);
    const saltier = findingOf("SALT_PAST_PEAK", [SALTY[0], SALTY[1], ["sodium-chloride", 4.2]]);
    expect(fingerprintOf(findingOf("SALT_PAST_PEAK", SALTY))).toBe(fingerprintOf(salty));
    expect(fingerprintOf(saltier)).not.toBe(fingerprintOf(salty));
    expect(fingerprintOf(salty)).toMatch(/^[0-9a-f]{64}$/);
  });

  it("a corrected sentence loses no acknowledgement, another code does not take it", () => {
    const salty = findingOf("SALT_PAST_PEAK", SALTY);
    const kept = { code: salty.code, fingerprint: fingerprintOf(salty) };
    expect(acknowledges(kept, { ...salty, what: "Said in other words." }, library)).toBe(true);
    expect(acknowledges({ ...kept, code: "SALT_NO_GRIP" }, salty, library)).toBe(false);
  });

  it("the order of the keys and noise behind the fourth digit do not count", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 100, noNaN: true }), (percent) => {
        const rounded = Number(percent.toPrecision(4));
        const one: Finding["facts"] = { totalPercent: rounded, openPercent: 3 };
        const other: Finding["facts"] = { openPercent: 3, totalPercent: rounded * (1 + 1e-9) };
        expect(fingerprintOf({ code: "MASS_OPEN", what: "", facts: one })).toBe(
          fingerprintOf({ code: "MASS_OPEN", what: "", facts: other }),
        );
      }),
    );
  });

  it.each([
    [
      "SALT_PAST_PEAK",
      SALTY,
      (salt: string) => `${salt} % salt in all, HIDDEN % of it hidden in the materials; blends usually thin above 3.00 %.`,
    ],
  ] as const)("%s: one kept by the sentence of that time counts while its numbers do", (code, lines, say) => {
    const finding = findingOf(code, lines);
    const { saltPercent, fromMaterialsPercent } = finding.facts as { saltPercent: number; fromMaterialsPercent: number };
    const said = (salt: number) => `said:${say(salt.toFixed(2)).replace("HIDDEN", fromMaterialsPercent.toFixed(2))}`;
    expect(acknowledges({ code, fingerprint: said(saltPercent) }, finding, library)).toBe(true);
    expect(acknowledges({ code, fingerprint: said(saltPercent + 0.2) }, finding, library)).toBe(false);
  });

  it("one about materials kept by its sentence counts while these are the materials", () => {
    const dust = findingOf("DUST", [
      ["water-distilled", "q.s."],
      ["sci-powder", 10],
    ]);
    const name = dust.what.replace(/ raises? dust\.$/, "");
    expect(acknowledges({ code: "DUST", fingerprint: `said:${name} raises dust.` }, dust, library)).toBe(true);
    expect(acknowledges({ code: "DUST", fingerprint: "said:Kaolin raises dust." }, dust, library)).toBe(false);
  });

  it("a finding stored with a version before there were facts is known by its sentence", () => {
    const stored = { code: "DUST", what: "Kaolin raises dust." };
    expect(acknowledges({ code: "DUST", fingerprint: "said:Kaolin raises dust." }, stored, library)).toBe(true);
    expect(acknowledges({ code: "DUST", fingerprint: "said:Silk raises dust." }, stored, library)).toBe(false);
  });
});
