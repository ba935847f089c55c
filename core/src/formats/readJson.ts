import { getLocation, parse, type ParseError } from "jsonc-parser";
import { Refusal } from "../formula/refusal.ts";
import { pathText } from "./faults.ts";

/** Longest file taken, in characters. */
export const LONGEST_FILE = 20_000_000;

/**
 * Reads JSON text.
 * @throws Refusal naming the line and the field where it stops being JSON, or that the text is too long.
 */
export function readJson(text: string): unknown {
  if (text.length > LONGEST_FILE) {
    throw new Refusal(
      "not-valid",
      `The file has more than ${LONGEST_FILE / 1e6} million characters.`,
      "Split it into smaller files, or leave out materials it does not use.",
    );
  }
  if (text.trim() === "") throw new Refusal("not-valid", "The file is empty.", "Give a file in one of the open formats.");
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw notJson(text);
  }
}

/** Where the text stops being JSON; null when it is nested too deep to tell. */
function firstFault(text: string): { readonly offset: number; readonly path: string } | null {
  try {
    const errors: ParseError[] = [];
    parse(text, errors);
    const offset = errors[0]?.offset ?? 0;
    return { offset, path: pathText(getLocation(text, offset).path) };
  } catch {
    return null;
  }
}

function notJson(text: string): Refusal {
  const fault = firstFault(text);
  if (fault === null) {
    return new Refusal(
      "not-valid",
      "The file is not JSON: brackets are opened without end.",
      "Close every bracket, and nest lists less deeply.",
    );
  }
  const { offset, path } = fault;
  const before = text.slice(0, offset);
  const line = before.split("\n").length;
  const column = offset - before.lastIndexOf("\n");
  const word = /^[^\s,\]}]{1,20}/.exec(text.slice(offset))?.[0] ?? "";
  const at = path === "" ? "" : ` at ${path}`;
  const found = word === "" ? "" : `, at ${word}`;
  const message = `The file is not JSON${at}: it breaks off in line ${line}, column ${column}${found}.`;
  return new Refusal("not-valid", message, "Mend that place; numbers are written plainly, text in quotes.", [{ path, message }]);
}
