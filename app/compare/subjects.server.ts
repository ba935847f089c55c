import { readingOf, type Assessment } from "@tensidrum/core/assessment";
import type { Measurements } from "@tensidrum/core/comparison";
import { wholeLines, type Formula } from "@tensidrum/core/formula";
import { needsOf, packPriceOf, type ShelfLot } from "@tensidrum/core/inventory";
import { nameOfSlug, type MaterialsBySlug } from "@tensidrum/core/library";
import { meanAndSpread } from "@tensidrum/core/numerics";
import { costOf } from "@tensidrum/core/packaging";
import { batchResult, doneFormula, materialsOf, storedPlan } from "@tensidrum/core/process";
import { Refusal } from "@tensidrum/core/quantities";
import { movedSince } from "@tensidrum/core/stability";
import { materialsBeside } from "../../db/batches/beside.server";
import { findBatch, findLastFinished, listEntries } from "../../db/batches/queries.server";
import { findProduct, listRoundReadings } from "../../db/comparison/queries.server";
import { formulaOfVersion } from "../../db/formulas/formulaOfVersion.server";
import { findAssessment, listVersions } from "../../db/formulas/queries.server";
import { standingLots } from "../../db/inventory/queries.server";
import { listChecks, listLather } from "../../db/watch/queries.server";
import { sampleLook } from "../../db/watch/sampleLook";
import { currentMakerId, database } from "../../db/workplace.server";
import { writtenShortDay } from "../frame/dates.server";
import { measurementsOf } from "./readings/readReadings";

/** What stands beside others: a version, a batch as it was made, or a product to come close to. */
export type SubjectKey =
  | { readonly kind: "version"; readonly formulaId: string; readonly number: number }
  | { readonly kind: "batch"; readonly batchId: string }
  /** What a batch was to be, as it was planned then. */
  | { readonly kind: "plan"; readonly batchId: string }
  | { readonly kind: "product"; readonly productId: string };

export interface Subject {
  readonly key: SubjectKey;
  /** As it stands in an address. */
  readonly address: string;
  readonly title: string;
  readonly when: string;
  readonly formulaId: string | null;
  /** Null for a product. */
  readonly formula: Formula | null;
  readonly materials: MaterialsBySlug;
  /** % w/w by slug, without the q.s. line. */
  readonly lines: ReadonlyMap<string, number>;
  readonly fromLines: FromLines;
  readonly measured: Measurements;
  readonly clarity: string;
  /** How far readings have moved at room temperature since it was made, those that were watched. */
  readonly moved: ReturnType<typeof movedSince>;
  readonly per100Grams: number | null;
  readonly learned: string;
}

/** What follows from the lines alone. */
export interface FromLines {
  readonly activePercent: number | null;
  readonly irritation: number | null;
  readonly flash: number | null;
  readonly saltPercent: number | null;
}

const nothingFromLines: FromLines = { activePercent: null, irritation: null, flash: null, saltPercent: null };

export function addressOf(key: SubjectKey): string {
  if (key.kind === "version") return `v:${key.formulaId}:${key.number}`;
  return key.kind === "product" ? `p:${key.productId}` : `${key.kind === "batch" ? "b" : "n"}:${key.batchId}`;
}

const UUID = "[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}";
const ADDRESS = new RegExp(`^(?:v:(${UUID}):(\\d{1,6})|b:(${UUID})|n:(${UUID})|p:(${UUID}))$`);

/** What an address asks for. @throws Refusal where it asks for nothing that can be compared */
export function keyOf(address: string): SubjectKey {
  const [, formulaId, number, batchId, plannedId, productId] = ADDRESS.exec(address) ?? [];
  if (formulaId !== undefined) return { kind: "version", formulaId, number: Number(number) };
  if (batchId !== undefined) return { kind: "batch", batchId };
  if (plannedId !== undefined) return { kind: "plan", batchId: plannedId };
  if (productId !== undefined) return { kind: "product", productId };
  throw new Refusal("not-found", "What is to be compared is not here.", "Choose it again on Compare.");
}

/**
 * A version with what was measured of it: by itself, else of its last closed batch.
 * @param isPlan it stands beside batches, so that what was measured of them is not its own
 */
export async function versionSubject(formulaId: string, number: number, lots: readonly ShelfLot[], isPlan = false): Promise<Subject> {
  const [db, makerId] = [database(), currentMakerId()];
  const [{ formula, materials }, versions] = await Promise.all([
    formulaOfVersion(db, makerId, { formulaId, number }),
    listVersions(db, makerId, formulaId),
  ]);
  const version = versions.find((one) => one.number === number);
  const [[readings], batch, assessment] =
    version === undefined
      ? [[], undefined, undefined]
      : await Promise.all([
          listRoundReadings(db, makerId, [version.id]),
          isPlan ? undefined : findLastFinished(db, makerId, version.id),
          findAssessment(db, makerId, version.id),
        ]);
  const made = batch === undefined ? null : await measuredBatch(batch.id);
  const own = readings === undefined ? {} : measurementsOf(readings);
  return {
    key: { kind: "version", formulaId, number },
    address: addressOf({ kind: "version", formulaId, number }),
    title: `v${number}`,
    when: version?.state === "draft" ? "draft" : version?.finalisedAt == null ? "" : writtenShortDay(version.finalisedAt),
    formulaId,
    ...ofFormula(formula, materials, lots, assessment),
    measured: { ...made?.measured, ...own },
    clarity: readings?.clarity || made?.clarity || "",
    moved: made?.moved ?? {},
    learned: readings?.learned ?? "",
  };
}

/** What was measured of a finished batch at the bench and afterwards. */
async function measuredBatch(batchId: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const [batch, entries, tests, looks] = await Promise.all([
    findBatch(db, makerId, batchId),
    listEntries(db, makerId, batchId),
    listLather(db, makerId, batchId),
    listChecks(db, makerId, batchId),
  ]);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Choose another on Compare.");
  const told = entries.map(({ entry }) => entry);
  const beside = await materialsBeside(db, makerId, told);
  const plan = storedPlan(batch, { lots: [], materials: [...beside.values()] });
  const { ph, thickness, clarity } = batchResult(plan, told);
  const mean = (of: (test: (typeof tests)[number]) => number | null): number | null => {
    const values = tests.flatMap((test) => of(test) ?? []);
    return values.length === 0 ? null : meanAndSpread(values).mean;
  };
  const start = { ph, viscosity: thickness?.unit === "Pa·s" ? thickness.viscosity : null };
  return {
    batch,
    plan,
    entries: told,
    clarity: clarity ?? "",
    moved: movedSince(
      start,
      looks.map((look) => sampleLook(look, batch.finishedAt ?? batch.startedAt)),
      "room",
    ),
    measured: measurementsOf({
      ...{ ph, pascalSeconds: start.viscosity },
      ...{ funnelSeconds: thickness?.unit === "s" ? thickness.viscosity : null },
      foamAtOnceMm: mean(({ atOnceMm }) => atOnceMm),
      foamAfterFiveMm: mean(({ afterFiveMinutesMm }) => afterFiveMinutesMm),
      slip: mean(({ slip }) => slip),
      rinse: mean(({ rinse }) => rinse),
      afterFeel: mean(({ afterFeel }) => afterFeel),
      scent: mean(({ scent }) => scent),
    }),
  };
}

/** What a batch was to be: nothing was measured of a plan. */
async function planSubject(batchId: string, lots: readonly ShelfLot[]): Promise<Subject> {
  const { batch, plan } = await measuredBatch(batchId);
  return {
    key: { kind: "plan", batchId },
    address: addressOf({ kind: "plan", batchId }),
    title: `${batch.code} as planned`,
    when: writtenShortDay(batch.startedAt),
    formulaId: batch.formulaId,
    ...ofFormula(plan.formula, new Map([...materialsOf(batch.formula), ...plan.materials]), lots),
    ...{ measured: {}, clarity: "", moved: {}, learned: "" },
  };
}

async function batchSubject(batchId: string, lots: readonly ShelfLot[]): Promise<Subject> {
  const { batch, plan, entries, ...told } = await measuredBatch(batchId);
  if (batch.finishedAt === null) throw new Refusal("not-possible", "This batch is not finished yet.", "Finish it at the bench first.");
  const formula = doneFormula(plan, entries);
  return {
    key: { kind: "batch", batchId },
    address: addressOf({ kind: "batch", batchId }),
    title: batch.code,
    when: writtenShortDay(batch.finishedAt),
    formulaId: batch.formulaId,
    ...ofFormula(formula, new Map([...materialsOf(batch.formula), ...plan.materials]), lots),
    ...told,
    learned: "",
  };
}

async function productSubject(productId: string): Promise<Subject> {
  const product = await findProduct(database(), currentMakerId(), productId);
  if (product === undefined) throw new Refusal("not-found", "This product is not here.", "Choose another on Compare.");
  const { name, price, contentGrams, clarity } = product;
  return {
    key: { kind: "product", productId },
    address: addressOf({ kind: "product", productId }),
    title: name,
    when: "to come close to",
    formulaId: null,
    ...{ formula: null, materials: new Map(), lines: new Map<string, number>(), fromLines: nothingFromLines },
    measured: measurementsOf(product),
    clarity,
    moved: {},
    per100Grams: price === null || contentGrams === null ? null : (100 * price) / contentGrams,
    learned: "",
  };
}

/** @param assessment what was kept with the version; a batch is read as it was made */
function ofFormula(formula: Formula, materials: MaterialsBySlug, lots: readonly ShelfLot[], assessment?: Assessment) {
  const readings = assessment ?? readingOf(formula, materials).readings;
  const priced = [...needsOf(formula, materials)].map(([line, grams]) => ({ line, grams, pack: packPriceOf(lots, line) }));
  const { total, unpriced } = costOf(priced, 100);
  const lines = new Map<string, number>();
  for (const { material, percent, qs } of wholeLines(formula)) {
    if (qs !== true && (percent ?? 0) > 0) lines.set(material, (lines.get(material) ?? 0) + (percent ?? 0));
  }
  return {
    formula,
    materials,
    lines,
    fromLines: {
      activePercent: readings.activeMatter.percent,
      irritation: readings.irritation?.index ?? null,
      flash: readings.foam?.flash ?? null,
      saltPercent: readings.saltPercent,
    },
    per100Grams: unpriced.length > 0 ? null : total,
  };
}

/** Everything that is asked for, in its order. */
export async function subjectsOf(keys: readonly SubjectKey[]): Promise<readonly Subject[]> {
  const lots = await standingLots(database(), currentMakerId());
  const areMade = keys.some(({ kind }) => kind === "batch");
  return Promise.all(
    keys.map((key) => {
      if (key.kind === "version") return versionSubject(key.formulaId, key.number, lots, areMade);
      if (key.kind === "plan") return planSubject(key.batchId, lots);
      return key.kind === "batch" ? batchSubject(key.batchId, lots) : productSubject(key.productId);
    }),
  );
}

/** The name of a material in whichever subject has it. */
export function nameIn(subjects: readonly Subject[], slug: string): string {
  const found = subjects.find(({ materials }) => materials.has(slug));
  return found === undefined ? slug : nameOfSlug(slug, found.materials);
}
