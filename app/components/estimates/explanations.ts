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
      "How much this blend swells and dissolves a test protein, reduced by mixed micelles and scaled to the active matter. It ranks blends; it is not a safety test.",
    source: "Zein numbers after Götte 1964; mixed micelles after Holland and Rubingh 1983",
  },
  foam: {
    mark: "estimate of 10",
    words:
      "Foam values of each surfactant by its share, lowered by little active matter and free oil; more stable with a fifth to a half of amphoterics. Initial foam is also called flash foam.",
    source: "rules of the trade",
  },
  cost: {
    mark: "by the lots on the shelf",
    words:
      "Grams of each line at the price of the lot that expires first, which you use up first. Packs, energy and your own hours are not in it.",
    source: "Σ grams × price ⁄ pack",
  },
  density: {
    mark: "estimate, ± 2 %",
    words: "The volumes of the materials added up. Weigh a full measuring cup of the product and type that instead.",
    source: "ideal mixing",
  },
  rawPh: {
    mark: "estimate",
    words:
      "Each material keeps the charge it has at the pH it is supplied with; acids and bases of the formula are left out. A hundred and twenty washes within the ranges of the materials: nine of ten lie between the two ends. The first reading decides.",
    source: "charge balance; carbonic acid of the air after Stumm and Morgan 1996",
  },
  waterActivity: {
    mark: "estimate, ± 0.01",
    words:
      "How available the water is for microbes. Each dissolved material counts alone in this water; the factors are multiplied. Below 0.6 nothing grows.",
    source: "Ross 1975; Norrish 1966; Robinson and Stokes 1959",
  },
  working: {
    mark: "estimate",
    words: "Only undissociated acid enters a microbe. Its share falls tenfold with each pH unit above the pKa.",
    source: "Henderson and Hasselbalch; pKa at 25 °C",
  },
  clarity: {
    mark: "estimate",
    words:
      "From what scatters light: opacifiers, proteins, regular gum, and free oil; cationic guar and cold glucosides clear overnight. A sample the next day decides.",
    source: "rules of the trade",
  },
  thickening: {
    mark: "guidance",
    words: "Which surfactants react to which thickener, by groups. Only samples of the same base show how much.",
    source: "rules of the trade",
  },
  salt: {
    mark: "typical salt of the materials",
    words: "Betaines and other surfactants contain salt. A supplier's certificate is better than the typical value.",
    source: "Σ percent × salt in each material",
  },
} as const satisfies Record<string, Explanation>;
