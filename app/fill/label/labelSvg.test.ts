import { labelFromTemplate, layOutLabel, type LabelTexts } from "@tensidrum/core/packaging";
import { describe, expect, it } from "vitest";
import { labelSvg } from "./labelSvg";

const texts: LabelTexts = {
  ...{ name: "Salt & <lake>", what: "wash", directions: "Rinse.", ingredients: "Ingredients: Aqua.", cautions: "Keep out of the eyes." },
  ...{
    net: "100 g (3.53 oz)",
    batch: "Batch X-1",
    "best-before": "Best before 1 May 2027",
    "after-opening": "",
    "made-in": "",
    contact: "",
  },
};

describe("a label as a drawing", () => {
  const design = labelFromTemplate("wrap", { widthMm: 120, heightMm: 70, netGrams: 100 });
  const svg = labelSvg(design, texts, [
    [true, false],
    [false, true],
  ]);

  it("is as large in mm as the label, and holds every line of the layout where it stands", () => {
    expect(svg).toContain('width="120mm" height="70mm" viewBox="0 0 120 70"');
    const lines = layOutLabel(design, texts).flatMap((box) => box.lines);
    expect(svg.match(/<text /g)).toHaveLength(lines.length);
    expect(svg).toContain(`x="${Math.round((lines[0]?.x ?? 0) * 1000) / 1000}"`);
    expect(svg.match(/M[\d.]+ [\d.]+h/g)).toHaveLength(2);
  });

  it("writes what was typed as text, never as drawing", () => {
    expect(svg).toContain("Salt &amp; &lt;lake&gt;");
    expect(svg).not.toContain("<lake>");
  });
});
