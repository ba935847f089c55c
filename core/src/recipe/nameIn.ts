import { readLine } from "./readLine.ts";

/** What a line of a recipe names, without its amount: "2 tbsp moon jelly (blue)" names moon jelly. The line itself where it names nothing. */
export function nameIn(line: string): string {
  const reading = readLine(line);
  return reading.kind === "ingredient" && reading.name !== "" ? reading.name : line;
}
