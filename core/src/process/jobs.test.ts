import { describe, expect, it } from "vitest";
import type { Formula } from "../formula/types.ts";
import { library } from "../testing/exampleSheet.ts";
import { formulaOf, reading, type Written } from "../testing/stepReading.ts";
import { stepsOf } from "./stepsOf.ts";

const listOf = (profile: Formula["profile"], phases: Written) => reading(stepsOf(formulaOf(profile, phases), library));

// Jobs as they are done by hand, each with one fact changed where the order must change with it.
describe("a clay wash for taking masks off", () => {
  const wash = (hasOil: boolean, more: Written = {}) =>
    listOf("cream-cleanser", {
      A: [22, ["water-distilled", "q.s."], ["kaolin", 6], ["bentonite", 1.5]],
      B: [22, ["glycerin", 5], ["xanthan-gum", 0.5]],
      C: [22, ["coco-glucoside", 9], ["cocamidopropyl-betaine", 8], ...(hasOil ? [["lavender-oil", 0.05] as const] : [])],
      D: [22, ["phenoxyethanol-ethylhexylglycerin", 1], ["lactic-acid", 0.2]],
      ...more,
    });

  it("shears the clays into plain water, folds the gum in, puts the oil into the glucoside, preserves, then sets the pH", () => {
    const list = wash(true);
    list.inOrder(
      "water-distilled",
      "kaolin",
      "slurry-into-water",
      "surfactants-into-water",
      "phenoxyethanol-ethylhexylglycerin",
      "lactic-acid",
      "rest",
    );
    list.together("kaolin", "bentonite");
    list.together("coco-glucoside", "lavender-oil");
    list.inOrder("lavender-oil", "surfactants-into-water");
    expect(list.at("prepare").do).toContain("dust mask");
    expect(list.at("kaolin").lines).not.toContain("xanthan-gum");
    expect(list.at("ph").check).toContain("Clay unsettles a meter");
  });

  it("with a solubiliser the oil goes into that, and without an oil the glucoside waits with the betaine", () => {
    wash(true, { E: [22, ["polysorbate-20", 1]] }).together("polysorbate-20", "lavender-oil");
    expect(wash(false).vesselOf("coco-glucoside")).toBe("surfactants");
  });
});

describe("a cream cleanser in two phases", () => {
  const cream = (temperatureC: number) =>
    listOf("cream-cleanser", {
      A: [temperatureC, ["water-distilled", "q.s."], ["glycerin", 6], ["xanthan-gum", 0.3]],
      B: [
        temperatureC,
        ["sci-powder", 7],
        ["cocamidopropyl-betaine", 8],
        ["cetearyl-alcohol", 4],
        ["glyceryl-stearate-se", 4],
        ["sunflower-oil", 5],
      ],
      C: [22, ["panthenol-75", 1], ["phenoxyethanol-ethylhexylglycerin", 1], ["lavender-oil", 0.2], ["lactic-acid", 0.25]],
    });

  it("wets the powder with the betaine in the fats, heats both beakers, makes up each, joins, cools, makes up the whole, then what is delicate", () => {
    const list = cream(75);
    list.together("sci-powder", "cocamidopropyl-betaine", "cetearyl-alcohol");
    list.inOrder("slurry-into-water", "heat-water", "top-up-water", "fats-and-water", "cool", "top-up", "panthenol-75");
    list.inOrder("sci-powder", "heat-fats", "fats-and-water");
    for (const late of ["panthenol-75", "phenoxyethanol-ethylhexylglycerin", "lavender-oil"]) list.inOrder("top-up", late, "lactic-acid");
    expect(list.at("heat-fats").do).toContain("75 °C");
  });

  it("heated to 70 °C it says so in every step that heats", () => {
    const list = cream(70);
    for (const step of ["heat-water", "heat-fats"]) expect(list.at(step).do).toContain("70 °C");
    expect(list.at("fats-and-water").temperature).toEqual({ low: 65, high: 75 });
  });
});

describe("soap from bars", () => {
  it("melts, rests off the heat with a stir every two hours, is thinned hot, read and never lowered; scent comes after", () => {
    const soap = listOf("soap-wash", {
      A: [78, ["water-distilled", "q.s."]],
      B: [78, ["grated-bar-soap", 6.5]],
      C: [22, ["glycerin", 1.2], ["lavender-oil", 0.2]],
    });
    soap.inOrder("water-distilled", "heat-water", "grated-bar-soap", "top-up-soap", "lavender-oil", "ph");
    expect(soap.at("grated-bar-soap")).toMatchObject({ stirEveryMinutes: 120, waitMinutes: 600 });
    expect(soap.at("grated-bar-soap").do).toContain("off the heat");
    expect(soap.at("ph")).toMatchObject({ reads: "ph" });
  });

  it("liquid soap is neither heated nor stirred for hours", () => {
    const liquid = listOf("soap-wash", { A: [22, ["water-distilled", "q.s."]], B: [22, ["liquid-potassium-soap", 20]] });
    expect(liquid.has("heat-water")).toBe(false);
    expect(liquid.at("liquid-potassium-soap").waitMinutes).toBe(0);
    expect(liquid.at("liquid-potassium-soap").stirEveryMinutes).toBeUndefined();
  });
});

describe("a whipped cleanser", () => {
  const whip = (profile: Formula["profile"]) =>
    listOf(profile, {
      A: [72, ["water-distilled", "q.s."], ["glycerin", 20]],
      B: [72, ["sci-powder", 27], ["cocamidopropyl-betaine", 18], ["stearic-acid", 5], ["cetearyl-alcohol", 2]],
      C: [22, ["kaolin", 3], ["phenoxyethanol-ethylhexylglycerin", 1], ["sweet-orange-oil", 0.5]],
    });

  it("is whipped hot, takes the clay with a spoonful, cools, takes preservative and scent, is whipped again, rests, and is whipped once more", () => {
    const list = whip("whipped-cleanser");
    list.inOrder(
      "fats-and-water",
      "whip",
      "kaolin",
      "cool",
      "phenoxyethanol-ethylhexylglycerin",
      "whip-again",
      "rest",
      "whip-last",
      "fill",
    );
    list.inOrder("cool", "sweet-orange-oil", "whip-again");
    expect(list.vesselOf("kaolin")).toBe("cup");
  });

  it("the same as a cream is not whipped at all, and its clay waits until it is cool", () => {
    const cream = whip("cream-cleanser");
    expect(cream.has("whip")).toBe(false);
    cream.inOrder("cool", "kaolin", "ph");
  });
});

describe("a travel powder", () => {
  const powder = (wet: boolean) =>
    listOf("powder-cleanser", {
      A: [22, ["rice-powder", 38], ["kaolin", 25], ["sci-powder", 20], ["colloidal-oatmeal", 12]],
      B: [22, ["jojoba-oil", 4], ["sodium-bicarbonate", 1], ...(wet ? [["water-distilled", 10] as const] : [])],
    });

  it("is blended dry, the oil rubbed into a part, and has neither pH nor water", () => {
    const list = powder(false);
    list.inOrder("rice-powder", "rub-into-bowl", "rest");
    expect(list.vesselOf("jojoba-oil")).toBe("cup");
    expect(list.has("ph")).toBe(false);
    expect(list.at("fill").do).toContain("dry spoon");
    expect(list.at("fill").do).not.toContain("pH");
  });

  it("with water in it it is no dry blend any more", () => {
    expect(powder(true).vesselOf("rice-powder")).not.toBe("bowl");
    expect(powder(true).at("fill").do).toContain("pH");
  });
});

describe("a suspended scalp shampoo", () => {
  const shampoo = (active: string) =>
    listOf("everyday-shampoo", {
      A: [22, ["water-distilled", "q.s."], ["bentonite-xanthan", 1.4], [active, 1.9]],
      B: [22, ["sles-2eo-28", 22], ["cocamidopropyl-betaine", 12], ["coco-glucoside", 3], ["coco-glucoside-glyceryl-oleate", 1]],
      C: [22, ["phenoxyethanol-ethylhexylglycerin", 0.9], ["spearmint-oil", 0.3], ["citric-acid-solution-50", 0.2]],
    });

  it("shears the blend into plain water, puts the oil into the glucoside, and the dispersion into the batch that carries it", () => {
    const list = shampoo("zinc-pyrithione");
    list.inOrder("water-distilled", "bentonite-xanthan", "surfactants-into-water", "zinc-pyrithione", "rest");
    list.together("coco-glucoside", "spearmint-oil");
    list.inOrder("surfactants-into-water", "phenoxyethanol-ethylhexylglycerin", "citric-acid-solution-50");
    expect(list.at("zinc-pyrithione").do).not.toContain("clear");
    expect(list.at("coco-glucoside-glyceryl-oleate").id).not.toBe("base");
  });

  it("an active that dissolves goes into the water", () => {
    shampoo("panthenol-75").inOrder("panthenol-75", "surfactants-into-water");
  });
});

describe("an infusion wash thickened with salt", () => {
  it("joins the cleansers undiluted, sets the pH before salt, and reads it again afterwards", () => {
    const wash = listOf("body-wash", {
      A: [22, ["water-distilled", "q.s."], ["tetrasodium-glda", 0.2], ["sodium-benzoate", 0.5]],
      B: [22, ["sles-2eo-28", 26], ["cocamidopropyl-betaine", 14]],
      C: [22, ["juniper-berry-oil", 0.5], ["polysorbate-20", 2], ["citric-acid-solution-50", 0.4], ["sodium-chloride", 1.2]],
    });
    wash.inOrder("cocamidopropyl-betaine", "surfactants-into-water", "citric-acid-solution-50", "sodium-chloride", "ph-again", "rest");
    wash.together("juniper-berry-oil", "polysorbate-20");
  });
});

describe("a scrub base for others", () => {
  const scrub = (waterPercent: number) =>
    listOf("scrub", {
      A: [22, ["mild-anionic-preblend", 83.4 - waterPercent], ...(waterPercent > 0 ? [["water-distilled", waterPercent] as const] : [])],
      B: [22, ["sunflower-oil", 5], ["polysorbate-20", 2], ["spearmint-oil", 0.4]],
      C: [22, ["pumice-powder", 8], ["phenoxyethanol-caprylyl-glycol", 1]],
    });

  it("begins with the base, joins the oils with their solubiliser, preserves, and folds the grains in last; no water is weighed", () => {
    const list = scrub(0);
    list.inOrder("mild-anionic-preblend", "scent-into-batch", "phenoxyethanol-caprylyl-glycol", "pumice-powder", "rest");
    list.together("polysorbate-20", "sunflower-oil");
    expect(list.has("water")).toBe(false);
  });

  it("with water in it the water is weighed first", () => {
    scrub(10).inOrder("water-distilled", "mild-anionic-preblend");
  });
});

describe("a micellar remover near the eye", () => {
  it("is made cold, its preservative late, and its pH adjusted", () => {
    const remover = listOf("micellar-water", {
      A: [22, ["water-distilled", "q.s."], ["disodium-edta", 0.1], ["glycerin", 2], ["panthenol-75", 0.5]],
      B: [22, ["poloxamer-188", 2], ["disodium-cocoamphodiacetate", 1], ["phenoxyethanol-ethylhexylglycerin", 0.9]],
    });
    expect(remover.at("ph").check).not.toContain("Clay");
    remover.inOrder("disodium-edta", "phenoxyethanol-ethylhexylglycerin", "ph", "rest");
    expect(remover.steps.some(({ stage }) => stage === "heat")).toBe(false);
  });
});
