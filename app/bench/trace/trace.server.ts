import { shownFormulaName } from "@tensidrum/core/formula";
import { shownMaterial } from "@tensidrum/core/library";
import { isCalendarDay, Refusal } from "@tensidrum/core/quantities";
import { listFilledContainers } from "../../../db/batches/queries.server";
import { noteGiven } from "../../../db/batches/writes.server";
import { brokenConstraint } from "../../../db/failures.server";
import { batchesOfLot, findLotWithMaterial, lotsMadeOf } from "../../../db/inventory/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { writtenDay } from "../../frame/dates.server";
import { csvAnswer, type CsvRow } from "../../frame/csvAnswer.server";
import type { FieldProblem } from "../../frame/formAnswer";
import type { SentNote } from "./traceForm.server";

/** Where a lot went: the batches that took of it, what they were filled into, and to whom that went. */
export async function openTrace(lotId: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const lot = await findLotWithMaterial(db, makerId, lotId);
  if (lot === undefined) throw new Refusal("not-found", "No lot stands at this address.", "Go to the shelf and look for it there.");
  // A batch that gave back what was reserved for it took nothing.
  const made = await lotsMadeOf(db, makerId, lotId);
  const taken = await Promise.all(
    [{ id: lotId, through: null }, ...made.map(({ id, code, name }) => ({ id, through: `${name}, lot ${code}` }))].map(
      async ({ id, through }) => (await batchesOfLot(db, makerId, id)).map((batch) => ({ ...batch, through })),
    ),
  );
  const batches = taken.flat().filter(({ usedGrams, reservedGrams }) => usedGrams > 0 || reservedGrams > 0);
  const containers = await listFilledContainers(db, makerId, batches.map(({ id }) => id)); // prettier-ignore
  return {
    lot: {
      ...{ id: lotId, code: lot.code, onHold: lot.onHold, leftGrams: lot.leftGrams, packGrams: lot.packGrams, supplier: lot.supplier },
      ...{ material: lot.facts.slug, name: shownMaterial(lot.facts).name },
    },
    /** What left it and went into no batch, g. */
    byHandGrams: batches.reduce((left, { usedGrams, through }) => left - (through === null ? usedGrams : 0), lot.packGrams - lot.leftGrams),
    /** What was made of it here: it is to be fetched too. */
    made: made.map(({ id, code, slug, name }) => ({ id, code, slug, name })),
    batches: batches.map(({ id, code, name, startedAt, finishedAt, usedGrams, reservedGrams, through }) => ({
      ...{ id, code, usedGrams, reservedGrams, through, isOpen: finishedAt === null },
      name: shownFormulaName(name),
      begun: writtenDay(startedAt),
      containers: containers.filter(({ batchId }) => batchId === id).map(({ batchId: _, ...row }) => row),
    })),
  };
}

export type OpenTrace = Awaited<ReturnType<typeof openTrace>>;

const useWords = { use: "for use", tester: "tester", retained: "kept to watch" } as const;

const HEADS = [
  "material",
  "lot",
  "through",
  "batch",
  "formula",
  "begun",
  "taken, g",
  "containers",
  "name",
  "use",
  "content, g",
  "to whom",
] as const;

/** What is to be fetched, a row for each kind of container of each batch; a batch that was not filled has one without. */
export async function traceFile(lotId: string): Promise<Response> {
  const { lot, batches } = await openTrace(lotId);
  const rows = batches.flatMap(({ code, name, begun, usedGrams, through, containers }): readonly CsvRow[] => {
    const batch = { material: lot.name, lot: lot.code, through: through ?? "", batch: code, formula: name, begun, "taken, g": usedGrams };
    const none = { containers: "", name: "", use: "", "content, g": "", "to whom": "" };
    if (containers.length === 0) return [{ ...batch, ...none }];
    return containers.map(({ name: container, use, count, grams, toWhom }) => ({
      ...batch,
      ...{ containers: count, name: container, use: useWords[use], "content, g": grams, "to whom": toWhom },
    }));
  });
  return csvAnswer(`lot-${lot.code}.csv`, HEADS, [rows]);
}

/** Keeps to whom the containers of a row went and since when they are open. Answers what is wrong. */
export async function keepGiven({ batch, row, to, opened }: SentNote): Promise<readonly FieldProblem[]> {
  if (opened !== "" && !isCalendarDay(opened)) return [{ field: "opened", message: "Write the day as year, month, day: 2027-03-31." }];
  try {
    await noteGiven(database(), currentMakerId(), { batchId: batch, rowId: row }, { toWhom: to, openedOn: opened === "" ? null : opened });
    return [];
  } catch (error) {
    if (brokenConstraint(error) !== "missing") throw error;
    throw new Refusal("not-found", "This batch is not here any more.", "Load the page again.");
  }
}
