/** Why a reading is an estimate, how good it is and where it comes from, in plain words. */
export interface Explanation {
  readonly mark: string;
  readonly words: string;
  readonly source: string;
}

export const explanations = {
  irritation: {
    mark: "estimate, ranks blends",
    words:
      "How much a blend of these cleansers swells and loosens a test protein, less what sharing micelles saves, scaled to the strength of this formula. It ranks blends; it is no safety test.",
    source: "Zein numbers after Götte 1964; mixed micelles after Holland and Rubingh 1983",
  },
  foam: {
    mark: "estimate of 10",
    words:
      "Figures of each cleanser by its share, less what little active matter and loose oil cost; steadier with a fifth to a half of amphoterics. Hard water, hands and tools change it.",
    source: "rules of the trade",
  },
  cost: {
    mark: "by the lots on the shelf",
    words:
      "Grams of each line at the price of the lot that ends first, since that one is to be used up first. Packs, energy and your own hours are not in it.",
    source: "Σ grams × price ⁄ pack",
  },
  density: {
    mark: "estimate, ± 2 %",
    words: "Volumes of the materials simply added up. Weigh a full measuring cup of the finished wash and type that instead.",
    source: "ideal mixing",
  },
  waterActivity: {
    mark: "estimate, ± 0.01",
    words: "How free the water is for germs: each dissolved material alone in this water, multiplied. Below 0.6 nothing grows.",
    source: "Ross 1975; Norrish 1966; Robinson and Stokes 1959",
  },
  working: {
    mark: "estimate",
    words: "Only the acid that has not given its proton away enters a germ. The share falls tenfold with each pH unit above its pKa.",
    source: "Henderson and Hasselbalch; pKa at 25 °C",
  },
  clarity: {
    mark: "estimate",
    words: "From what scatters light: opacifiers, proteins, regular gum, and oil that nothing carries. A jar the next day decides.",
    source: "rules of the trade",
  },
  thickening: {
    mark: "guidance",
    words: "Which cleansers answer to which thickener, by groups. Only jars of the same base show how much.",
    source: "rules of the trade",
  },
  salt: {
    mark: "as good as the bottles",
    words: "Betaines and other cleansers bring salt of their own. A supplier's certificate is better than the usual value.",
    source: "Σ percent × salt in each material",
  },
} as const satisfies Record<string, Explanation>;
