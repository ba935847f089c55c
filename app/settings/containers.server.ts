import { MOST_PRICE } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../db/workplace.server";
import { listContainers, replaceContainers } from "../../db/containers/queries.server";
import { numberOfCell, readEachRow } from "./readRow";
import type { FieldProblem } from "../frame/formAnswer";
import type { TypedRow } from "./rows";

const SOME_ML = { least: 0.1, most: 100_000 };
const ANY_ML = { least: 0, most: 100_000 };
const PRICE = { least: 0, most: MOST_PRICE };

export async function openContainers(): Promise<readonly TypedRow[]> {
  const own = await listContainers(database(), currentMakerId());
  return own.map(({ id, name, nominalMl, brimfulMl, headspaceMl, dipTubeMl, priceEach }) => ({
    id,
    cells: {
      name,
      nominal: String(nominalMl),
      brimful: String(brimfulMl),
      headspace: String(headspaceMl),
      dipTube: String(dipTubeMl),
      price: priceEach === null ? "" : String(priceEach),
    },
  }));
}

/** Saves the maker's containers, or says at which field one must be fixed. */
export async function saveContainers(typed: readonly TypedRow[]): Promise<readonly FieldProblem[]> {
  const { things, problems } = readEachRow(typed, "container", ({ id, cells }, say) => {
    const of = (field: string): string => cells[field] ?? "";
    const nominal = numberOfCell(of("nominal"), SOME_ML);
    if (nominal === null) say("nominal", "Give what it is sold as, in mL: 250.");
    // Who has not measured the brim counts with what it is sold as.
    const brimful = of("brimful") === "" ? nominal : numberOfCell(of("brimful"), SOME_ML);
    if (brimful === null && nominal !== null) say("brimful", "Fill it to the brim with water and give the mL.");
    if (brimful !== null && nominal !== null && brimful < nominal) say("brimful", "The brim holds at least what it is sold as.");
    const least = (field: "headspace" | "dipTube"): number => {
      const value = of(field) === "" ? 0 : numberOfCell(of(field), ANY_ML);
      if (value === null) say(field, "Give mL, or leave it empty.");
      return value ?? 0;
    };
    const [headspaceMl, dipTubeMl] = [least("headspace"), least("dipTube")];
    if (brimful !== null && headspaceMl + dipTubeMl >= brimful) say("headspace", "Nothing would be left to fill.");
    const priceEach = of("price") === "" ? null : numberOfCell(of("price"), PRICE);
    if (of("price") !== "" && priceEach === null) say("price", "Give a price, or leave it empty.");
    return { id, name: of("name"), nominalMl: nominal ?? 0, brimfulMl: brimful ?? 0, headspaceMl, dipTubeMl, priceEach };
  });
  if (problems.length === 0) await replaceContainers(database(), currentMakerId(), things);
  return problems;
}
