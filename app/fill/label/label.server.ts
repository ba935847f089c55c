import {
  bestBefore,
  formulaOfPart,
  labelFromTemplate,
  labelTexts,
  type LabelDesign,
  type LabelTemplate,
  type LabelTexts,
} from "@tensidrum/core/packaging";
import { assessSums } from "@tensidrum/core/assessment";
import { markets } from "@tensidrum/core/library";
import { batchState, doneFormula, fillingOf, materialsOf, partsOf, storedPlan, type FillingRow } from "@tensidrum/core/process";
import { Refusal } from "@tensidrum/core/quantities";
import { materialsBeside } from "../../../db/batches/beside.server";
import { findBatch, listBatchLots, listEntries } from "../../../db/batches/queries.server";
import { listContainers } from "../../../db/containers/queries.server";
import { findLabel, saveLabel } from "../../../db/labels/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { isoDay, writtenDay } from "../../frame/dates.server";
import { qrModules } from "./qrModules.server";
import { ingredientsKey, namings } from "./textsFor";

/** Where a container has no place for a label, mm. */
const USUAL_SIDES = { widthMm: 84, heightMm: 48 };
/** Of a batch whose filling is not planned yet, g. */
const USUAL_NET_GRAMS = 100;

/** Nothing with water in it is promised for longer. */
const MOST_MONTHS = 60;

/** What is asked of a label. */
export interface LabelAsked {
  /** Of the filling plan; empty for the first one. */
  readonly row: string;
  readonly template: "" | LabelTemplate;
}

/** The label of a batch on one kind of its containers: as it was kept, or begun from a template. */
export async function openLabel(batchId: string, { row: wanted, template }: LabelAsked) {
  const [db, makerId] = [database(), currentMakerId()];
  const batch = await findBatch(db, makerId, batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Fill and look for it there.");
  const [rows, lots, containers] = await Promise.all([
    listEntries(db, makerId, batchId),
    listBatchLots(db, makerId, batchId),
    listContainers(db, makerId),
  ]);
  const entries = rows.map(({ entry }) => entry);
  const beside = await materialsBeside(db, makerId, entries);
  const plan = storedPlan(batch, { lots: [], materials: [...beside.values()] });
  const state = batchState(plan, entries);
  const filling = fillingOf(plan, state);
  const row = filling.rows.find(({ id }) => id === wanted) ?? filling.rows[0];
  const container = containers.find(({ id }) => id === row?.container);
  const part = row?.part ?? "";
  const place = batch.formulaId === null ? null : { formulaId: batch.formulaId, containerId: container?.id ?? null, part };
  const kept = place === null || template !== "" ? undefined : await findLabel(db, makerId, place);
  const sides =
    container?.labelWidthMm == null || container.labelHeightMm === null
      ? USUAL_SIDES
      : { widthMm: container.labelWidthMm, heightMm: container.labelHeightMm };
  const netGrams = netOf(row);
  const design = kept ?? labelFromTemplate(template === "" ? usualTemplate(sides) : template, { ...sides, netGrams });
  // A batch of which nothing was weighed yet is labelled as it is planned.
  const isWeighed = plan.formula.lines.some(({ id }) => (state.lines.get(id)?.actualGrams ?? 0) > 0);
  const formula = isWeighed ? doneFormula(plan, entries) : plan.formula;
  const library = new Map([...materialsOf(plan.formula), ...[...beside.values()].map((facts) => [facts.slug, facts] as const)]);
  const expiries = lots.flatMap(({ endsOn }) => (endsOn === null ? [] : [endsOn]));
  const madeOn = isoDay(batch.startedAt);
  const lasts = (months: number): string => writtenDay(bestBefore({ madeOn, months, lotExpiries: expiries }));
  const splits = formula.splits ?? [];
  const openPart = (splits.find(({ name }) => name === part) ?? (partsOf(plan).length === 0 ? splits[0] : undefined))?.open ?? null;
  const ofPart = splits.length === 0 || partsOf(plan).length === 0 ? formula : formulaOfPart(formula, row?.part ?? null, library);
  const whyThen = (months: number): string => {
    const day = bestBefore({ madeOn, months, lotExpiries: expiries });
    const lot = lots.find(({ endsOn }) => endsOn === day);
    if (lot !== undefined) return `Best before ${writtenDay(day)}: its lot ${lot.code} ends then.`;
    return `Best before ${writtenDay(day)}: ${months === 1 ? "a month" : `${months} months`} after it was made, on ${writtenDay(madeOn)}.`;
  };
  const densityGramsPerMl = filling.density?.gramsPerMl ?? assessSums(formula, library).densityGramsPerMl;
  const texts = (changes: Partial<LabelDesign> = {}): LabelTexts => {
    const isShared = changes.isShared ?? design.isShared;
    const labelled = {
      formula: isShared ? formula : ofPart,
      openPart,
      library,
      code: batch.code,
      netGrams,
      densityGramsPerMl,
      bestBefore: lasts(design.months),
    };
    return labelTexts(labelled, { ...design, ...changes });
  };
  return {
    batchId,
    code: batch.code,
    name: batch.formula.name,
    row: row?.id ?? "",
    rows: filling.rows.map(({ id, name, use, part: of = null }) => ({ id, name, use, part: of })),
    /** Whether there are parts one label could serve. */
    hasParts: partsOf(plan).length > 1,
    netGrams,
    isKept: kept !== undefined,
    design,
    /** By what the maker may change: whom it serves, the names, the market, and how the net content is told. */
    shared: texts({ isShared: true }),
    own: texts({ isShared: false }),
    ingredients: Object.fromEntries(
      [true, false].flatMap((isShared) =>
        namings.flatMap((naming) =>
          markets.map(({ slug: market }) => {
            const choice = { isShared, naming, market };
            return [ingredientsKey(choice), texts(choice).ingredients];
          }),
        ),
      ),
    ) as Readonly<Record<string, string>>,
    nets: { mass: texts({ netIn: "mass" }).net, volume: texts({ netIn: "volume" }).net },
    isDensityEstimated: filling.density?.source !== "measured" && formula.measured?.densityGramsPerMl === undefined,
    /** By months: what a lot that ends earlier makes of it. */
    bestBefore: Object.fromEntries(Array.from({ length: MOST_MONTHS }, (_, at) => [at + 1, `Best before ${lasts(at + 1)}`])) as Readonly<
      Record<number, string>
    >,
    /** Why it is that day, by months. */
    bestBeforeWhy: Object.fromEntries(Array.from({ length: MOST_MONTHS }, (_, at) => [at + 1, whyThen(at + 1)])) as Readonly<
      Record<number, string>
    >,
    qr: qrModules(batch.code),
    count: Math.max(1, countOf(row === undefined ? [] : [row])),
    /** Where one label serves all parts: all of that kind. */
    sharedCount: Math.max(1, countOf(filling.rows.filter(({ container: of, use }) => of === row?.container && use === row.use))),
    place,
  };
}

export type OpenLabel = Awaited<ReturnType<typeof openLabel>>;

function countOf(rows: readonly FillingRow[]): number {
  return rows.reduce((sum, { filled, count }) => sum + Math.max(filled.length, count), 0);
}

/** The lightest container that was filled: a label never promises more than is in. */
function netOf(row: FillingRow | undefined): number {
  if (row === undefined) return USUAL_NET_GRAMS;
  return row.filled.length === 0 ? row.grams : Math.min(row.grams, ...row.filled.map(({ grams }) => grams));
}

function usualTemplate({ widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number }): LabelTemplate {
  if (widthMm * heightMm < 1_500) return "small";
  if (widthMm * heightMm < 3_500) return "front";
  return widthMm >= 1.3 * heightMm ? "wrap" : "front";
}

/** Keeps a label for its formula and container; answers why it cannot be kept, or null. */
export async function keepLabel(batchId: string, row: string, design: LabelDesign): Promise<string | null> {
  const { place } = await openLabel(batchId, { row, template: "" });
  if (place === null) return "The formula of this batch was deleted. Print the label, or take it as a file.";
  await saveLabel(database(), currentMakerId(), design.isShared ? { ...place, part: "" } : place, design);
  return null;
}
