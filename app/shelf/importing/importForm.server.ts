import { choice, file, group, keyed, list, tick, verbatim, whole, type TypedOf } from "../../frame/fields.server";
import { jobField } from "../../frame/progress/progress.server";
import { lotColumns, materialColumns, type ColumnChoice } from "./columns";
import type { ChosenRows } from "./importList.server";
import type { ImportKind } from "./importRow";
import { tooLargeFile, MOST_BYTES } from "./readTable.server";

const MOST_COLUMNS = 60;
const MOST_CHOSEN = 1000;
const fields: readonly string[] = [...new Set([...lotColumns, ...materialColumns].map(({ field }) => field))];
const kinds = ["lots", "materials", "file"] as const;

/** The form of an import: a list or a file, what it is of, which column is what, which rows are taken. */
export const importForm = group({
  intent: choice(["read", "columns", "import"]),
  file: file(),
  text: verbatim(MOST_BYTES),
  kind: choice(["", ...kinds], ""),
  /** What it was read as; then the columns stand for that. */
  wasKind: choice(["", ...kinds], ""),
  /** Identifier of the import, for its bar. */
  job: jobField(),
  columns: keyed(whole(0, MOST_COLUMNS - 1).allow("")).custom((columns: object, helpers) =>
    Object.keys(columns).every((field) => fields.includes(field)) ? columns : helpers.error("object.unknown"),
  ),
  row: list(whole(0, Number.MAX_SAFE_INTEGER), MOST_CHOSEN),
  below: tick(),
});
export type TypedImport = TypedOf<typeof importForm>;

export interface WantedImport {
  readonly content: Uint8Array | string;
  readonly kind: ImportKind | null;
  readonly columns: ColumnChoice | null;
  readonly chosen: ChosenRows;
}

/** What is to be imported: a file where one was chosen, else the pasted text. */
export async function wantedImport(typed: TypedImport): Promise<WantedImport> {
  const kind = typed.kind === "" ? null : typed.kind;
  const chosen = Object.entries(typed.columns).filter((entry): entry is [string, number] => typeof entry[1] === "number");
  // Read as something else now, the columns are to be guessed anew.
  const isSameKind = typed.wasKind === "" || kind === typed.wasKind;
  return {
    content: await contentOf(typed),
    kind,
    columns: typed.intent === "read" || !isSameKind ? null : Object.fromEntries(chosen),
    chosen: { rows: new Set(typed.row), below: typed.below },
  };
}

async function contentOf(typed: TypedImport): Promise<Uint8Array | string> {
  if (typed.file === undefined) return typed.text;
  if (typed.file.size > MOST_BYTES) throw tooLargeFile();
  return new Uint8Array(await typed.file.arrayBuffer());
}
