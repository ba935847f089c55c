import { Refusal } from "@tensidrum/core/quantities";
import Papa from "papaparse";

export interface Table {
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Longest table that is read in one go. */
const MOST_ROWS = 5000;
export const MOST_BYTES = 12_000_000;
const MOST_COLUMNS = 60;

/**
 * Reads a table of a file or of pasted text. The delimiter is found out; text that is not UTF-8 is read as the older
 * Western encoding spreadsheets still write.
 */
export function readTable(content: Uint8Array | string): Table {
  const text = decodedText(content);
  if (text.trim() === "") throw new Refusal("not-valid", "There is nothing to read.", "Choose a file, or paste the rows with their heads.");
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: "greedy", delimitersToGuess: [",", ";", "\t", "|"] });
  const [heads = [], ...rows] = data;
  if (rows.length > MOST_ROWS) throw tooLong(`The table has ${rows.length.toLocaleString("en-GB")} rows.`);
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

/**
 * The text of a list, whatever it was written in.
 * @throws Refusal when it is too large.
 */
export function decodedText(content: Uint8Array | string): string {
  if (content.length > MOST_BYTES) throw tooLargeFile();
  return (typeof content === "string" ? content : decoded(content)).replace(/^\uFEFF/, "");
}

function tooLong(what: string): Refusal {
  return new Refusal("not-valid", what, `Import it in parts of up to ${MOST_ROWS.toLocaleString("en-GB")} rows.`);
}

export function tooLargeFile(): Refusal {
  return tooLong(`The file is larger than ${MOST_BYTES / 1e6} MB.`);
}

function decoded(bytes: Uint8Array): string {
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder("windows-1252").decode(bytes);
  }
}
