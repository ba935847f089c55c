import { finestDecimals, gramsText, profileOf, shownFormulaName } from "@tensidrum/core/formula";
import { stepsOf } from "@tensidrum/core/process";
import { Refusal } from "@tensidrum/core/quantities";
import { namedAsWritten, roleOf, shownInci } from "@tensidrum/core/library";
import { writtenMass, writtenPercent } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../db/workplace.server";
import { findAssessment, findVersion, listLines, listPhases } from "../../db/formulas/queries.server";
import { formulaOfVersion } from "../../db/formulas/formulaOfVersion.server";
import { listScales } from "../../db/scales/queries.server";
import { group, id, whole } from "../frame/fields.server";
import { readAddress } from "../frame/readForm.server";
import { writtenLongDay } from "../frame/dates.server";

const address = group({ formulaId: id(), number: whole(1, 100_000).required() });

/** Reads the address of a weighing sheet; anything that cannot be one is simply not here. */
export function readWeighingAddress(params: { readonly formulaId?: string | undefined; readonly number?: string | undefined }) {
  return readAddress(address, params, notHere);
}

function notHere(): Refusal {
  return new Refusal("not-found", "No weighing sheet lies at this address.", "Go back to Today and open the formula from there.");
}

/** The weighing sheet of one version: what to weigh, phase by phase, on which scale. */
export async function openWeighing(wanted: { readonly formulaId: string; readonly number: number }) {
  const db = database();
  const makerId = currentMakerId();
  const found = await findVersion(db, makerId, wanted);
  if (found === undefined) throw notHere();
  const { version, formulaName } = found;
  const [assessment, phases, lines, ownScales, made] = await Promise.all([
    findAssessment(db, makerId, version.id),
    listPhases(db, makerId, version.id),
    listLines(db, makerId, version.id),
    listScales(db, makerId),
    formulaOfVersion(db, makerId, wanted),
  ]);
  const frozen = new Map(version.snapshot?.materials?.map((material) => [material.slug, material]));
  const scales = version.snapshot?.scales ?? ownScales;
  if (assessment === undefined) throw notHere();
  const weighed = new Map(assessment.lines.map((line) => [line.id, line]));
  const decimals = finestDecimals(assessment.lines, scales);
  return {
    formulaId: wanted.formulaId,
    number: version.number,
    isDraft: version.state === "draft",
    name: shownFormulaName(version.snapshot?.name ?? formulaName),
    profile: profileOf(version.profile)?.name ?? version.profile,
    batch: writtenMass(version.batchGrams),
    printedOn: writtenLongDay(),
    total: assessment.lines.reduce((sum, line) => sum + line.gramsToWeigh, 0).toFixed(decimals),
    totalPercent: writtenPercent(assessment.totalPercent),
    steps: stepsOf(made.formula, made.materials).steps.map(({ id, title, do: todo, check, tool = null, waitMinutes }) => ({
      id,
      title,
      todo,
      check,
      tool,
      waitMinutes,
    })),
    urgent: assessment.findings.filter((finding) => finding.severity !== "consider").map((finding) => `${finding.what} ${finding.cure}`),
    phases: phases.map((phase) => ({
      ...phase,
      lines: lines
        .filter((line) => line.phaseLetter === phase.letter)
        .map((line) => {
          const material = namedAsWritten(frozen.get(line.facts.slug) ?? line.facts, line.asWritten);
          const reading = weighed.get(line.id);
          return {
            id: line.id,
            name: material.name,
            inci: shownInci(material),
            role: roleOf(material),
            percent: reading === undefined ? "" : writtenPercent(reading.percent),
            takesTheRest: line.takesTheRest,
            grams: reading === undefined ? "" : gramsText(reading, scales, line.takesTheRest ? decimals : null),
            scale: reading?.scale ?? "",
            tooSmall: reading?.tooSmall ?? false,
          };
        }),
    })),
  };
}

/** What the weighing sheet shows. */
export type OpenWeighing = Awaited<ReturnType<typeof openWeighing>>;
