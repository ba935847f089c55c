import { shownFormulaName } from "@tensidrum/core/formula";
import { meanAndSpread } from "@tensidrum/core/numerics";
import { foamOf, latherFeels, latherOf, type LatherTest, type LatherWay } from "@tensidrum/core/stability";
import { readNumber, Refusal } from "@tensidrum/core/quantities";
import { findBatch } from "../../../db/batches/queries.server";
import { keepLather, listLather } from "../../../db/watch/queries.server";
import { currentMakerId, database, rightNow } from "../../../db/workplace.server";
import { writtenMoment } from "../../frame/dates.server";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedLather } from "./latherForms.server";

const [MOST_MM, MOST_SECONDS, MOST_GRAMS, MOST_ML] = [1000, 3600, 20_000, 10_000];
/** Of a wash without air, g/mL; ours. */
const LIQUID_DENSITY = 1.03;

async function batchOf(batchId: string) {
  const batch = await findBatch(database(), currentMakerId(), batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Watch and look for it there.");
  return batch;
}

type Row = Awaited<ReturnType<typeof listLather>>[number];

function heightsOf({ atOnceMm, afterOneMinuteMm, afterFiveMinutesMm }: Row): LatherTest | null {
  if (atOnceMm === null || afterOneMinuteMm === null || afterFiveMinutesMm === null) return null;
  return { atOnceMm, afterOneMinuteMm, afterFiveMinutesMm };
}

function foamFrom({ foamGrams, foamMillilitres }: Row) {
  return foamGrams === null || foamMillilitres === null ? null : foamOf(foamGrams, foamMillilitres, LIQUID_DENSITY);
}

/** What is measured of a test, as it is called, with its unit and how it is written. */
const MEASURED: readonly {
  readonly what: string;
  readonly unit: string;
  readonly decimals: number;
  readonly of: (row: Row) => number | null;
}[] = [
  { what: "foam at once", unit: "mm", decimals: 0, of: ({ atOnceMm }) => atOnceMm },
  { what: "foam after 5 min", unit: "mm", decimals: 0, of: ({ afterFiveMinutesMm }) => afterFiveMinutesMm },
  { what: "lathers after", unit: "s", decimals: 0, of: ({ latherSeconds }) => latherSeconds },
  { what: "rinsed off in", unit: "s", decimals: 0, of: ({ rinseSeconds }) => rinseSeconds },
  { what: "foam weighs", unit: "g/mL", decimals: 3, of: (row) => foamFrom(row)?.density ?? null },
  { what: "air taken up", unit: "%", decimals: 0, of: (row) => foamFrom(row)?.overrunPercent ?? null },
  { what: "slip", unit: "of 5", decimals: 1, of: ({ slip }) => slip },
  { what: "rinses off", unit: "of 5", decimals: 1, of: ({ rinse }) => rinse },
  { what: "after-feel", unit: "of 5", decimals: 1, of: ({ afterFeel }) => afterFeel },
  { what: "scent", unit: "of 5", decimals: 1, of: ({ scent }) => scent },
];

/** The lather tests of a batch in one way, with their mean and how far they lie apart. */
export async function openLather(batchId: string, way: LatherWay = "shake") {
  const batch = await batchOf(batchId);
  const all = await listLather(database(), currentMakerId(), batchId);
  const rows = all.filter((row) => row.way === way);
  const shaken = rows.flatMap((row) => heightsOf(row) ?? []);
  const meanOf = (of: keyof LatherTest): number => meanAndSpread(shaken.map((test) => test[of])).mean;
  const mean: LatherTest | null =
    shaken.length === 0
      ? null
      : {
          atOnceMm: meanOf("atOnceMm"),
          afterOneMinuteMm: meanOf("afterOneMinuteMm"),
          afterFiveMinutesMm: meanOf("afterFiveMinutesMm"),
        };
  return {
    id: batchId,
    newId: crypto.randomUUID(),
    code: batch.code,
    name: shownFormulaName(batch.formula.name),
    way,
    count: all.length,
    tests: rows
      .map((row) => ({ ...row, at: writtenMoment(row.testedAt), values: MEASURED.flatMap(({ of, ...told }) => valueOf(of(row), told)) }))
      .toReversed(),
    heights: shaken,
    mean: mean === null ? null : { ...mean, ...latherOf(mean) },
    measured: MEASURED.flatMap(({ of, ...told }) => {
      const values = rows.flatMap((row) => of(row) ?? []);
      return values.length === 0 ? [] : [{ ...told, count: values.length, ...meanAndSpread(values) }];
    }),
  };
}

function valueOf(value: number | null, told: { readonly what: string; readonly unit: string; readonly decimals: number }) {
  return value === null ? [] : [{ ...told, value }];
}

export type OpenLather = Awaited<ReturnType<typeof openLather>>;

/** Keeps a lather test, or says at which field it must be fixed. */
export async function keepTest(batchId: string, typed: TypedLather): Promise<readonly FieldProblem[]> {
  await batchOf(batchId);
  const { id, way, bubbles, note } = typed;
  const problems: FieldProblem[] = [];
  type Numbered = "atOnce" | "oneMinute" | "fiveMinutes" | "latherSeconds" | "rinseSeconds" | "foamGrams" | "foamMillilitres";
  const number = (field: Numbered, most: number, says: string, isWanted: boolean): number | null => {
    if (typed[field] === "" && !isWanted) return null;
    const read = readNumber(typed[field].replace(/\s*(?:mm|s|g|mL)\s*$/i, ""));
    const least = isWanted && most === MOST_MM ? 0 : Number.MIN_VALUE;
    if (read.ok && read.value >= least && read.value <= most) return read.value;
    problems.push({ field, message: says });
    return null;
  };
  const height = (field: "atOnce" | "oneMinute" | "fiveMinutes"): number | null =>
    way === "shake" ? number(field, MOST_MM, "Give the height of the foam in mm, at most that of the cylinder.", true) : null;
  const [atOnceMm, afterOneMinuteMm, afterFiveMinutesMm] = [height("atOnce"), height("oneMinute"), height("fiveMinutes")];
  const seconds = (field: "latherSeconds" | "rinseSeconds"): number | null =>
    isWashed(way) ? number(field, MOST_SECONDS, "Give the time in seconds, above 0.", false) : null;
  const [latherSeconds, rinseSeconds] = [seconds("latherSeconds"), seconds("rinseSeconds")];
  const isWeighed = way === "pump" || way === "whipped";
  const foamGrams = isWeighed ? number("foamGrams", MOST_GRAMS, "Give what the foam weighs in g, above 0.", true) : null;
  const foamMillilitres = isWeighed ? number("foamMillilitres", MOST_ML, "Give what the foam fills in mL, above 0.", true) : null;
  if (problems.length > 0) return problems;
  if ((afterOneMinuteMm ?? 0) > (atOnceMm ?? 0)) return [{ field: "oneMinute", message: "Foam only falls: this is more than at once." }];
  if ((afterFiveMinutesMm ?? 0) > (afterOneMinuteMm ?? 0))
    return [{ field: "fiveMinutes", message: "Foam only falls: this is more than after a minute." }];
  if (foamGrams !== null && foamMillilitres !== null && foamGrams / foamMillilitres > LIQUID_DENSITY)
    return [{ field: "foamGrams", message: "That foam is heavier than its liquid. Weigh the jar empty first." }];
  const felt = Object.fromEntries(latherFeels.map((feel) => [feel, typed[feel] === "" ? null : Number(typed[feel])]));
  const isEmpty = Object.values(felt).every((one) => one === null) && latherSeconds === null && rinseSeconds === null;
  if (isWashed(way) && isEmpty) return [{ field: "", message: "Nothing is entered yet. Wash with it, then give a mark or a time." }];
  await keepLather(database(), currentMakerId(), {
    ...{ id, batchId, testedAt: rightNow(), way, atOnceMm, afterOneMinuteMm, afterFiveMinutesMm, bubbles, note },
    ...{ latherSeconds, rinseSeconds, foamGrams, foamMillilitres, ...felt },
  });
  return [];
}

const isWashed = (way: LatherWay): boolean => way === "hand" || way === "loofah" || way === "hair";
