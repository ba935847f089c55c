/** A recipe as someone typed it, line by line with what must be understood of it. */
export interface MessyRecipe {
  readonly title: string;
  /** The line as typed, and its reading; a line that holds several amounts has several readings, parted by " / ". */
  readonly lines: readonly (readonly [typed: string, reading: string])[];
}

/**
 * Readings are written as "amount material, sureness", with "rest" for the q.s. line and "?" for what is
 * not recognised. Everything else is its kind.
 */
export const messyRecipes: readonly MessyRecipe[] = [
  {
    title: "a shampoo in percent, name first",
    lines: [
      ["Curtain Call shampoo", "note"],
      ["Distilled water 54.5 %", "54.5 percent water-distilled, sure"],
      ["Cocamidopropyl betaine 22 %", "22 percent cocamidopropyl-betaine, sure"],
      ["AOS 18%", "18 percent aos-40, sure"],
      ["Glycerin 3%", "3 percent glycerin, sure"],
      ["Sodium benzoate 0.5 %", "0.5 percent sodium-benzoate, sure"],
      ["Citric acid 50% solution 2%", "2 percent citric-acid-solution-50, sure"],
    ],
  },
  {
    title: "grams first in a list with dashes, water to 100 g",
    lines: [
      ["- 20 g decyl glucoside", "20 g decyl-glucoside, sure"],
      ["- 15 g coco betaine", "15 g coco-betaine, sure"],
      ["- 5 g glycerine", "5 g glycerin, sure"],
      ["- 1 g xanthan", "1 g xanthan-gum, sure"],
      ["- water to 100 g", "rest water-distilled, sure"],
    ],
  },
  {
    title: "phases, tabs, decimal commas, no unit",
    lines: [
      ["Phase A", "phase A"],
      ["Water\tq.s.", "rest water-distilled, sure"],
      ["Glycerin\t4", "4 percent glycerin, likely"],
      ["Xanthan gum clear\t0,8", "0.8 percent xanthan-gum-clear, likely"],
      ["Phase B", "phase B"],
      ["SCI powder\t12,5", "12.5 percent sci-powder, likely"],
      ["Phase C: cool down", "phase C"],
      ["Lavender EO\t0,3", "0.3 percent lavender-oil, likely"],
    ],
  },
  {
    title: "spoons, cups and drops",
    lines: [
      ["1 cup liquid castile soap", "1 cup liquid-potassium-soap, sure"],
      ["2 tbsp vegetable glycerin", "2 tbsp glycerin, sure"],
      ["1/2 tsp salt", "0.5 tsp sodium-chloride, sure"],
      ["1½ tsp jojoba oil", "1.5 tsp jojoba-oil, sure"],
      ["10 drops lavender essential oil", "10 drop lavender-oil, sure"],
      ["20-30 drops tea tree oil (optional)", "25 drop tea-tree-oil, likely"],
    ],
  },
  {
    title: "one line that leaves the rest open",
    lines: [
      ["85 coco glucoside, 6 olive oil, the rest is up to you", "85 percent coco-glucoside, likely / 6 percent olive-oil, likely / open"],
    ],
  },
  {
    title: "a table with bars, percent and grams under a heading",
    lines: [
      ["Ingredient | % | g", "columns"],
      ["Water | 60.0 | 300", "60 percent water-distilled, sure"],
      ["SLES 28 | 25.0 | 125", "25 percent sles-2eo-28, sure"],
      ["Coco glucoside | 10.0 | 50", "10 percent coco-glucoside, sure"],
      ["Polysorbate 20 | 2.0 | 10", "2 percent polysorbate-20, sure"],
      ["Preservative | 3.0 | 15", "3 percent phenoxyethanol-ethylhexylglycerin, several"],
      ["Total | 100 | 500", "total"],
    ],
  },
  {
    title: "strengths of the bottles beside grams",
    lines: [
      ["SLES 70 % 20 g", "20 g sles-2eo-70, sure"],
      ["Betaine (30%) 15 g", "15 g cocamidopropyl-betaine, sure"],
      ["Rest water", "rest water-distilled, sure"],
      ["Makes 500 g", "total"],
    ],
  },
  {
    title: "words for numbers, and the method after it",
    lines: [
      ["Prop Room hand wash", "note"],
      ["Ingredients:", "note"],
      ["30 ml aloe vera juice", "30 ml aloe-juice-1x, sure"],
      ["a pinch of xanthan gum", "1 pinch xanthan-gum, sure"],
      ["half a cup of rose water", "0.5 cup rose-hydrosol, sure"],
      ["2 teaspoons of honey", "2 tsp honey, sure"],
      ["Method:", "note"],
      ["Mix everything and heat to 70 °C for 20 minutes.", "note"],
      ["Adjust to pH 5.5", "note"],
    ],
  },
  {
    title: "parts in a numbered list",
    lines: [
      ["1. Kaolin clay - 30 parts", "30 part kaolin, sure"],
      ["2. Rice powder - 20 parts", "20 part rice-powder, sure"],
      ["3. SLSA - 10 parts", "10 part slsa-powder, sure"],
      ["4. Citric acid - 2 parts", "2 part citric-acid-anhydrous, sure"],
    ],
  },
  {
    title: "numbers inside names",
    lines: [
      ["Polyquaternium-7: 1.5%", "1.5 percent polyquaternium-7, sure"],
      ["PEG-40 hydrogenated castor oil ... 2 %", "2 percent peg-40-hydrogenated-castor-oil, sure"],
      ["Polysorbate 80 3 %", "3 percent polysorbate-80, sure"],
      ["C14-16 olefin sulfonate 20 %", "20 percent aos-40, sure"],
      ["Polyquaternium-10 0.3%", "0.3 percent polyquaternium-10, sure"],
    ],
  },
  {
    title: "leaders of dots, commas, remarks in brackets",
    lines: [
      ["Water .......... 68.5%", "68.5 percent water-distilled, sure"],
      ["Disodium laureth sulfosuccinate, 12.0 %", "12 percent disodium-laureth-sulfosuccinate, sure"],
      ["Coco-Betaine (secondary surfactant) 10%", "10 percent coco-betaine, sure"],
      ["* Sodium Chloride (to thicken, add last) 1-2 %", "1.5 percent sodium-chloride, likely"],
      ["• Parfum 0.3% max", "0.3 percent fragrance-oil, sure"],
      ["Preservative of your choice", "no amount phenoxyethanol-ethylhexylglycerin, several"],
    ],
  },
  {
    title: "misspelt, in ounces, quarts and pounds",
    lines: [
      ["Wter 50 g", "50 g water-distilled, guess"],
      ["Glycerol 2 oz", "2 oz glycerin, sure"],
      ["Cocamidopropil betain 8 fl oz", "8 fl-oz cocamidopropyl-betaine, guess"],
      ["1 qt distilled water", "1 quart water-distilled, sure"],
      ["1 lb sodium coco sulfate", "1 lb sodium-coco-sulfate, sure"],
      ["3 T sunflower oil", "3 tbsp sunflower-oil, sure"],
      ["2 t citric acid", "2 tsp citric-acid-anhydrous, sure"],
    ],
  },
  {
    title: "what is no recipe at all",
    lines: [
      ["gummy stuff 5 g", "5 g ?, unknown"],
      ["12", "note"],
      ["7 %", "note"],
      ["-----", "blank"],
      ["", "blank"],
      ["stir gently for 5 min", "note"],
    ],
  },
  {
    title: "written as orders",
    lines: [
      ["Add 5 drops peppermint oil", "5 drop peppermint-oil, sure"],
      ["add 20 g of coco glucoside to the pot", "20 g coco-glucoside, sure"],
      ["Weigh 3 g salt", "3 g sodium-chloride, sure"],
      ["Then leave it overnight", "note"],
    ],
  },
  {
    title: "other words for the rest",
    lines: [
      ["Aqua qsp 100", "rest water-distilled, sure"],
      ["Decyl glucoside 20%", "20 percent decyl-glucoside, sure"],
      ["Glycerin 5 %", "5 percent glycerin, sure"],
    ],
  },
  {
    title: "the rest first",
    lines: [
      ["q.s. to 100 aqua", "rest water-distilled, sure"],
      ["decyl glucoside 20", "20 percent decyl-glucoside, likely"],
    ],
  },
  {
    title: "ad 100",
    lines: [
      ["Lauryl glucoside 12,0 %", "12 percent lauryl-glucoside, sure"],
      ["ad 100 % water", "rest water-distilled, sure"],
    ],
  },
  {
    title: "the balance",
    lines: [
      ["Sodium cocoamphoacetate 18 %", "18 percent sodium-cocoamphoacetate, sure"],
      ["Deionised water - balance", "rest water-distilled, sure"],
    ],
  },
  {
    title: "thousands and long decimals",
    lines: [
      ["Water 1,000 g", "1000 g water-distilled, likely"],
      ["Glycerin 1.250,5 g", "1250.5 g glycerin, sure"],
      ["Salt 0,125 kg", "0.125 kg sodium-chloride, sure"],
      ["Disodium EDTA .1 g", "0.1 g disodium-edta, sure"],
    ],
  },
  {
    title: "two columns, grams before percent, no heading",
    lines: [
      ["300 g 60 % water", "60 percent water-distilled, sure"],
      ["125 g 25 % SLES", "25 percent sles-2eo-28, sure"],
      ["75 g 15 % decyl glucoside", "15 percent decyl-glucoside, sure"],
    ],
  },
  {
    title: "two bare columns that explain each other",
    lines: [
      ["Water\t70\t350", "70 percent water-distilled, sure"],
      ["Coco-betaine\t20\t100", "20 percent coco-betaine, sure"],
      ["Glycerin\t10\t50", "10 percent glycerin, sure"],
    ],
  },
  {
    title: "bare grams that do not come to 100",
    lines: [
      ["Water 250", "250 g water-distilled, likely"],
      ["Coco glucoside 75", "75 g coco-glucoside, likely"],
      ["Salt 5", "5 g sodium-chloride, likely"],
    ],
  },
  {
    title: "bare numbers that come to 100",
    lines: [
      ["Water 70", "70 percent water-distilled, sure"],
      ["Coco glucoside 25", "25 percent coco-glucoside, sure"],
      ["Glycerin 5", "5 percent glycerin, sure"],
    ],
  },
  {
    title: "headings that are phases",
    lines: [
      ["Water phase:", "phase A"],
      ["80 g water", "80 g water-distilled, sure"],
      ["Oil phase:", "phase B"],
      ["10 g sunflower oil", "10 g sunflower-oil, sure"],
      ["5 g cetyl alcohol", "5 g cetyl-alcohol, sure"],
      ["Cool down:", "phase C"],
      ["0.5 g vitamin E", "0.5 g tocopherol, sure"],
    ],
  },
  {
    title: "approximate",
    lines: [
      ["about 20 g honey", "20 g honey, likely"],
      ["~5 g oatmeal", "5 g colloidal-oatmeal, likely"],
      ["ca. 100 g water", "100 g water-distilled, likely"],
      ["2 to 3 drops clove bud oil", "2.5 drop clove-bud-oil, likely"],
    ],
  },
  {
    title: "signs for fractions",
    lines: [
      ["¼ cup sugar", "0.25 cup sugar, sure"],
      ["1 1/2 cups olive oil", "1.5 cup olive-oil, sure"],
      ["¾ tsp sea salt", "0.75 tsp fine-sea-salt, sure"],
      ["⅓ cup coconut oil", "0.333 cup coconut-oil, sure"],
    ],
  },
  {
    title: "ticked boxes and stars",
    lines: [
      ["[ ] 40 g jojoba oil", "40 g jojoba-oil, sure"],
      ["[x] 20 g PEG-20 glyceryl triisostearate", "20 g peg-20-glyceryl-triisostearate, sure"],
      ["★ keep dry", "note"],
    ],
  },
  {
    title: "a powder cleanser with spaces for columns",
    lines: [
      ["Rice powder      45 %", "45 percent rice-powder, sure"],
      ["Sodium cocoyl isethionate      25 %", "25 percent sci-powder, sure"],
      ["Colloidal oatmeal      20 %", "20 percent colloidal-oatmeal, sure"],
      ["Baking soda      10 %", "10 percent sodium-bicarbonate, sure"],
    ],
  },
  {
    title: "semicolons in one line",
    lines: [
      ["60 g water; 30 g coco glucoside; 10 g glycerin", "60 g water-distilled, sure / 30 g coco-glucoside, sure / 10 g glycerin, sure"],
    ],
  },
  {
    title: "percent by weight, spelt out",
    lines: [
      ["Sodium lauroyl sarcosinate 15 % w/w", "15 percent sodium-lauroyl-sarcosinate, sure"],
      ["Glycerin 5 percent", "5 percent glycerin, sure"],
      ["Potassium sorbate 0.3 pct", "0.3 percent potassium-sorbate, sure"],
    ],
  },
  {
    title: "amount in brackets behind the name",
    lines: [
      ["Glycerin (3%)", "3 percent glycerin, sure"],
      ["Decyl glucoside (18 g)", "18 g decyl-glucoside, sure"],
      ["Lavender oil (12 drops)", "12 drop lavender-oil, sure"],
    ],
  },
  {
    title: "amount in the middle, the purpose behind it",
    lines: [
      ["Glycerin 3% - humectant", "3 percent glycerin, sure"],
      ["Panthenol 1 % for slip", "1 percent panthenol-75, sure"],
    ],
  },
  {
    title: "letters of the trade",
    lines: [
      ["CAPB 10 %", "10 percent cocamidopropyl-betaine, sure"],
      ["SCI 8 %", "8 percent sci-powder, sure"],
      ["SLSa 4 %", "4 percent slsa-powder, sure"],
      ["HEC 1 %", "1 percent hydroxyethylcellulose, sure"],
      ["Vit E 0.2 %", "0.2 percent tocopherol, sure"],
    ],
  },
  {
    title: "names by INCI",
    lines: [
      ["Aqua 70 %", "70 percent water-distilled, sure"],
      ["Sodium Lauroyl Sarcosinate 10 %", "10 percent sodium-lauroyl-sarcosinate, sure"],
      ["Caprylyl/Capryl Glucoside 5 %", "5 percent caprylyl-capryl-glucoside, sure"],
      ["Mel 1 %", "1 percent honey, sure"],
    ],
  },
  {
    title: "sulphates in the old spelling",
    lines: [
      ["Sodium coco sulphate 10 g", "10 g sodium-coco-sulfate, sure"],
      ["Magnesium sulphate 1 g", "1 g magnesium-sulfate, sure"],
    ],
  },
  {
    title: "a batch named at the head",
    lines: [
      ["Batch size: 250 g", "total"],
      ["Decyl glucoside 50 g", "50 g decyl-glucoside, sure"],
      ["Glycerin 10 g", "10 g glycerin, sure"],
      ["Water to make 100%", "rest water-distilled, sure"],
    ],
  },
  {
    title: "what stands without an amount",
    lines: [
      ["Glycerin", "no amount glycerin, sure"],
      ["20 g water", "20 g water-distilled, sure"],
      ["some of the blue stuff", "note"],
    ],
  },
  {
    title: "temperatures, times and pH are no amounts",
    lines: [
      ["Heat the water to 75 °C", "note"],
      ["Cool below 40 C", "note"],
      ["pH 5.5", "note"],
      ["Wait 24 hours", "note"],
      ["Water 80 g at 70 °C", "80 g water-distilled, sure"],
    ],
  },
  {
    title: "lots of space and capitals",
    lines: [
      ["   GLYCERIN      5   %  ", "5 percent glycerin, sure"],
      ["\t- XANTHAN GUM\t0.5 %", "0.5 percent xanthan-gum, sure"],
      ["WATER TO 100", "rest water-distilled, sure"],
    ],
  },
  {
    title: "a long scent list in drops",
    lines: [
      ["juniper oil 12 drops", "12 drop juniper-berry-oil, sure"],
      ["pine needle oil x 4 drops", "4 drop pine-needle-oil, sure"],
      ["bergamot oil: 8 gtt", "8 drop bergamot-oil, sure"],
      ["one drop of clove bud oil", "1 drop clove-bud-oil, sure"],
    ],
  },
  {
    title: "adding with plus",
    lines: [
      ["80 g water + 15 g decyl glucoside + 5 g glycerin", "80 g water-distilled, sure / 15 g decyl-glucoside, sure / 5 g glycerin, sure"],
    ],
  },
  {
    title: "litres and millilitres",
    lines: [
      ["1 l water", "1 l water-distilled, sure"],
      ["250 ml coco glucoside", "250 ml coco-glucoside, sure"],
      ["5 cc polysorbate 20", "5 ml polysorbate-20, sure"],
      ["2 litres of rose water", "2 l rose-hydrosol, sure"],
    ],
  },
];
