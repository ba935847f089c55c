import { describe, expect, it } from "vitest";
import { fixesOfSheet } from "./fixesOfSheet";

const choices = ["betaine", "glucoside", "sulfate", "taurate"].map((slug) => ({ slug, name: `the ${slug}` }));
const sheet = { irritation: 141.4, flash: 6.2, activePercent: 12, present: ["sulfate", "betaine"] };
const around = { choices, shelf: new Set(["betaine", "glucoside", "taurate"]), ending: [], usual: { activePercent: { low: 9, high: 15 } } };
const asked = (query: string) => Object.fromEntries(new URLSearchParams(query));

describe("what a sheet can be fixed to", () => {
  it("a fifth milder, and without each of its surfactants at equal mildness and foam, the used-up one first", () => {
    const [milder, withoutSulfate, withoutBetaine, ...more] = fixesOfSheet(sheet, around);
    expect(milder?.words).toBe("irritation from 141 to 113");
    expect(asked(milder!.query)).toEqual({ against: "change", shelf: "only", countHigh: "4", activeLow: "10.8", mostIrritation: "113" });
    expect(withoutSulfate?.words).toBe("without the sulfate, of which nothing is left, as mild and as foaming");
    expect(asked(withoutSulfate!.query)).toMatchObject({ not: "sulfate", leastFlash: "5.7", mostIrritation: "142" });
    expect(withoutBetaine?.words).toBe("without the betaine, as mild and as foaming");
    expect(more).toEqual([]);
  });

  it("no weaker than the aim has it, unless the sheet is weaker still", () => {
    const leastOf = (activePercent: number) => asked(fixesOfSheet({ ...sheet, activePercent }, around)[0]!.query)["activeLow"];
    expect([leastOf(12), leastOf(9.5), leastOf(6)]).toEqual(["10.8", "9", "6"]);
  });

  it("what is very mild already is offered to be milder last", () => {
    expect(fixesOfSheet({ ...sheet, irritation: 25 }, around).map(({ words }) => words.startsWith("irritation"))).toEqual([
      false,
      false,
      true,
    ]);
  });

  it("with a lot that ends soon", () => {
    const ending = [{ material: "taurate", code: "B-114", until: "1 Mar" }];
    const fix = fixesOfSheet(sheet, { ...around, ending }).at(-1);
    expect(fix?.words).toBe("use up the taurate B-114 before 1 Mar");
    expect(asked(fix!.query)).toMatchObject({ must: "taurate", mostIrritation: "142" });
  });

  it("out of the library where little stands on the shelf; nothing is called used up where nothing is kept", () => {
    const fixes = fixesOfSheet(sheet, { ...around, shelf: new Set() });
    expect(fixes.every(({ query }) => asked(query)["shelf"] === "all")).toBe(true);
    expect(fixes.some(({ words }) => words.includes("nothing is left"))).toBe(false);
  });
});
