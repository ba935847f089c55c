import { darkRuns } from "./darkRuns";
import { layOutLabel, mmOfPoints, type LabelDesign, type LabelTexts } from "@tensidrum/core/packaging";

const written = (mm: number): string => String(Math.round(mm * 1000) / 1000);
const signs: Readonly<Record<string, string>> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" };
const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => signs[sign] ?? sign);

/** One label as a drawing in millimetres: every line where the print has it. */
export function labelSvg(design: LabelDesign, texts: LabelTexts, qr: readonly (readonly boolean[])[]): string {
  const { widthMm, heightMm } = design;
  const boxes = layOutLabel(design, texts).map(({ box, lines, points }) => {
    if (box.field === "qr") return `<path d="${squares(qr, box)}"/>`;
    const look = `font-size="${written(mmOfPoints(points))}" font-weight="${box.isBold ? 700 : 400}"`;
    return lines
      .filter(({ text }) => text !== "")
      .map(
        ({ text, x, y, width }) =>
          `<text x="${written(x)}" y="${written(y)}" textLength="${written(width)}" ${look}>${escaped(text)}</text>`,
      )
      .join("");
  });
  const size = `width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}"`;
  const paper = `<rect width="${widthMm}" height="${heightMm}" fill="#fff"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} font-family="Sofia Sans, sans-serif" fill="#000">${paper}${boxes.join("")}</svg>\n`;
}

function squares(
  qr: readonly (readonly boolean[])[],
  box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number },
): string {
  const side = Math.min(box.width, box.height) / Math.max(1, qr.length);
  return darkRuns(qr)
    .map(
      ({ x, y, length }) =>
        `M${written(box.x + x * side)} ${written(box.y + y * side)}h${written(length * side)}v${written(side)}h-${written(length * side)}z`,
    )
    .join("");
}
