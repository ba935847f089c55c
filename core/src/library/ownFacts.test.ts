import { describe, expect, it } from "vitest";
import { library } from "../testing/exampleSheet.ts";
import { wholeMaterial } from "./briefMaterial.ts";
import { factDifferences } from "./factDifferences.ts";
import type { Material } from "./material.ts";
import { ownableFacts, withOwnFacts } from "./ownFacts.ts";
import { slugOf } from "./slugOf.ts";

const betaine = library.get("cocamidopropyl-betaine") as Material;

describe("facts of one's own", () => {
  it("stand above the reference's and are no estimates any more; the rest stays", () => {
    const mine = withOwnFacts(betaine, { cmcMillimolar: 0.2, saltPercent: 6 });
    expect(mine).toMatchObject({ slug: betaine.slug, cmcMillimolar: 0.2, saltPercent: 6, molarMass: betaine.molarMass });
    expect(betaine.uncertain).toContain("cmcMillimolar");
    expect(mine.uncertain).not.toContain("cmcMillimolar");
    expect(factDifferences(betaine, mine).map(({ fact }) => fact)).toEqual(["saltPercent", "cmcMillimolar"]);
  });

  it("none leave the material as it is", () => {
    expect(withOwnFacts(betaine, null)).toBe(betaine);
    expect(withOwnFacts(betaine, {})).toBe(betaine);
  });

  it("on a blend count as measured on it: its parts would speak otherwise", () => {
    const parts = [{ material: betaine.slug, percent: 100 }];
    const blend = wholeMaterial({ slug: "b", name: "B", role: "base", parts } as Parameters<typeof wholeMaterial>[0]);
    expect(withOwnFacts(blend, { saltPercent: 1 }).measured).toEqual(["saltPercent"]);
  });

  it("never touch what a material is", () => {
    for (const identity of ["slug", "name", "role", "inci", "parts", "charge", "flags"]) expect(ownableFacts).not.toContain(identity);
  });
});

describe("what two materials tell differently", () => {
  it("nothing said is the same as nothing known", () => {
    expect(factDifferences({ ...betaine, caution: "" }, { ...betaine, caution: null })).toEqual([]);
    expect(factDifferences(betaine, { ...betaine, slug: "other", uncertain: [] })).toEqual([]);
  });

  it("the order of keys does not matter, a number does", () => {
    const use = betaine.use ?? { low: 0, high: 0 };
    expect(factDifferences(betaine, { ...betaine, use: { high: use.high, low: use.low } })).toEqual([]);
    expect(factDifferences(betaine, { ...betaine, use: { ...use, high: 99 } })).toEqual([
      { fact: "use", before: use, after: { ...use, high: 99 } },
    ]);
  });
});

describe("a slug from a name", () => {
  it.each([
    ["Juniper & birch, 2 : 1", [], "juniper-birch-2-1"],
    ["Crème", [], "creme"],
    ["Curtain Call v1", ["curtain-call-v1"], "curtain-call-v1-2"],
    ["Curtain Call v1", ["curtain-call-v1", "curtain-call-v1-2"], "curtain-call-v1-3"],
    ["???", [], "material"],
  ])("%s", (name, taken, slug) => {
    expect(slugOf(name, new Set(taken))).toBe(slug);
  });

  it("of a long name is one the formats take", () => {
    const slug = slugOf("long ".repeat(100), new Set());
    expect(slug.length).toBeLessThanOrEqual(120);
    expect(slug).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/);
  });
});
