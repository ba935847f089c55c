import { text } from "../../frame/fields.server";
import { readingFields, type ReadingField, type ReadReadings, type TypedReadings } from "./fields";

/** The fields of what was measured, for a form. */
export const readingForm = Object.fromEntries(readingFields.map(({ field }) => [field, text(20)])) as Record<
  ReadingField,
  ReturnType<typeof text>
>;

/** What was read, as it would be typed. */
export function typedReadings(read: Partial<ReadReadings> | undefined): TypedReadings {
  return Object.fromEntries(readingFields.map(({ field }) => [field, read?.[field] == null ? "" : String(read[field])])) as TypedReadings;
}
