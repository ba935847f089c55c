import { getLocation, parse, type ParseError } from "jsonc-parser";
import { Refusal } from "../quantities/refusal.ts";
import { pathText } from "./faults.ts";

/** Longest file taken, in characters. */
export const LONGEST_FILE = 20_000_000;

/** Lists and objects in each other that any file of ours could need, many times over. */
const DEEPEST = 64;

/**
 * Reads JSON text.
 * @throws Refusal naming the line and the field where it stops being JSON, or that the text is too long or nested too deep.
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
  if (isDeeperThan(text, DEEPEST)) {
    throw new Refusal(
      "not-valid",
      `The file opens more than ${DEEPEST} lists or objects inside each other.`,
      "Close every bracket, and nest lists less deeply.",
    );
  }
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw notJson(text);
  }
}

const QUOTE = 34;
const BACKSLASH = 92;
const OPENING = new Set([91, 123]);
const CLOSING = new Set([93, 125]);

/** Whether brackets outside of strings are ever open deeper than that. Looks at each character once, before anything walks. */
function isDeeperThan(text: string, deepest: number): boolean {
  let depth = 0;
  let isString = false;
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at);
    if (isString) {
      if (code === BACKSLASH) at += 1;
      else if (code === QUOTE) isString = false;
    } else if (code === QUOTE) isString = true;
    else if (OPENING.has(code)) {
      depth += 1;
      if (depth > deepest) return true;
    } else if (CLOSING.has(code)) depth -= 1;
  }
  return false;
}

/** Where the text stops being JSON. */
function firstFault(text: string): { readonly offset: number; readonly path: string } {
  const errors: ParseError[] = [];
  parse(text, errors);
  const offset = errors[0]?.offset ?? 0;
  return { offset, path: pathText(getLocation(text, offset).path) };
}

function notJson(text: string): Refusal {
  const { offset, path } = firstFault(text);
  const before = text.slice(0, offset);
  const line = before.split("\n").length;
  const column = offset - before.lastIndexOf("\n");
  const word = /^[^\s,\]}]{1,20}/.exec(text.slice(offset))?.[0] ?? "";
  const at = path === "" ? "" : ` at ${path}`;
  const found = word === "" ? "" : `, at ${word}`;
  const message = `The file is not JSON${at}: it breaks off in line ${line}, column ${column}${found}.`;
  return new Refusal("not-valid", message, "Fix that place; numbers are written plainly, text in quotes.", [{ path, message }]);
}
