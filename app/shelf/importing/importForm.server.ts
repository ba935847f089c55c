import { Refusal } from "@tensidrum/core/quantities";
import Joi from "joi";
import { lotColumns, materialColumns, type ColumnChoice } from "./columns";
import type { ChosenRows } from "./importList.server";
import type { ImportKind } from "./importRow";
import { tooLargeFile, MOST_BYTES } from "./readTable.server";

export interface ImportForm {
  readonly intent: "read" | "columns" | "import";
  readonly content: Uint8Array | string;
  readonly kind: ImportKind | null;
  readonly columns: ColumnChoice | null;
  readonly chosen: ChosenRows;
  /** Identifier of the import, for its bar. */
  readonly job: string;
}

const MOST_COLUMNS = 60;
const PREFIX = "column-";
const fields: readonly string[] = [...new Set([...lotColumns, ...materialColumns].map(({ field }) => field))];

interface RawForm {
  intent: ImportForm["intent"];
  kind?: ImportKind | "";
  wasKind?: ImportKind;
  job: string;
  columns: Record<string, number | "">;
  rows: number[];
}

const schema = Joi.object<RawForm>({
  intent: Joi.string().valid("read", "columns", "import").required(),
  kind: Joi.string().valid("", "lots", "materials", "file"),
  wasKind: Joi.string().valid("lots", "materials", "file"),
  job: Joi.string().allow("").max(40).default(""),
  columns: Joi.object().pattern(
    Joi.string().valid(...fields),
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
  const asked = [...form].flatMap(([key, at]) =>
    key.startsWith(PREFIX) && typeof at === "string" ? [[key.slice(PREFIX.length), at]] : [],
  );
  const { value, error } = schema.validate({
    intent: form.get("intent"),
    kind: form.get("kind") ?? undefined,
    wasKind: form.get("wasKind") ?? undefined,
    job: form.get("job") ?? undefined,
    columns: Object.fromEntries(asked),
    rows: form.getAll("row"),
  });
  if (error !== undefined)
    throw new Refusal("not-possible", "The form is not as this page sends it.", "Load the page again and repeat it.");
  const kind = value.kind === "" || value.kind === undefined ? null : value.kind;
  const chosenColumns = Object.entries(value.columns).filter((entry): entry is [string, number] => entry[1] !== "");
  // Read as something else now, the columns are to be guessed anew.
  const isSameKind = value.wasKind === undefined || kind === value.wasKind;
  return {
    intent: value.intent,
    content: await contentOf(form),
    kind,
    columns: value.intent === "read" || !isSameKind ? null : Object.fromEntries(chosenColumns),
    chosen: { rows: new Set(value.rows), below: form.get("below") === "on" },
    job: value.job,
  };
}

async function contentOf(form: FormData): Promise<Uint8Array | string> {
  const file = form.get("file");
  if (file instanceof File && file.size > 0) {
    if (file.size > MOST_BYTES) throw tooLargeFile();
    return new Uint8Array(await file.arrayBuffer());
  }
  const text = form.get("text");
  return typeof text === "string" ? text : "";
}
