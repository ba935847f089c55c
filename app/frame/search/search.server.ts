import { shownFormulaName } from "@tensidrum/core/formula";
import { findEverywhere, type Found, type FoundKind } from "../../../db/search/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";

/** A longer text is looked for by its beginning. */
const MOST_LETTERS = 120;
const LEAST_LETTERS = 2;
const MOST = 24;
const SAID_LETTERS = 140;
/** Whoever types a name means the thing itself more than what speaks of it. */
const BESIDE_WEIGHT = 0.9;
const named: ReadonlySet<FoundKind> = new Set(["formula", "batch", "material", "lot", "product", "scent", "container"]);

export interface SearchResult {
  readonly to: string;
  readonly title: string;
  /** Where it was found. */
  readonly where: string;
  readonly said: string;
}

/** Where a thing that was found lies, and what it is called. */
function resultOf({ kind, title, said, id, part }: Found): SearchResult {
  const shown = said.length > SAID_LETTERS ? `${said.slice(0, SAID_LETTERS - 1)}…` : said;
  const named = shownFormulaName(title);
  switch (kind) {
    case "formula":
      return { to: `/sheet/${id}`, title: named, where: "formula", said: "" };
    case "line":
      return { to: `/sheet/${id}/${part}`, title: named, where: `line of v${part}`, said: shown };
    case "note":
      return { to: `/sheet/${id}/${part}`, title: named, where: `note of v${part}`, said: shown };
    case "learned":
      return { to: `/compare/rounds/${id}`, title: named, where: `learned of v${part}`, said: shown };
    case "batch":
      return { to: part === "" ? `/bench/${id}` : `/bench/${id}/${part}`, title, where: "batch", said: shownFormulaName(said) };
    case "entry":
      return { to: `/bench/${id}/record`, title, where: "entry of the record", said: shown };
    case "material":
      return { to: `/shelf/${id}`, title, where: "material", said: "" };
    case "lot":
      return { to: `/shelf/${id}`, title: `Lot ${title}`, where: "lot", said: shown };
    case "container":
      return { to: "/fill/containers", title, where: "container", said: "" };
    case "given":
      return { to: `/fill/${id}/containers`, title, where: "to whom it went", said: shown };
    case "check":
      return { to: `/watch/${id}?sample=${part}`, title, where: "what was seen", said: shown };
    case "product":
      return { to: `/compare/products/${id}`, title, where: "product to come close to", said: shown };
    case "label":
      return { to: part === "" ? `/sheet/${id}` : `/fill/${part}/label`, title: named, where: "label", said: shown };
    case "scent":
      return { to: `/scents/${id}`, title, where: "scent blend", said: "" };
  }
}

/** What a maker has that says so, best first; nothing for a text without letters or digits. */
export async function search(typed: string): Promise<{ readonly wanted: string; readonly results: readonly SearchResult[] }> {
  const wanted = typed.trim().replace(/\s+/g, " ").slice(0, MOST_LETTERS);
  if (wanted.length < LEAST_LETTERS || !/[\p{L}\p{N}]/u.test(wanted)) return { wanted, results: [] };
  const found = await findEverywhere(database(), currentMakerId(), wanted);
  const weight = ({ kind, score }: Found): number => score * (named.has(kind) ? 1 : BESIDE_WEIGHT);
  const results = [...found].sort((a, b) => weight(b) - weight(a)).map(resultOf);
  const seen = new Set<string>();
  const told = results.filter(({ to, where }) => !seen.has(`${to} ${where}`) && seen.add(`${to} ${where}`));
  return { wanted, results: told.slice(0, MOST) };
}

export type SearchAnswer = Awaited<ReturnType<typeof search>>;
