import { labelGrid, layOutLabel, paperOf, type LabelDesign, type LabelPaper, type LabelTexts } from "@tensidrum/core/packaging";
import { Refusal } from "@tensidrum/core/quantities";
import { darkRuns } from "./darkRuns";
import { createRequire } from "node:module";
import PDFDocument from "pdfkit";

const require = createRequire(import.meta.url);
const POINTS_PER_MM = 72 / 25.4;
/** The rule of a test print, mm. */
const RULE_MM = 50;
const EDGE_MM = 8;
const HAIR_POINTS = 0.3;

interface Printing {
  readonly texts: LabelTexts;
  /** Squares of the code. */
  readonly qr: readonly (readonly boolean[])[];
  readonly paper: LabelPaper;
  readonly count: number;
  /** The first place of the first sheet that is free, from 1. */
  readonly from: number;
  /** One label beside a rule of 50 mm. */
  readonly isTest: boolean;
}

/**
 * Labels as a PDF to true scale: every line where the layout has it, the letters of the application embedded.
 * @throws Refusal where not one label has room on the paper.
 */
export async function labelPdf(design: LabelDesign, { texts, qr, paper, count, from, isTest }: Printing): Promise<Uint8Array<ArrayBuffer>> {
  const page = paperOf(paper);
  const { places } = labelGrid(design, paper, { edgeMm: EDGE_MM });
  if (places.length === 0) {
    throw new Refusal(
      "not-possible",
      `A label of ${design.widthMm} by ${design.heightMm} mm has no room on ${page.name}.`,
      "Make it smaller, or choose another paper.",
    );
  }
  const doc = new PDFDocument({
    size: [page.widthMm * POINTS_PER_MM, page.heightMm * POINTS_PER_MM],
    margin: 0,
    autoFirstPage: false,
    info: { Title: design.name },
  });
  const chunks: Buffer[] = [];
  const isDone = new Promise<void>((resolve, reject) => {
    doc.on("data", (chunk: Buffer) => chunks.push(chunk));
    doc.on("end", resolve);
    doc.on("error", reject);
  });
  for (const [name, weight] of Object.entries(weights)) {
    doc.registerFont(name, require.resolve(`@fontsource/sofia-sans/files/sofia-sans-latin-${weight}-normal.woff`));
  }
  const laid = layOutLabel(design, texts);
  const wanted = isTest ? 1 : count;
  const free = isTest ? 0 : Math.min(from, places.length) - 1;
  for (let at = free; at < free + wanted; at += 1) {
    if (at === free || at % places.length === 0) doc.addPage();
    const place = places[at % places.length] ?? { x: 0, y: 0 };
    drawLabel(doc, { design, laid, qr, place, isCut: page.cut !== undefined });
  }
  if (isTest) drawRule(doc, page.heightMm);
  doc.end();
  await isDone;
  return new Uint8Array(Buffer.concat(chunks));
}

const weights = { regular: 400, bold: 700 } as const;

interface Drawing {
  readonly design: LabelDesign;
  readonly laid: ReturnType<typeof layOutLabel>;
  readonly qr: Printing["qr"];
  readonly place: { readonly x: number; readonly y: number };
  /** Labels that are cut already need no line to cut by. */
  readonly isCut: boolean;
}

function drawLabel(doc: PDFKit.PDFDocument, { design, laid, qr, place, isCut }: Drawing): void {
  const at = (mm: number): number => mm * POINTS_PER_MM;
  if (!isCut) doc.lineWidth(HAIR_POINTS).rect(at(place.x), at(place.y), at(design.widthMm), at(design.heightMm)).stroke("#888888");
  doc.fillColor("#000000");
  for (const { box, lines, points } of laid) {
    if (box.field === "qr") {
      const square = Math.min(box.width, box.height) / Math.max(1, qr.length);
      for (const { x, y, length } of darkRuns(qr))
        doc.rect(at(place.x + box.x + x * square), at(place.y + box.y + y * square), at(length * square), at(square));
      doc.fill("#000000");
      continue;
    }
    doc.font(box.isBold ? "bold" : "regular").fontSize(points);
    for (const line of lines) {
      doc.text(line.text, at(place.x + line.x), at(place.y + line.y), {
        lineBreak: false,
        baseline: "alphabetic",
        features: { kern: false, liga: false } as never,
      });
    }
  }
}

/** 50 mm to lay a ruler against: a printer that fits the page to its paper shows here. */
function drawRule(doc: PDFKit.PDFDocument, pageHeightMm: number): void {
  const at = (mm: number): number => mm * POINTS_PER_MM;
  const y = at(pageHeightMm - 2 * EDGE_MM);
  doc
    .lineWidth(0.6)
    .moveTo(at(EDGE_MM), y)
    .lineTo(at(EDGE_MM + RULE_MM), y);
  for (const mm of [0, 10, 20, 30, 40, RULE_MM]) doc.moveTo(at(EDGE_MM + mm), y - 5).lineTo(at(EDGE_MM + mm), y + 5);
  doc.stroke("#000000");
  doc
    .font("regular")
    .fontSize(8)
    .text("50 mm: print at 100 %", at(EDGE_MM), y + 8, { lineBreak: false });
}
