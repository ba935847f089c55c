import { fileAnswer } from "../../frame/fileAnswer.server";
import { labelSvg } from "./labelSvg";
import { textsFor } from "./textsFor";
import { labelPdf } from "./labelPdf.server";
import { openLabel, type LabelAsked } from "./label.server";
import type { LabelPaper } from "@tensidrum/core/packaging";

interface FileAsked extends LabelAsked {
  readonly paper: LabelPaper;
  readonly count: number | undefined;
  readonly from: number;
  readonly test: boolean;
}

/** The kept label as a PDF to print, or as a file. */
export async function labelFile(
  batchId: string,
  kind: "pdf" | "svg" | "json",
  { row, paper, count, from, test }: FileAsked,
): Promise<Response> {
  const open = await openLabel(batchId, { row, template: "" });
  const { design, qr, code, count: ofRow, sharedCount } = open;
  if (kind === "json") {
    return fileAnswer(`${JSON.stringify(design, null, 2)}\n`, { type: "application/json; charset=utf-8", name: `${code}-label.json` });
  }
  const of = textsFor(open, design);
  if (kind === "svg") return fileAnswer(labelSvg(design, of, qr), { type: "image/svg+xml", name: `${code}-label.svg` });
  const pdf = await labelPdf(design, { texts: of, qr, paper, from, count: count ?? (design.isShared ? sharedCount : ofRow), isTest: test });
  return fileAnswer(pdf, { type: "application/pdf", name: `${code}-labels.pdf` });
}
