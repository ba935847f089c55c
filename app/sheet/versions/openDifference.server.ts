import { shownFormulaName } from "@tensidrum/core/formula";
import { differenceOf } from "@tensidrum/core/assessment";
import { Refusal } from "@tensidrum/core/quantities";
import { shownMaterial, type MaterialsBySlug } from "@tensidrum/core/library";
import type Joi from "joi";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listVersions } from "../../../db/formulas/queries.server";
import { group, whole, type TypedOf } from "../../frame/fields.server";
import { readAddress } from "../../frame/readForm.server";
import { saltPeaks } from "../saltPeaks.server";
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
  const libraries = { before: before.materials, after: after.materials };
  const difference = differenceOf(before.formula, after.formula, libraries, { saltPeaks: peaks });
  const nameOf = (materials: MaterialsBySlug, slug: string): string => {
    const material = materials.get(slug);
    return material === undefined ? slug : shownMaterial(material).name;
  };
  return {
    formulaId,
    name: shownFormulaName(after.formula.name),
    from,
    to,
    versions: versions.map(({ number: each, state }) => ({ number: each, state })),
    head: difference.head,
    lineCount: new Set([...before.formula.lines, ...after.formula.lines].map(({ id }) => id)).size,
    lines: difference.lines.map(({ id, before: a, after: b }) => ({
      id,
      name: b === null ? nameOf(before.materials, a?.material ?? "") : nameOf(after.materials, b.material),
      wasName: a !== null && b !== null && a.material !== b.material ? nameOf(before.materials, a.material) : null,
      before: a,
      after: b,
    })),
    readings: difference.readings,
    findingsNew: difference.findingsNew.map(({ what, severity }) => ({ what, severity })),
    findingsGone: difference.findingsGone.map(({ what, severity }) => ({ what, severity })),
  };
}

export type OpenedDifference = Awaited<ReturnType<typeof openDifference>>;
