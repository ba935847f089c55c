import { shownFormulaName } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import type Joi from "joi";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listVersions } from "../../../db/formulas/queries.server";
import { group, whole, type TypedOf } from "../../frame/fields.server";
import { readAddress } from "../../frame/readForm.server";
import { saltPeaks } from "../saltPeaks.server";
import { comparisonOf } from "./comparison.server";
import { versionFormula } from "./versionFormula.server";

const number = whole(1, 100_000) as Joi.NumberSchema<number | undefined>;
const questions = group({ from: number, to: number });
type Wanted = Partial<TypedOf<typeof questions>>;

/** Reads which two versions are asked for; anything else is not there. */
export function readWanted(search: URLSearchParams): Wanted {
  const nothing = () => new Refusal("not-found", "There is no such pair of versions.", "Choose two of the list.");
  return readAddress(questions.unknown(), Object.fromEntries(search), nothing);
}

/** What differs between two versions; the two newest when nobody says which. */
export async function openDifference(formulaId: string, wanted: Wanted) {
  const db = database();
  const makerId = currentMakerId();
  const versions = await listVersions(db, makerId, formulaId);
  const newest = versions[0]?.number;
  if (newest === undefined) throw new Refusal("not-found", "This formula is not here.", "Go back to Today and open it from there.");
  const to = wanted.to ?? newest;
  const from = wanted.from ?? versions.find((version) => version.number < to)?.number ?? to;
  const [before, after, peaks] = await Promise.all([
    versionFormula(db, makerId, { formulaId, number: from }),
    versionFormula(db, makerId, { formulaId, number: to }),
    saltPeaks(db, makerId),
  ]);
  return {
    formulaId,
    name: shownFormulaName(after.formula.name),
    from,
    to,
    versions: versions.map(({ number: each, state }) => ({ number: each, state })),
    ...comparisonOf(before, after, peaks),
  };
}

export type OpenedDifference = Awaited<ReturnType<typeof openDifference>>;
