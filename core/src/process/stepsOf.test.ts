import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { profiles } from "../formula/profiles.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula } from "../formula/types.ts";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { materialOf } from "../testing/exampleSheet.ts";
import { formulaOf, reading, type Written } from "../testing/stepReading.ts";
import { stepsOf } from "./stepsOf.ts";
import { stepText, type SaidStep } from "./wording/stepWords.ts";

const listOf = (...args: Parameters<typeof formulaOf>) => reading(stepsOf(formulaOf(...args), library));

describe("twelve ways a batch comes together", () => {
  it("gum gel: slurry in its own beaker, into the water, twenty minutes, and a day before it is judged", () => {
    const gel = listOf("face-gel", {
      A: [22, ["glycerin", 5], ["xanthan-gum-clear", 0.8]],
      B: [22, ["water-distilled", "q.s."], ["tetrasodium-glda", 0.2], ["sodium-benzoate", 0.4], ["potassium-sorbate", 0.2]],
      C: [22, ["cocamidopropyl-betaine", 10], ["coco-glucoside", 6]],
      D: [22, ["citric-acid-solution-50", 0.3]],
    });
    gel.together("glycerin", "xanthan-gum-clear");
    expect(gel.vesselOf("xanthan-gum-clear")).toBe("slurry");
    gel.inOrder("prepare", "xanthan-gum-clear", "slurry-into-water", "surfactants-into-water", "ph", "rest", "fill");
    gel.inOrder("water-distilled", "tetrasodium-glda", "slurry-into-water");
    expect(gel.at("slurry-into-water")).toMatchObject({ waitMinutes: 20, waitUntilMinutes: 30, vessel: "main" });
    expect(gel.at("rest")).toMatchObject({ waitMinutes: 1440, waitUntilMinutes: 2880 });
    expect(gel.before("cocamidopropyl-betaine", "slurry-into-water")).toBe(false);
    gel.together("citric-acid-solution-50", "ph");
  });

  it("salt-thickened: powder first, betaine onto it, scent in its solubiliser, pH before salt, and pH again", () => {
    const wash = listOf("body-wash", {
      A: [22, ["water-distilled", "q.s."], ["disodium-edta", 0.1]],
      B: [22, ["sodium-coco-sulfate", 8], ["cocamidopropyl-betaine", 15]],
      C: [22, ["polysorbate-20", 1.2], ["juniper-berry-oil", 0.3]],
      D: [22, ["sodium-chloride", 1.2], ["lactic-acid", 0.3], ["benzyl-alcohol-benzoic-sorbic", 0.9]],
    });
    wash.inOrder("sodium-coco-sulfate", "cocamidopropyl-betaine", "warm-cleansers", "surfactants-into-water");
    wash.together("polysorbate-20", "juniper-berry-oil");
    expect(wash.vesselOf("juniper-berry-oil")).toBe("scent");
    // The cleansers are warm, so scent and preservative come when it is cool.
    wash.inOrder("cool", "scent-into-batch", "benzyl-alcohol-benzoic-sorbic", "lactic-acid", "sodium-chloride", "ph-again");
    expect(wash.at("sodium-chloride")).toMatchObject({ waitMinutes: 5, waitUntilMinutes: 10 });
    expect(wash.at("sodium-coco-sulfate").caution).toContain("mask");
  });

  it("salt-thickened, all cold: the scent joins the cleansers before they meet the water", () => {
    const wash = listOf("body-wash", {
      A: [22, ["water-distilled", "q.s."]],
      B: [22, ["sles-2eo-28", 24], ["cocamidopropyl-betaine", 12]],
      C: [22, ["polysorbate-20", 1.2], ["juniper-berry-oil", 0.3]],
      D: [22, ["sodium-chloride", 1]],
    });
    wash.inOrder("juniper-berry-oil", "scent-into-cleansers", "surfactants-into-water", "ph", "sodium-chloride");
    expect(wash.has("cool")).toBe(false);
  });

  it("heated cream: fats and water each hot, weight noted, topped up, joined, cooled, topped up, then what is delicate", () => {
    const cream = listOf("cream-cleanser", {
      A: [72, ["water-distilled", "q.s."], ["glycerin", 4]],
      B: [72, ["sunflower-oil", 12], ["cetearyl-alcohol", 3], ["glyceryl-stearate-se", 4]],
      C: [38, ["phenoxyethanol-ethylhexylglycerin", 1], ["lavender-oil", 0.2]],
      D: [22, ["lactic-acid", 0.1]],
    });
    cream.together("sunflower-oil", "cetearyl-alcohol", "glyceryl-stearate-se");
    expect(cream.vesselOf("sunflower-oil")).toBe("fats");
    // What steams off is put back in each beaker before they meet, and for the whole once it is cool.
    cream.inOrder("glycerin", "heat-water", "top-up-water", "fats-and-water", "cool", "top-up", "phenoxyethanol-ethylhexylglycerin", "ph");
    expect(cream.at("fats-and-water").measures).toBe("before-heating");
    cream.inOrder("sunflower-oil", "heat-fats", "fats-and-water");
    cream.inOrder("cool", "lavender-oil");
    expect(cream.before("heat-fats", "heat-water") || cream.before("heat-water", "heat-fats")).toBe(false);
  });

  it("clay: sheared into plain water before the gum and before any cleanser foams", () => {
    const clay = listOf("cream-cleanser", {
      A: [22, ["water-distilled", "q.s."], ["magnesium-aluminium-silicate", 1.5], ["kaolin", 8]],
      B: [22, ["glycerin", 5], ["xanthan-gum", 0.5]],
      C: [22, ["decyl-glucoside", 8], ["cocamidopropyl-betaine", 6]],
      D: [22, ["phenoxyethanol-caprylyl-glycol", 1]],
    });
    clay.together("kaolin", "magnesium-aluminium-silicate");
    clay.inOrder("water-distilled", "kaolin", "slurry-into-water", "surfactants-into-water", "phenoxyethanol-caprylyl-glycol");
    expect(clay.at("kaolin").lines).not.toContain("xanthan-gum");
    expect(clay.at("kaolin")).toMatchObject({ waitMinutes: 10 });
    expect(clay.at("kaolin").do).toContain("ten minutes");
  });

  it("powder: a dry bowl, scent rubbed into a spoonful, no pH, no water", () => {
    const powder = listOf("powder-cleanser", {
      A: [22, ["kaolin", 40], ["colloidal-oatmeal", 38]],
      B: [22, ["sci-powder", 20], ["citric-acid-anhydrous", 1]],
      C: [22, ["lavender-oil", 1]],
    });
    expect(powder.vesselOf("kaolin")).toBe("bowl");
    powder.inOrder("kaolin", "sci-powder", "rub-into-bowl", "rest");
    powder.inOrder("lavender-oil", "rub-into-bowl");
    expect(powder.vesselOf("lavender-oil")).toBe("cup");
    expect(powder.has("ph")).toBe(false);
    expect(powder.at("prepare").do).toContain("dust mask");
  });

  it("whipped: melted, whipped hot, cooled, scent and preservative in, whipped again, rested, whipped once more", () => {
    const whip = listOf("whipped-cleanser", {
      A: [72, ["water-distilled", "q.s."], ["glycerin", 20]],
      B: [72, ["sci-powder", 30], ["stearic-acid", 8], ["cetearyl-alcohol", 4]],
      C: [35, ["phenoxyethanol-ethylhexylglycerin", 1], ["sweet-orange-oil", 0.4]],
    });
    expect(whip.vesselOf("sci-powder")).toBe("fats");
    whip.inOrder("stearic-acid", "fats-and-water", "whip", "cool", "sweet-orange-oil", "whip-again", "rest", "whip-last", "fill");
    whip.inOrder("phenoxyethanol-ethylhexylglycerin", "whip-again");
    expect(whip.steps.some((step) => `${step.do} ${step.why}`.includes("never whisk"))).toBe(false);
    expect(whip.at("rest")).toMatchObject({ waitMinutes: 180, waitUntilMinutes: 720 });
  });

  it("soap from a bar: hot water, ten to twelve hours with slow stirring, topped up, never acid", () => {
    const soap = listOf("soap-wash", {
      A: [75, ["water-distilled", "q.s."]],
      B: [75, ["grated-bar-soap", 12]],
      C: [22, ["glycerin", 4], ["lavender-oil", 0.5]],
    });
    soap.inOrder("water-distilled", "heat-water", "grated-bar-soap", "top-up-soap", "ph", "rest");
    expect(soap.at("grated-bar-soap")).toMatchObject({ waitMinutes: 600, waitUntilMinutes: 720 });
    expect(soap.at("grated-bar-soap").do).toContain("every two hours");
    expect(soap.at("grated-bar-soap").caution).toContain("No acid");
    expect(soap.at("ph").do).toContain("9 to 10");
    soap.inOrder("grated-bar-soap", "lavender-oil");
  });

  it("foamer: thin, nothing to thicken, the pump tried before all are filled", () => {
    const foamer = listOf("foaming-wash", {
      A: [22, ["water-distilled", "q.s."], ["sodium-gluconate", 0.3], ["sodium-benzoate-potassium-sorbate-liquid", 1]],
      B: [22, ["cocamidopropyl-betaine", 16], ["sodium-cocoyl-glutamate", 12]],
      C: [22, ["citric-acid-solution-50", 0.4]],
    });
    // The preservative is one that goes in late, though it stands in the water phase.
    foamer.inOrder("sodium-gluconate", "surfactants-into-water", "sodium-benzoate-potassium-sorbate-liquid", "ph", "rest", "fill");
    expect(foamer.steps.some(({ stage }) => stage === "thickness")).toBe(false);
    expect(foamer.at("fill").do).toContain("Pump one container");
    foamer.inOrder("cocamidopropyl-betaine", "sodium-cocoyl-glutamate");
  });

  it("two layers: water and oil in beakers of their own, which meet in the container", () => {
    const layers = listOf("shake-remover", {
      A: [22, ["water-distilled", "q.s."], ["sodium-chloride", 1], ["sodium-benzoate", 0.4], ["potassium-sorbate", 0.2]],
      B: [22, ["caprylic-capric-triglyceride", 30], ["isopropyl-myristate", 10]],
      C: [22, ["lactic-acid", 0.1]],
    });
    layers.together("caprylic-capric-triglyceride", "isopropyl-myristate");
    expect(layers.vesselOf("isopropyl-myristate")).toBe("oils");
    layers.inOrder("isopropyl-myristate", "layers");
    layers.inOrder("lactic-acid", "layers", "fill");
    expect(layers.before("isopropyl-myristate", "lactic-acid")).toBe(false);
  });

  it("scrub on a base: the base first, grains folded in last", () => {
    const scrub = listOf("scrub", {
      A: [22, ["mild-anionic-preblend", 56], ["polysorbate-20", 2], ["spearmint-oil", 0.4]],
      B: [22, ["ground-fruit-stone", 10], ["jojoba-wax-beads", 30]],
    });
    expect(scrub.vesselOf("mild-anionic-preblend")).toBe("main");
    scrub.together("ground-fruit-stone", "jojoba-wax-beads");
    scrub.inOrder("mild-anionic-preblend", "scent-into-batch", "ground-fruit-stone", "rest");
    scrub.together("spearmint-oil", "polysorbate-20");
  });

  it("suspension: the carbomer spreads, is neutralised after the cleansers, then carries beads", () => {
    const suspension = listOf("face-gel", {
      A: [22, ["water-distilled", "q.s."], ["carbomer", 0.5]],
      B: [22, ["decyl-glucoside", 10]],
      C: [22, ["triethanolamine", 0.4], ["phenoxyethanol-ethylhexylglycerin", 1]],
      D: [22, ["cellulose-beads", 2]],
    });
    suspension.inOrder("water-distilled", "carbomer", "surfactants-into-water", "triethanolamine", "ph");
    expect(suspension.at("carbomer")).toMatchObject({ waitMinutes: 30 });
    expect(suspension.at("triethanolamine").id).toBe("neutralise");
    suspension.inOrder("cellulose-beads", "rest");
  });

  it("stock solution: acid into water, ten minutes, a label with its dates", () => {
    const stock = listOf("everyday-shampoo", { A: [22, ["water-distilled", "q.s."], ["sodium-hydroxide-pellets", 10]] });
    stock.inOrder("water-distilled", "sodium-hydroxide-pellets", "label");
    expect(stock.at("sodium-hydroxide-pellets")).toMatchObject({ waitMinutes: 10 });
    expect(stock.at("sodium-hydroxide-pellets").caution).toContain("Gloves and goggles");
    expect(stock.at("label").do).toContain("date to discard");
  });
});

describe("what else the list knows", () => {
  it("cationic guar comes before acids and cleansers", () => {
    const shampoo = listOf("everyday-shampoo", {
      A: [22, ["water-distilled", "q.s."], ["guar-hydroxypropyltrimonium-chloride", 0.3], ["sodium-benzoate", 0.4]],
      B: [22, ["aos-40", 18], ["cocamidopropyl-betaine", 12]],
      C: [22, ["citric-acid-solution-50", 0.3]],
    });
    shampoo.inOrder(
      "water-distilled",
      "guar-hydroxypropyltrimonium-chloride",
      "sodium-benzoate",
      "surfactants-into-water",
      "citric-acid-solution-50",
    );
  });

  it("powders of a cool-down are tempered with a spoonful of the batch", () => {
    const cream = listOf("cream-cleanser", {
      A: [72, ["water-distilled", "q.s."]],
      B: [72, ["sunflower-oil", 12], ["glyceryl-stearate-se", 5]],
      C: [35, ["colloidal-oatmeal", 2], ["mica", 0.2]],
    });
    cream.together("colloidal-oatmeal", "mica");
    expect(cream.vesselOf("mica")).toBe("cup");
    cream.inOrder("cool", "temper-into-batch-C", "ph");
    cream.inOrder("mica", "temper-into-batch-C");
  });

  it("one base in two named parts, each with its own scent and its own beaker", () => {
    const parts = reading(
      stepsOf(
        formulaOf(
          "body-wash",
          { A: [22, ["water-distilled", "q.s."]], B: [22, ["sles-2eo-28", 30]] },
          {
            splits: [
              { name: "juniper", sharePercent: 60, lines: [{ id: "j", phase: "B", material: "juniper-berry-oil", percent: 0.3 }] },
              { name: "plain", sharePercent: 40, lines: [] },
            ],
          },
        ),
        library,
      ),
    );
    parts.inOrder("ph", "divide-1", "j", "rest");
    parts.inOrder("ph", "divide-2", "rest");
    expect(parts.vesselOf("j")).toBe("part-1");
    // 60 % of 600 g with 0.3 % is 1.08 g
    expect(parts.at("j").do).toContain("1.08 g juniper");
    expect(parts.vessels).toContain("part-2");
    // 360 g less 1.08 g
    expect(parts.at("divide-1").do).toContain("358.92 g of the finished base");
  });

  it("colours go in when the wash has rested whole; the parts are filled from their own beakers", () => {
    const gel = reading(
      stepsOf(
        formulaOf(
          "hand-wash",
          { A: [22, ["water-distilled", "q.s."]], B: [22, ["decyl-glucoside", 14]] },
          {
            splits: [
              { name: "gold", sharePercent: 32, lines: [{ id: "g", phase: "B", material: "mica-gold", percent: 0.05 }] },
              { name: "plain", sharePercent: 32, lines: [] },
            ],
          },
        ),
        library,
      ),
    );
    gel.inOrder("rest", "divide-1", "g", "fill");
    gel.inOrder("rest", "divide-2", "fill");
    expect(gel.at("g").check).toContain("really took");
    expect(gel.at("divide-1").after).toEqual(["rest"]);
    expect(gel.at("fill").after).toEqual(expect.arrayContaining(["part-1", "divide-2"]));
  });

  it("a part that is the whole batch is not drawn: what is its own goes into the beaker", () => {
    const list = stepsOf(
      formulaOf(
        "body-wash",
        { A: [22, ["water-distilled", "q.s."]], B: [22, ["sles-2eo-28", 30]] },
        { splits: [{ name: "all", sharePercent: 100, lines: [{ id: "j", phase: "B", material: "juniper-berry-oil", percent: 0.3 }] }] },
      ),
      library,
    );
    expect(list.steps.filter(({ measures }) => measures === "part")).toEqual([]);
    expect(list.steps.find(({ lines }) => lines.includes("j"))?.vessel).toBe("main");
  });

  it("what does not dissolve goes into the thickened batch, what dissolves into the water", () => {
    const shampoo = (material: string) =>
      listOf("everyday-shampoo", {
        A: [22, ["water-distilled", "q.s."], [material, 1]],
        B: [22, ["aos-40", 18], ["cocamidopropyl-betaine", 12]],
        C: [22, ["sodium-chloride", 1]],
      });
    for (const particle of ["zinc-pyrithione", "mica", "titanium-dioxide", "cold-pearl-concentrate"]) {
      const list = shampoo(particle);
      list.inOrder("surfactants-into-water", "sodium-chloride", particle, "ph-again");
      expect(list.at(particle).do).not.toContain("until clear");
    }
    expect(shampoo("mica").at("mica").do).toContain("spoonful");
    shampoo("panthenol-75").inOrder("panthenol-75", "surfactants-into-water");
    shampoo("water-soluble-dye-powder").inOrder("surfactants-into-water", "water-soluble-dye-powder", "sodium-chloride");
  });

  it("a preservative that water does not dissolve, or that goes in late, waits for the batch; another may go into the water", () => {
    const wash = (preservative: string) =>
      listOf("body-wash", {
        A: [22, ["water-distilled", "q.s."], [preservative, 0.5]],
        B: [22, ["sles-2eo-28", 24], ["cocamidopropyl-betaine", 12]],
      });
    for (const late of ["phenoxyethanol", "benzyl-alcohol", "caprylhydroxamic-caprylyl-glycol-glycerin", "potassium-sorbate"]) {
      wash(late).inOrder("surfactants-into-water", late, "ph");
    }
    wash("sodium-benzoate").inOrder("sodium-benzoate", "surfactants-into-water");
  });

  it("scent goes into the undiluted nonionic where no solubiliser is there, and into the solubiliser where one is", () => {
    const phases = (more: readonly (readonly [string, number])[]): Written => ({
      A: [22, ["water-distilled", "q.s."]],
      B: [22, ["coco-glucoside", 12], ["cocamidopropyl-betaine", 12]],
      C: [22, ["lavender-oil", 0.3], ...more],
    });
    const plain = listOf("body-wash", phases([]));
    plain.together("coco-glucoside", "lavender-oil");
    plain.inOrder("lavender-oil", "scent-into-cleansers", "surfactants-into-water");
    const carried = listOf("body-wash", phases([["polysorbate-20", 1.2]]));
    carried.together("polysorbate-20", "lavender-oil");
    expect(carried.at("coco-glucoside").id).not.toBe("scent");
  });

  it("a gum that opens only under shear is sheared dry into water, one that lumps is wetted in glycerin", () => {
    const gel = (gum: string) =>
      listOf("face-gel", { A: [22, ["glycerin", 5], [gum, 0.8]], B: [22, ["water-distilled", "q.s."]], C: [22, ["coco-glucoside", 9]] });
    const sheared = gel("cellulose-gum-algin");
    sheared.inOrder("water-distilled", "cellulose-gum-algin", "surfactants-into-water");
    expect(sheared.vesselOf("cellulose-gum-algin")).toBe("main");
    expect(sheared.at("cellulose-gum-algin").lines).not.toContain("glycerin");
    gel("xanthan-gum").together("glycerin", "xanthan-gum");
  });

  it("solid cleanser is wetted by the liquid ones; without any it goes into the hot water, never dry and alone", () => {
    const alone = listOf("everyday-shampoo", {
      A: [22, ["water-distilled", "q.s."], ["glycerin", 3]],
      B: [22, ["sodium-coco-sulfate", 12]],
    });
    expect(alone.vesselOf("sodium-coco-sulfate")).toBe("main");
    alone.inOrder("water-distilled", "sodium-coco-sulfate", "cool", "top-up", "ph");
    expect(alone.at("sodium-coco-sulfate").do).toContain("65 to 75 °C");
    const wetted = listOf("everyday-shampoo", {
      A: [22, ["water-distilled", "q.s."]],
      B: [22, ["sodium-coco-sulfate", 8], ["cocamidopropyl-betaine", 15]],
    });
    wetted.inOrder("sodium-coco-sulfate", "cocamidopropyl-betaine", "warm-cleansers");
    // A paste that dissolves cold is not warmed.
    expect(listOf("everyday-shampoo", { A: [22, ["water-distilled", "q.s."]], B: [22, ["sles-2eo-70", 12]] }).has("warm-cleansers")).toBe(
      false,
    );
    // 70 °C is the most this one bears: it is warmed to 55 to 65 °C.
    expect(
      listOf("body-wash", { A: [22, ["water-distilled", "q.s."]], B: [22, ["smct-paste", 20], ["cocamidopropyl-betaine", 9]] }).at(
        "warm-cleansers",
      ).do,
    ).toContain("55 to 65 °C");
  });

  it("a scrub on a base without water weighs no water, and its powder is folded in", () => {
    const scrub = listOf("scrub", {
      A: [22, ["mild-anionic-preblend", 60], ["sunflower-oil", 10], ["water-distilled", "q.s."]],
      B: [22, ["kaolin", 10], ["ground-fruit-stone", 20]],
    });
    expect(scrub.steps.some(({ lines }) => lines.includes("water-distilled"))).toBe(false);
    scrub.together("kaolin", "ground-fruit-stone");
    scrub.inOrder("mild-anionic-preblend", "kaolin", "rest");
  });

  it("a superfat sold with water in it is no ready base", () => {
    const wash = listOf("body-wash", {
      A: [22, ["water-distilled", "q.s."]],
      B: [22, ["coco-glucoside-glyceryl-oleate", 3], ["cocamidopropyl-betaine", 20]],
    });
    expect(wash.at("coco-glucoside-glyceryl-oleate").id).not.toBe("base");
  });

  it("two lines of one material are told by their phases, one line is not", () => {
    const formula = formulaOf("face-gel", {
      A: [22, ["glycerin", 5], ["xanthan-gum", 0.8]],
      B: [22, ["water-distilled", "q.s."]],
      C: [22, ["coco-glucoside", 9]],
    });
    const twice = { ...formula, lines: [...formula.lines, { id: "glycerin-2", phase: "B", material: "glycerin", percent: 2 }] };
    const list = reading(stepsOf(twice, library));
    expect(list.at("slurry").do).toContain("glycerin (phase A)");
    expect(list.at("glycerin-2").do).toContain("glycerin (phase B)");
    expect(reading(stepsOf(formula, library)).at("slurry").do).not.toContain("phase");
  });

  it("soap has its pH read and not adjusted, and hot water put back", () => {
    const soap = listOf("soap-wash", { A: [75, ["water-distilled", "q.s."]], B: [75, ["grated-bar-soap", 12]] });
    expect(soap.at("ph")).toMatchObject({ reads: "ph", why: expect.stringContaining("fatty acid") as string });
    expect(soap.at("ph").tunes).toBeUndefined();
    expect(soap.at("top-up-soap").do).toContain("hot water");
  });

  it("an empty sheet has the bench to prepare", () => {
    expect(stepsOf(sheetOf([]), library).steps.map(({ id }) => id)).toEqual(["prepare"]);
  });
});

describe("every step list", () => {
  const slugs = [...library.keys()];
  const drawn = fc
    .record({
      profile: fc.constantFrom(...profiles),
      temperatures: fc.array(fc.constantFrom(22, 38, 72), { minLength: 3, maxLength: 3 }),
      lines: fc.array(
        fc.record({ material: fc.constantFrom(...slugs), phase: fc.constantFrom("A", "B", "C"), percent: fc.integer({ min: 0, max: 20 }) }),
        {
          maxLength: 14,
        },
      ),
      hasWater: fc.boolean(),
      hasPart: fc.boolean(),
    })
    .map(({ profile, temperatures, lines, hasWater, hasPart }): Formula => ({
      ...sheetOf([]),
      profile: profile.slug,
      phases: ["A", "B", "C"].map((id, at) => ({ id, temperatureC: temperatures[at] ?? 22 })),
      lines: [
        ...(hasWater ? [{ id: "w", phase: "A", material: "water-distilled", qs: true as const }] : []),
        ...lines.map((line, at) => ({ id: `l${at}`, ...line })),
      ],
      ...(hasPart
        ? { splits: [{ name: "half", sharePercent: 50, lines: [{ id: "p", phase: "A", material: "lavender-oil", percent: 0.2 }] }] }
        : {}),
    }));

  it("weighs each line of more than nothing exactly once, has no circle, and is ordered by `after`", () => {
    fc.assert(
      fc.property(drawn, (formula) => {
        const { steps, vessels } = stepsOf(formula, library);
        const weighing = resolveLines(formula, library).sheet.lines.filter(({ percent }) => percent > 0);
        const wanted = weighing.map(({ line }) => line.id);
        expect(steps.flatMap(({ lines }) => lines).sort()).toEqual(wanted.sort());
        const done = new Set<string>();
        const known = new Set(vessels.map(({ id }) => id));
        for (const { id, after, vessel, waitMinutes, waitUntilMinutes, title, do: todo, why, code, facts } of steps) {
          expect(done.has(id)).toBe(false);
          for (const earlier of after) expect(done.has(earlier), `${id} after ${earlier}`).toBe(true);
          if (id !== "prepare") expect(after.length).toBeGreaterThan(0);
          if (vessel !== null) expect(known.has(vessel)).toBe(true);
          expect(waitUntilMinutes).toBeGreaterThanOrEqual(waitMinutes);
          for (const text of [title, todo, why]) expect(text).not.toMatch(/undefined|NaN|^$/);
          const said = JSON.parse(JSON.stringify({ code, facts })) as SaidStep;
          expect(stepText(said)).toMatchObject({ title, do: todo, why });
          done.add(id);
        }
      }),
      { numRuns: 500 },
    );
  });

  it("leads every beaker to the end: the last step comes after all others", () => {
    fc.assert(
      fc.property(drawn, (formula) => {
        const { steps } = stepsOf(formula, library);
        const byId = new Map(steps.map((step) => [step.id, step]));
        const reached = new Set<string>();
        const visit = (id: string): void => {
          if (reached.has(id)) return;
          reached.add(id);
          byId.get(id)?.after.forEach(visit);
        };
        visit(steps.at(-1)?.id ?? "");
        expect(reached.size).toBe(steps.length);
      }),
    );
  });

  it("takes a nested material of one's own as a base", () => {
    const own = { ...materialOf("mild-anionic-preblend"), slug: "own-base", name: "Own base", role: "surfactant" } as never;
    const { steps } = stepsOf(
      {
        ...sheetOf([
          ["own-base", 95],
          ["kaolin", 5],
        ]),
        materials: [own],
      },
      library,
    );
    expect(steps.find(({ id }) => id === "base")?.lines).toEqual(["own-base"]);
  });
});
