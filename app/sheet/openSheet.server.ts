import { judgementOf, readingOf, type Judgement } from "@tensidrum/core/assessment";
import { shownFormulaName } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { saltPeaks } from "./saltPeaks.server";
import { briefMaterial, type Material, type MaterialsBySlug } from "@tensidrum/core/library";
import { percentText, toDecimals, writtenShort, type Scale } from "@tensidrum/core/quantities";
import type { Database } from "../../db/client.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { listAcknowledgements } from "../../db/acknowledgements/queries.server";
import { findVersion, listFormulas, listLineLots, listLines, listPhases, listVersions } from "../../db/formulas/queries.server";
import { listMaterials } from "../../db/materials/queries.server";
import { listScales } from "../../db/scales/queries.server";
import { findMaterials } from "@tensidrum/core/search";
import { withParts } from "../../db/materials/withParts.server";
import { formulaOfSheet } from "./draftContent";
import { madeBatches } from "./versions/madeBatches.server";
import { typedAimOf } from "./typed/readAim";
import { readTyped } from "./typed/readTyped";
import type { TypedLine, TypedLineLot, TypedSheet } from "./typed/typedSheet";
import { writtenDay } from "../frame/dates.server";

export interface SheetAddress {
  readonly formulaId: string;
  readonly number?: number | undefined;
}

/** A stored version in the cells, as it was left. */
export async function typedVersion(db: Database, makerId: string, address: SheetAddress) {
  return typedLines(db, makerId, await findVersion(db, makerId, address));
}

async function typedLines(db: Database, makerId: string, found: Awaited<ReturnType<typeof findVersion>>) {
  if (found === undefined) {
    throw new Refusal("not-found", "This formula or version is not here.", "Go back to Today and open it from there.");
  }
  const { version, aim, formulaName } = found;
  const [phases, lines, lots] = await Promise.all([
    listPhases(db, makerId, version.id),
    listLines(db, makerId, version.id),
    listLineLots(db, makerId, version.id),
  ]);
  const typed: TypedSheet = {
    name: version.snapshot?.name ?? formulaName,
    profile: version.profile,
    batch: writtenShort(version.batchGrams, 6),
    aim: typedAimOf(aim),
    measured: {
      ph: version.measuredPh === null ? "" : String(version.measuredPh),
      density: version.measuredDensity === null ? "" : String(version.measuredDensity),
    },
    phases: phases.map(({ letter, title, temperatureC, sharePercent, addUpToPercent, mayAdd }) => ({
      letter,
      title,
      temperature: temperatureC === null ? "" : String(temperatureC),
      ...(sharePercent === null
        ? {}
        : {
            part: {
              share: percentText(toDecimals(sharePercent, SHARE_DECIMALS)),
              addUpTo: addUpToPercent === null ? "" : percentText(addUpToPercent),
              mayAdd,
            },
          }),
    })),
    lines: lines.map((line) => ({
      id: line.id,
      phase: line.phaseLetter,
      materialId: line.materialId,
      percent: line.percent === null ? "" : percentText(line.percent),
      ...(line.asWritten === "" ? {} : { asWritten: line.asWritten }),
      ...typedStrength(
        line.assayPercent,
        lots.filter(({ lineId }) => lineId === line.id),
      ),
    })),
    method: version.method,
    restLineId: lines.find((line) => line.takesTheRest)?.id ?? null,
  };
  return { version, typed, materials: new Map(lines.map((line) => [line.materialId, line.facts])) };
}

/** A part that was typed in grams is a share of many digits: a thousandth of a gram in a kilogram is enough. */
const SHARE_DECIMALS = 4;

type StoredLineLot = Awaited<ReturnType<typeof listLineLots>>[number];

/** A line tells its lots, or the certificate that was typed: what is stored beside lots is their mix. */
function typedStrength(assayPercent: number | null, lots: readonly StoredLineLot[]): Pick<TypedLine, "assay" | "lots"> {
  if (lots.length > 0) return { assay: "", lots: lots.map(typedLineLot) };
  return { assay: assayPercent === null ? "" : percentText(assayPercent) };
}

function typedLineLot({ lotId, code, grams, assayPercent, price, packGrams }: StoredLineLot): TypedLineLot {
  const pricePerGram = price === null ? null : price / packGrams;
  return { lotId, code, grams: grams === null ? "" : writtenShort(grams, 3), assayPercent, pricePerGram };
}

/** Everything the Sheet shows. A final version brings its stored readings and the facts of its own snapshot. */
export async function openSheet(address: SheetAddress, find: string) {
  const db = database();
  const makerId = currentMakerId();
  const [found, scales, versions, acknowledgements, matches, peaks, made] = await Promise.all([
    findVersion(db, makerId, address),
    listScales(db, makerId),
    listVersions(db, makerId, address.formulaId),
    listAcknowledgements(db, makerId, address.formulaId),
    find === "" ? [] : matchesFor(db, makerId, find),
    saltPeaks(db, makerId),
    madeBatches(db, makerId, address.formulaId),
  ]);
  const { version, typed, materials: ofLines } = await typedLines(db, makerId, found);
  const used = await withParts(db, makerId, ofLines);
  const snapshot = version.snapshot;
  const frozen = new Map(snapshot?.materials?.map((material) => [material.slug, material]));
  const asShown = (facts: Material) => briefMaterial(frozen.get(facts.slug) ?? facts);
  const materials = [...used.byId].map(([id, facts]) => ({ id, facts: asShown(facts) }));
  const own = new Set(materials.map(({ facts }) => facts.slug));
  return {
    formulaId: address.formulaId,
    versionId: version.id,
    number: version.number,
    state: version.state,
    revision: version.revision,
    recentSaves: version.recentSaves,
    note: version.note,
    typed,
    materials,
    parts: [...used.bySlug.values()].filter(({ slug }) => !own.has(slug)).map(asShown),
    scales: snapshot?.scales ?? scales,
    acknowledgements,
    saltPeaks: peaks,
    earlier: typed.lines.length > 1 ? [] : await earlierFormulas(db, makerId, address.formulaId),
    storedAssessment: version.storedAssessment,
    judgement:
      version.storedAssessment === null
        ? judgementOfTyped(typed, version.batchGrams, { materials: used, scales, saltPeaks: peaks })
        : nothingJudged,
    versions: versions.map(({ id, number, state, note, activePercent, byCharge, finalisedAt }) => ({
      id,
      number,
      state,
      note,
      activePercent,
      byCharge,
      finalisedOn: finalisedAt === null ? null : writtenDay(finalisedAt),
      made: made.find(({ versionId }) => versionId === id) ?? null,
    })),
    find,
    matches,
    newId: crypto.randomUUID(),
  };
}

const nothingJudged: Judgement = { findings: [], notJudged: [] };

interface Around {
  readonly materials: { readonly byId: ReadonlyMap<string, Material>; readonly bySlug: MaterialsBySlug };
  readonly scales: readonly Scale[];
  readonly saltPeaks: Readonly<Record<string, number>>;
}

/** What the rules say of a sheet as it stands in the cells; the page shows it until the browser has the rules itself. */
function judgementOfTyped(typed: TypedSheet, batchGrams: number, { materials, scales, saltPeaks }: Around): Judgement {
  const { sheet } = readTyped(typed, batchGrams);
  return judgementOf(readingOf(formulaOfSheet(sheet, { materials: materials.byId, scales }), materials.bySlug, { saltPeaks }));
}

/** So many formulas are offered to begin from. */
const EARLIER_SHOWN = 5;

async function earlierFormulas(db: Database, makerId: string, formulaId: string) {
  const rows = await listFormulas(db, makerId, { most: EARLIER_SHOWN + 1 });
  return rows
    .filter(({ id }) => id !== formulaId)
    .slice(0, EARLIER_SHOWN)
    .map(({ id, name, number, activePercent }) => ({ id, name: shownFormulaName(name), number, activePercent }));
}

export type OpenSheet = Awaited<ReturnType<typeof openSheet>>;

async function matchesFor(db: Database, makerId: string, find: string) {
  const all = await listMaterials(db, makerId);
  return findMaterials(all, find);
}
