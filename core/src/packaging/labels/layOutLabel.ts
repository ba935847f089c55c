import { LABEL_FONT, missingIn, mmOfPoints, textWidthMm } from "./labelFont.ts";
import type { LabelBox, LabelDesign, LabelTexts } from "./labelDesign.ts";

/** A line of text where it is printed: its start and its base line, mm. */
export interface LaidLine {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

export interface LaidBox {
  readonly box: LabelBox;
  readonly lines: readonly LaidLine[];
  /** As it is printed. */
  readonly points: number;
  /** "shrunk" below its size, or "does-not-fit" even at its least; "empty" without a text, "outside" beyond the label. */
  readonly state: "fits" | "shrunk" | "does-not-fit" | "empty" | "outside";
  /** Characters the font has no shape for. */
  readonly missing: readonly string[];
}

const STEP_POINTS = 0.1;
const NOISE = 1e-9;

/** What a box says: the maker's own words, else what the batch says. */
export function textOfBox({ field, text }: LabelBox, texts: LabelTexts): string {
  if (text !== "" || field === "text" || field === "qr") return text;
  return texts[field];
}

/**
 * Where every line of a label stands. Words are broken where a line is full; a text that is higher than its box shrinks by
 * tenths of a point to the least size, and then says that it does not fit: it is printed as it is.
 */
export function layOutLabel(design: LabelDesign, texts: LabelTexts): readonly LaidBox[] {
  return design.boxes.map((box) => {
    const text = textOfBox(box, texts).trim();
    const isOutside =
      box.x < -NOISE || box.y < -NOISE || box.x + box.width > design.widthMm + NOISE || box.y + box.height > design.heightMm + NOISE;
    if (box.field === "qr") return { box, lines: [], points: box.points, state: isOutside ? "outside" : "fits", missing: [] };
    if (text === "") return { box, lines: [], points: box.points, state: "empty", missing: [] };
    const { points, rows, fits } = sized(box, text);
    return {
      box,
      points,
      lines: rows.map((row, at) => placed(row, at, box, points)),
      state: isOutside ? "outside" : !fits ? "does-not-fit" : points < box.points - NOISE ? "shrunk" : "fits",
      missing: missingIn(text),
    };
  });
}

function sized(box: LabelBox, text: string): { readonly points: number; readonly rows: readonly string[]; readonly fits: boolean } {
  const least = Math.min(box.points, box.leastPoints);
  for (let points = box.points; ; points = Math.max(least, points - STEP_POINTS)) {
    const rows = brokenInto(text, box.width, points, box.isBold);
    const height = rows.length * mmOfPoints(points) * LABEL_FONT.line;
    const fits = height <= box.height + NOISE && rows.every((row) => textWidthMm(row, points, box.isBold) <= box.width + NOISE);
    if (fits || points <= least + NOISE) return { points: Math.round(points * 10) / 10, rows, fits };
  }
}

/** Lines of a text, broken at spaces; a word wider than the line stands on one of its own. */
function brokenInto(text: string, widthMm: number, points: number, isBold: boolean): readonly string[] {
  return text.split("\n").flatMap((paragraph) => {
    const rows: string[] = [];
    let row = "";
    for (const word of paragraph.split(" ")) {
      const longer = row === "" ? word : `${row} ${word}`;
      if (row !== "" && textWidthMm(longer, points, isBold) > widthMm + NOISE) {
        rows.push(row);
        row = word;
      } else row = longer;
    }
    return [...rows, row];
  });
}

function placed(text: string, at: number, box: LabelBox, points: number): LaidLine {
  const width = textWidthMm(text, points, box.isBold);
  const room = box.width - width;
  const x = box.x + (box.align === "left" ? 0 : box.align === "right" ? room : room / 2);
  const size = mmOfPoints(points);
  return { text, x, y: box.y + size * LABEL_FONT.ascent + at * size * LABEL_FONT.line, width };
}
