import { MOST_GRAMS } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../db/workplace.server";
import { listScales, replaceScales } from "../../db/scales/queries.server";
import { numberOfCell, readEachRow } from "./readRow";
import type { FieldProblem } from "../frame/formAnswer";
import type { TypedRow } from "./rows";

const GRAMS = { least: 1e-6, most: MOST_GRAMS };
const STEP = { least: 1e-6, most: 1000 };

export async function openScales(): Promise<readonly TypedRow[]> {
  const own = await listScales(database(), currentMakerId());
  return own.map(({ id, name, readabilityGrams, capacityGrams }) => ({
    id,
    cells: { name, readability: String(readabilityGrams), capacity: String(capacityGrams) },
  }));
}

/** Saves the maker's scales, or says at which field one must be fixed. */
export async function saveScales(typed: readonly TypedRow[]): Promise<readonly FieldProblem[]> {
  const { things, problems } = readEachRow(typed, "scale", ({ id, cells }, say) => {
    const readability = numberOfCell(cells.readability ?? "", STEP);
    if (readability === null) say("readability", "Give the smallest step in grams, for example 0.01.");
    const capacity = numberOfCell(cells.capacity ?? "", GRAMS);
    if (capacity === null) say("capacity", "Give the most it carries in grams.");
    else if (readability !== null && capacity <= readability) say("capacity", "It must carry more than its smallest step.");
    return { id, name: cells.name ?? "", readabilityGrams: readability ?? 0, capacityGrams: capacity ?? 0 };
  });
  if (problems.length === 0) await replaceScales(database(), currentMakerId(), things);
  return problems;
}
