import { bestMix, labelFromTemplate, type LabelTexts } from "@tensidrum/core/packaging";
import { labelPdf } from "../app/fill/label/labelPdf.server";
import { qrModules } from "../app/fill/label/qrModules.server";
import { quantile, timed, type Measured } from "./measure";

const LABELS = 96;
const ROUNDS = 5;
const KINDS = Array.from({ length: 12 }, (_, at) => ({ name: `kind ${at}`, fillGrams: 30.9 + 51.55 * at, available: 40 + at }));
const texts: LabelTexts = {
  ...{ name: "Curtain Call shampoo", what: "shampoo", directions: "Lather with water, then rinse off well.", net: "250 g (8.82 oz)" },
  ...{
    ingredients: `Ingredients: ${"Cocamidopropyl Betaine, Sodium Chloride, ".repeat(12)}Aqua.`,
    cautions: "Keep out of the eyes. ".repeat(10),
  },
  ...{
    batch: "Batch CC-261130-1",
    "best-before": "Best before 30 Nov 2027",
    "after-opening": "",
    "made-in": "Made at the lake",
    contact: "",
  },
};

/** The best mix of containers for a large batch, and a sheet of labels with their codes. */
export async function benchFilling(): Promise<Measured[]> {
  const mix = timed("core: best mix of 50 kg over 12 kinds of containers", () => bestMix(50_000, KINDS), {
    ...{ blocks: 10, callsPerBlock: 1, limit: 50 },
  });
  const design = labelFromTemplate("wrap", { widthMm: 84, heightMm: 48, netGrams: 250 });
  const milliseconds: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const began = performance.now();
    await labelPdf(design, { texts, qr: qrModules("CC-261130-1"), paper: "a4", from: 1, count: LABELS, isTest: false });
    milliseconds.push(performance.now() - began);
  }
  return [
    mix,
    { what: `server: PDF of ${LABELS} labels with their codes, median`, value: quantile(milliseconds, 0.5), unit: "ms", limit: 1_500 },
  ];
}
