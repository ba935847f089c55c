import { Refusal } from "@tensidrum/core/quantities";
import Joi from "joi";
import type { RowColumn, TypedRow } from "./rows";
import { idField } from "../frame/readForm.server";

export const MOST_ROWS = 12;

const schema = Joi.object<{ id: string[]; cells: string[][] }>({
  id: Joi.array().items(idField).unique().max(MOST_ROWS),
  cells: Joi.array().items(Joi.array().items(Joi.string().allow("").trim().max(200)).max(MOST_ROWS)),
});

/** Reads a form of rows; a row left wholly empty is none. */
export function readRows(form: FormData, columns: readonly RowColumn[]): readonly TypedRow[] {
  const raw = { id: form.getAll("id"), cells: columns.map(({ field }) => form.getAll(field)) };
  const { value, error } = schema.validate(raw);
  if (error !== undefined || value.cells.some((column) => column.length !== value.id.length)) {
    throw new Refusal("not-possible", "The form is not as this page sends it.", "Load the page again and repeat the change.");
  }
  return value.id
    .map((id, row) => ({ id, cells: Object.fromEntries(columns.map(({ field }, column) => [field, value.cells[column]?.[row] ?? ""])) }))
    .filter(({ cells }) => Object.values(cells).some((cell) => cell !== ""));
}
