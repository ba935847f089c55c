import { readJson, readLabelDesign } from "@tensidrum/core/formats";
import { labelPapers, labelTemplates, type LabelDesign } from "@tensidrum/core/packaging";
import { Refusal } from "@tensidrum/core/quantities";
import { choice, group, id, text, tick, whole } from "../../frame/fields.server";
import { readAddress, readForm, readQuestions } from "../../frame/readForm.server";

const papers = labelPapers.map(({ id: of }) => of);
const MOST_LABELS = 500;

/** Which containers of the batch the label is for, and how it begins where none is kept. */
const questions = group({
  row: text(120),
  template: choice(["", ...labelTemplates], ""),
  paper: choice(papers, "a4"),
  count: whole(1, MOST_LABELS),
  /** The first place of the first sheet that is free. */
  from: whole(1, MOST_LABELS).default(1),
  /** One label with a rule to measure. */
  test: tick(),
});

/** Reads for which containers a label is asked, and how it is to be printed. */
export const readLabelQuestions = (request: Request) => readQuestions(questions, request);

/** Reads the identifier of a batch from an address. */
export function readBatch(batch: string | undefined): string {
  const nothing = () => new Refusal("not-found", "No batch lies at this address.", "Go to Fill and look for it there.");
  return readAddress(group({ batch: id() }), { batch }, nothing).batch;
}

const sent = group({ row: text(120), design: text(200_000) });

/** Reads the label a page sends. */
export async function readSentLabel(request: Request): Promise<{ readonly row: string; readonly design: LabelDesign }> {
  const { typed } = readForm(sent, await request.formData());
  return { row: typed.row, design: readLabelDesign(readJson(typed.design)) };
}
