import { Refusal } from "@tensidrum/core/formula";
import Joi from "joi";
import { lotColumns, type ColumnChoice } from "./columns";
import type { ChosenRows } from "./importLots.server";

export interface ImportForm {
  readonly intent: "read" | "columns" | "import";
  readonly content: Uint8Array | string;
  readonly columns: ColumnChoice | null;
  readonly chosen: ChosenRows;
}

const MOST_COLUMNS = 60;

const schema = Joi.object<{ intent: ImportForm["intent"]; columns: Record<string, number | "">; rows: number[] }>({
  intent: Joi.string().valid("read", "columns", "import").required(),
  columns: Joi.object().pattern(
    Joi.string().valid(...lotColumns.map(({ field }) => field)),
    Joi.number()
      .integer()
      .min(0)
      .max(MOST_COLUMNS - 1)
      .allow(""),
  ),
  rows: Joi.array().items(Joi.number().integer().min(0)).max(1000),
});

/** Reads the form of an import: a file where one was chosen, else the pasted text. */
export async function readImportForm(form: FormData): Promise<ImportForm> {
  const asked = lotColumns.flatMap(({ field }) => {
    const at = form.get(`column-${field}`);
    return typeof at === "string" ? [[field, at] as const] : [];
  });
  const { value, error } = schema.validate({ intent: form.get("intent"), columns: Object.fromEntries(asked), rows: form.getAll("row") });
  if (error !== undefined)
    throw new Refusal("not-possible", "The form is not as this page sends it.", "Load the page again and repeat it.");
  const file = form.get("file");
  const text = form.get("text");
  const chosenColumns = Object.entries(value.columns).filter((entry): entry is [string, number] => entry[1] !== "");
  return {
    intent: value.intent,
    content: file instanceof File && file.size > 0 ? new Uint8Array(await file.arrayBuffer()) : typeof text === "string" ? text : "",
    columns: value.intent === "read" ? null : (Object.fromEntries(chosenColumns) as ColumnChoice),
    chosen: { rows: new Set(value.rows), below: form.get("below") === "on" },
  };
}
