import { commands } from "./commands";

const NAME_WIDTH = 11;

/** What tensid can do and how it is called. */
export function helpText(): string {
  const list = [...commands].map(([name, { summary, format }]) => {
    const reads = format === null ? "reads nothing" : `reads ${format}`;
    return `  ${name.padEnd(NAME_WIDTH)} ${summary}\n  ${" ".repeat(NAME_WIDTH)} ${reads}`;
  });
  return [
    "tensid COMMAND [FILE|-]",
    "",
    "Reads JSON from a file, or from standard input, and prints JSON. Input that cannot be taken ends with code 2 and",
    "a sentence that names the field. The formats are described in docs/formats/.",
    "",
    ...list,
    "",
    "tensid backup [FILE]   everything of yours into one file, without the application",
    "tensid restore FILE    makes everything as it is in the file; says what would change first",
    "",
  ].join("\n");
}
