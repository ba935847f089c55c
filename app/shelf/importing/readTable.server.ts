import { Refusal } from "@tensidrum/core/formula";
import Papa from "papaparse";

export interface Table {
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Longest table that is read in one go. */
const MOST_ROWS = 5000;
const MOST_BYTES = 4_000_000;
const MOST_COLUMNS = 60;

/**
 * Reads a table of a file or of pasted text. The delimiter is found out; text that is not UTF-8 is read as the older
 * Western encoding spreadsheets still write.
 */
export function readTable(content: Uint8Array | string): Table {
  if (content.length > MOST_BYTES) throw tooLong();
  const text = (typeof content === "string" ? content : decoded(content)).replace(/^\uFEFF/, "");
  if (text.trim() === "") throw new Refusal("not-valid", "There is nothing to read.", "Choose a file, or paste the rows with their heads.");
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: "greedy", delimitersToGuess: [",", ";", "\t", "|"] });
  const [heads = [], ...rows] = data;
  if (rows.length > MOST_ROWS) throw tooLong(rows.length);
  if (heads.length < 2 || heads.length > MOST_COLUMNS) {
    throw new Refusal(
      "not-valid",
      heads.length < 2 ? "Only one column was found." : `${heads.length} columns were found.`,
      "The first line names the columns, separated by commas, semicolons or tabs.",
    );
  }
  if (rows.length === 0) throw new Refusal("not-valid", "There are heads, but no rows below them.", "Paste the rows too.");
  return { heads, rows };
}

function tooLong(rows?: number): Refusal {
  const what = rows === undefined ? "The file is larger than 4 MB." : `The table has ${rows.toLocaleString("en-GB")} rows.`;
  return new Refusal("not-valid", what, `Bring it in in parts of up to ${MOST_ROWS.toLocaleString("en-GB")} rows.`);
}

function decoded(bytes: Uint8Array): string {
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder("windows-1252").decode(bytes);
  }
}
