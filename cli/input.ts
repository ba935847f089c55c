import { createReadStream } from "node:fs";
import { Refusal } from "@tensidrum/core/quantities";
import { LONGEST_FILE } from "@tensidrum/core/formats";

/** Longest character of UTF-8. */
const BYTES_PER_CHARACTER = 4;

/**
 * The text of a file, or of standard input for "-" and for no file. Reading stops as soon as it is too long.
 * @throws Refusal when there is no such file, it is no text, or too long.
 */
export async function readInput(file: string | undefined): Promise<string> {
  const isStandardInput = file === undefined || file === "-";
  const source = isStandardInput ? process.stdin : createReadStream(file);
  const name = isStandardInput ? "Standard input" : file;
  const chunks: Buffer[] = [];
  let bytes = 0;
  try {
    for await (const chunk of source) {
      const part = Buffer.from(chunk as Buffer);
      bytes += part.length;
      if (bytes > LONGEST_FILE * BYTES_PER_CHARACTER) throw tooLong(name);
      chunks.push(part);
    }
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw unreadable(name, (error as NodeJS.ErrnoException).code);
  }
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(Buffer.concat(chunks));
  } catch {
    throw new Refusal("not-valid", `${name} is not text in UTF-8.`, "Give a JSON file, saved as UTF-8.");
  }
}

function tooLong(name: string): Refusal {
  return new Refusal(
    "not-valid",
    `${name} is longer than ${LONGEST_FILE / 1e6} million characters.`,
    "Split it into smaller files, or leave out materials it does not use.",
  );
}

function unreadable(name: string, code: string | undefined): Refusal {
  if (code === "ENOENT") return new Refusal("not-found", `There is no file ${name}.`, "Check the path.");
  if (code === "EISDIR") return new Refusal("not-found", `${name} is a folder.`, "Name a file.");
  if (code === "EACCES") return new Refusal("not-found", `${name} may not be read.`, "Change its permissions, or copy it.");
  return new Refusal("not-found", `${name} cannot be read.`, "Check the path and the disk.");
}
