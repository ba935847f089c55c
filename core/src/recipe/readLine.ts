import { amountsIn, withCountsMultiplied, type Amount } from "./amounts.ts";
import { chosenAmounts, without } from "./chosenAmounts.ts";

/** What one line of a recipe says, before the lines are seen together. */
export type LineReading =
  | { readonly kind: "blank" | "note" | "columns" }
  | { readonly kind: "phase"; readonly title: string; readonly letter: string | null }
  | { readonly kind: "total"; readonly amounts: readonly Amount[] }
  /** The recipe leaves an end open, or names what is of one's own choice. */
  | { readonly kind: "open"; readonly name: string }
  | {
      readonly kind: "ingredient";
      readonly name: string;
      readonly amounts: readonly Amount[];
      readonly takesTheRest: boolean;
      /** The amount is found by the pH; a percent beside it is the strength: "NaOH 10 %, to pH 5.5". */
      readonly isByPh?: boolean;
      /** What the rest fills up to, as in "water to 500 g". */
      readonly whole?: Amount;
      /** What the line said beside name and amount. */
      readonly note: string;
    };

const BULLET = /^\s*(?:[-–—*•·▪◦+>]|\[[ x]?\]|\d{1,2}[.)](?=\s+\D))\s+/u;
const REST =
  /\(?\b(?:q\.?\s?s\.?(?:\s?p\.?)?(?:\s?(?:to|ad))?(?:\s?100(?:\s?(?:%|g|ml|percent))?)?|(?:top\s)?(?:up\s)?to\s(?:make\s)?100(?:[.,]0+)?(?:\s?(?:%|g|ml|percent))?|ad\s100(?:\s?(?:%|g|ml))?|(?:the\s)?(?:rest|remainder|balance|remaining)(?:\sto\s100(?:\s?%)?)?)(?![\p{L}\p{N}])\)?\.?/iu;
const OPEN =
  /\b(?:rest|remainder|remaining)\b.*\b(?:up to you|your choice|as you like|of your choice)\b|\bup to you\b|\bof your choice\b(?!.*\d)/iu;
const PHASE = /^(?:phase|part)\s+([A-Z]|\d)\b\s*[:.)\-–—]?\s*(.*)$/iu;
const LETTER_ALONE = /^([A-H])\s*[:.)\-–—]?$/u;
const TOTAL = /^(?:in\s)?(?:total|sum|batch(?: size)?|makes|yields?|for)\b\s*:?/iu;
const TOTAL_INSIDE = /\b(?:makes?|yields?|batch)\b/iu;
const HEADING = /^[^\d%]{2,60}:\s*(?:\([^)]{0,40}\))?\s*$/u;
/** A heading without a colon: "Oil phase", "Cool down (below 40 °C)". */
const PHASE_TITLE = /^(?:(?:the\s+)?(?:\p{L}+[\s-]){1,3}(?:phase|part|layer)|cool[\s-]?down|(?:to\s)?finish)\s*(?:\([^)]{0,40}\))?\s*:?$/iu;
/** Signs that only set a line apart: of headings and of bold words. */
const MARKUP = /^#{1,6}\s+|^\*{1,2}(?=\S)|\*{1,2}$|^_{1,2}(?=\S)|_{1,2}$/gu;
const COLUMNS = /^(?:ingredients?|materials?|name|inci|raw materials?)\b.*(?:%|percent|gram|\bg\b|amount|weight)/iu;
const METHOD_HEADING = /^(?:method|directions?|instructions?|procedure|steps?|notes?|tips?|ingredients?|equipment|you (?:will )?need)\b/iu;
const INSTRUCTION =
  /^(?:method|directions?|instructions?|procedure|steps?|notes?|tip|mix|stir|heat|combine|melt|blend|let|leave|dissolve|adjust|check|cool|whisk|then|when|pour|bottle|keep|rest|sprinkle|hydrate|ingredients?)\b/iu;
const ORDER = /^(?:add|weigh|use|take|plus|and|then add)\s+(?=(?:\d|half|a |an |one|two|about|~|½|¼|¾))/iu;

/** A line that is longer, once its spaces are single ones, is prose and no line of a recipe; characters. */
export const LONGEST_LINE = 300;

/** Runs of spaces as one, runs with a tab as one tab: what is read afterwards never goes back over them. */
export function withSingleSpaces(text: string): string {
  return text.replace(/\s+/gu, (run) => (run.includes("\t") ? "\t" : " ")).trim();
}

/** Reads one line by itself. */
export function readLine(raw: string): LineReading {
  const single = withSingleSpaces(raw);
  if (single.length > LONGEST_LINE) return { kind: "note" };
  const text = single
    .replace(MARKUP, "")
    .replace(BULLET, "")
    .replace(MARKUP, "")
    .replace(/^\|\s*|\s*\|$/gu, "")
    .trim();
  if (text === "" || /^[-–—=_*|\s]+$/u.test(text)) return { kind: "blank" };
  // A row of numbers alone names nothing.
  if (!/\p{L}/u.test(text)) return { kind: "note" };
  const phase = PHASE.exec(text);
  if (phase !== null && amountsIn(phase[2] ?? "").length === 0) {
    return { kind: "phase", letter: letterOf(phase[1] ?? ""), title: titleOf(phase[2] ?? "") };
  }
  const letter = LETTER_ALONE.exec(text);
  if (letter !== null) return { kind: "phase", letter: letter[1] ?? null, title: "" };
  if (PHASE_TITLE.test(text) && !/^(?:this|that|each|both)\b/iu.test(text)) {
    return { kind: "phase", letter: null, title: titleOf(text) };
  }
  if (COLUMNS.test(text) && amountsIn(text).length === 0) return { kind: "columns" };
  if (HEADING.test(text)) {
    return METHOD_HEADING.test(text) ? { kind: "note" } : { kind: "phase", letter: null, title: titleOf(text) };
  }
  const open = OPEN.exec(text);
  if (open !== null) return { kind: "open", name: isEnd(open[0]) ? "" : nameAndNote(text.replace(open[0], " ")).name };
  if (TOTAL.test(text)) {
    const amounts = amountsIn(text);
    return amounts.length > 0 ? { kind: "total", amounts } : { kind: "note" };
  }
  if (TOTAL_INSIDE.test(text)) {
    const masses = amountsIn(text).filter(({ unit }) => unit !== "bare" && unit !== "percent" && unit !== "part");
    if (masses.length === 1) return { kind: "total", amounts: masses };
  }
  return ingredientOf(text.replace(ORDER, ""));
}

const isEnd = (said: string): boolean => /^(?:rest|remainder|remaining)\b/iu.test(said);

/** A heading without its colon, and without the temperature, which becomes the phase's own. */
function titleOf(heading: string): string {
  return heading
    .replace(
      /(?:\b(?:heat|heated|warm|warmed|cool|cooled|below|under|above|about|at|up|to)\s+)*\d{1,3}(?:\s?(?:-|–|to)\s?\d{1,3})?\s?°?\s?[CF]\b/giu,
      "",
    )
    .replace(/[()]/gu, " ")
    .replace(/\s+/gu, " ")
    .replace(/^[\s:,–—-]+|[\s:,–—-]+$/gu, "");
}

/** Phases counted by numbers have letters on a sheet. */
function letterOf(written: string): string {
  return /\d/u.test(written) ? String.fromCharCode("A".charCodeAt(0) + Math.max(0, Number(written) - 1)) : written.toUpperCase();
}

const CELL_EDGE = /\s*[|\t]\s*/u;

/** A row of a table: the name stands in the one cell with words, amounts in the others. Null for any other line. */
function cellsOf(text: string): { readonly name: string; readonly amounts: string } | null {
  const cells = text.split(CELL_EDGE).filter((cell) => cell.trim() !== "");
  const names = cells.filter((cell) => /\p{L}{2,}/u.test(cell) && !/^[\d.,\s]+\p{L}+\.?$/u.test(cell) && !REST.test(cell));
  const [name] = names;
  if (cells.length < 2 || names.length !== 1 || name === undefined) return null;
  return { name, amounts: cells.filter((cell) => cell !== name).join(" | ") };
}

/** An amount that is found while it is made: it stands beside the line, which asks for a number. */
const FOUND_LATER =
  /\b(?:(?:q\.?s\.?\s+)?(?:to|until|for|adjust(?:ed)?(?:\sto)?)\s+(?:a\s+)?pH\s*(?:of\s+|is\s+)?\d+(?:[.,]\d+)?(?:\s*(?:-|–|to)\s*\d+(?:[.,]\d+)?)?|q\.?s\.?,?\s+pH\s*\d+(?:[.,]\d+)?|(?:to|for)\s+taste|as\s+(?:needed|required|wanted|you\s+like)|if\s+needed|to\s+thicken|a\s+(?:little|bit))\b/iu;

/** "Adjust the pH to 5.5 with lactic acid" names what goes in. */
const ADJUST_WITH = /^adjust\b(.{0,40}\bpH\b.{0,40})\bwith\s+(?:a\s+little\s+|some\s+|the\s+)?(.{2,60}?)[.!]?$/iu;

function ingredientOf(typed: string): LineReading {
  const [, aim, agent] = ADJUST_WITH.exec(typed) ?? [];
  if (aim !== undefined && agent !== undefined) {
    return { kind: "ingredient", name: nameAndNote(agent).name, amounts: [], takesTheRest: false, note: aim.trim() };
  }
  const later = FOUND_LATER.exec(typed);
  if (later === null) return amountedOf(withCountsMultiplied(typed));
  const reading = amountedOf(withCountsMultiplied(`${typed.slice(0, later.index)} ${typed.slice(later.index + later[0].length)}`.trim()));
  if (reading.kind !== "ingredient") return reading;
  const isByPh = /\bpH\b/iu.test(later[0]);
  return { ...reading, ...(isByPh ? { isByPh } : {}), note: [reading.note, later[0]].filter((part) => part !== "").join("; ") };
}

function amountedOf(text: string): LineReading {
  const cells = cellsOf(text);
  if (cells !== null) {
    const amounts = amountsIn(cells.amounts);
    const takesTheRest = REST.test(cells.amounts);
    if (amounts.length > 0 || takesTheRest) {
      return { kind: "ingredient", ...nameAndNote(cells.name), amounts: takesTheRest ? [] : amounts, takesTheRest };
    }
  }
  const filled = filledUp(text);
  if (filled !== null) return filled;
  const rest = REST.exec(text);
  const isWordOnly =
    rest !== null && /^rest$/iu.test(rest[0]) && INSTRUCTION.test(text) && !/^rest\s+(?:of\s+)?(?:\w+\s)?water/iu.test(text);
  if (rest !== null && !isWordOnly) {
    const left = `${text.slice(0, rest.index)} ${text.slice(rest.index + rest[0].length)}`;
    const { name, note } = nameAndNote(left.replace(/\b100\s?(?:%|g|ml)?\s*$/iu, ""));
    return { kind: "ingredient", name, amounts: [], takesTheRest: true, note };
  }
  if (INSTRUCTION.test(text)) return { kind: "note" };
  const placed = amountsIn(text);
  const chosen = chosenAmounts(text, placed);
  if (chosen.length === 0) {
    const { name, note } = nameAndNote(text);
    return { kind: "ingredient", name, amounts: [], takesTheRest: false, note };
  }
  const { name, note } = nameAndNote(without(text, chosen));
  if (name === "") return chosen.some(({ unit }) => unit === "g" || unit === "kg") ? { kind: "total", amounts: chosen } : { kind: "note" };
  return { kind: "ingredient", name, amounts: chosen, takesTheRest: false, note };
}

const FILLED_UP = /\b(?:(?:top(?:ped)?|fill(?:ed)?|make)\s+)?(?:up\s+)?to\s+(?:make\s+)?(?=\d)/iu;

/** "Water to 500 g": it takes the rest, and says how much it all makes. */
function filledUp(text: string): LineReading | null {
  const to = FILLED_UP.exec(text);
  if (to === null || INSTRUCTION.test(text)) return null;
  const at = to.index + to[0].length;
  const whole = amountsIn(text.slice(at)).find(({ start }) => start === 0);
  if (whole === undefined || whole.unit === "bare" || whole.unit === "percent" || whole.unit === "part") return null;
  const before = text.slice(0, to.index);
  // "2 to 3 drops" is a range, "water to 500 g" is not.
  if (amountsIn(before).length > 0) return null;
  const { name, note } = nameAndNote(`${before} ${text.slice(at + whole.end)}`);
  return { kind: "ingredient", name, amounts: [], takesTheRest: true, note, whole };
}

/** A name without bullets, leaders and the remarks in brackets, which become the note. */
function nameAndNote(text: string): { readonly name: string; readonly note: string } {
  const notes: string[] = [];
  const name = text
    .replace(/\(([^)]*)\)?/gu, (_whole, inside: string) => {
      if (/\p{L}/u.test(inside)) notes.push(inside.replace(/^[\s,:;=\-–—]+/u, "").trim());
      return " ";
    })
    .replace(/[.…_]{2,}/gu, " ")
    .replace(/[|\t]/gu, " ")
    .replace(/^\s*(?:of\s+)/iu, "")
    .replace(/\s+(?:in)?to\s+(?:the|this|it|your)\b.*$/iu, "")
    .replace(/\s+/gu, " ")
    .replace(/^[\s,:;=\-–—/.]+|[\s,:;=\-–—/.]+$/gu, "")
    .replace(/\s+[x×]$/iu, "");
  return { name, note: notes.join("; ") };
}
