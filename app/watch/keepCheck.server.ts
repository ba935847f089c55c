import { calibratedOrNull, readThickness } from "./readThickness";
import { isCalendarDay, readNumber, Refusal } from "@tensidrum/core/quantities";
import { brokenConstraint } from "../../db/failures.server";
import { findBatch } from "../../db/batches/queries.server";
import { findMaker } from "../../db/makers/queries.server";
import { answerAlarm, changePlannedCheck, keepCheck, listChecks, reopenAlarm } from "../../db/watch/queries.server";
import { currentMakerId, database, rightNow } from "../../db/workplace.server";
import { here, isoDay, isoToday, momentOf } from "../frame/dates.server";
import { wholeProblem, type FieldProblem } from "../frame/formAnswer";
import { drawnAnew } from "../frame/photo.server";
import { planUsualChecks } from "../frame/usualChecks.server";
import type { TypedWatch } from "./watchForms.server";

const MOST_SEDIMENT_MM = 1000;
const MOST_ROOM_C = 60;

/** Does what the page of a watched batch asks for. Answers what is wrong. */
export async function changeWatch(batchId: string, typed: TypedWatch): Promise<readonly FieldProblem[]> {
  const [db, makerId] = [database(), currentMakerId()];
  switch (typed.intent) {
    case "begin": {
      if (typed.samples.length === 0) return [{ field: "samples", message: "Choose at least one sample to put aside." }];
      const { finishedAt, startedAt, formula } = await batchOf(batchId);
      await planUsualChecks({ id: batchId, profile: formula.profile, madeAt: finishedAt ?? startedAt }, typed.samples);
      return [];
    }
    case "skip":
      if (typed.why === "") return [{ field: "why", message: "Say why it is left out." }];
      mustBe(await changePlannedCheck(db, makerId, typed.planned, { skippedBecause: typed.why }));
      return [];
    case "move":
      if (!isCalendarDay(typed.on)) return [{ field: "on", message: "Write the day as year, month, day: 2027-03-31." }];
      mustBe(await changePlannedCheck(db, makerId, typed.planned, { dueOn: typed.on }));
      return [];
    case "answer":
      return answerTyped(batchId, typed);
    case "reopen":
      if (typed.alarm !== "") await reopenAlarm(db, makerId, batchId, typed.alarm);
      return [];
    case "keep":
      return keep(batchId, typed);
  }
}

/** Keeps what the maker says to an alarm, for the looks there are now. */
async function answerTyped(batchId: string, { alarm, why }: TypedWatch): Promise<readonly FieldProblem[]> {
  const [db, makerId] = [database(), currentMakerId()];
  if (why === "") return [{ field: "why", message: "Say what was done, or why it does not count." }];
  await batchOf(batchId);
  const newest = (await listChecks(db, makerId, batchId)).at(-1);
  if (newest === undefined || alarm === "") return wholeProblem("There is no alarm to answer. Load the page again.");
  await answerAlarm(db, makerId, { batchId, what: alarm, because: why, answeredAt: rightNow(), lookedAt: newest.lookedAt });
  return [];
}

async function batchOf(batchId: string) {
  const batch = await findBatch(database(), currentMakerId(), batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Watch and look for it there.");
  return batch;
}

function mustBe(isThere: boolean): void {
  if (!isThere) throw new Refusal("not-found", "This check is not planned any more.", "Load the page again.");
}

/** When it was looked at: now, or at noon of another day; else what is wrong with that day. */
function lookedAtOn(day: string, made: Date): Date | string {
  if (day === "" || day === isoToday()) return rightNow();
  if (!isCalendarDay(day)) return "Write the day as year, month, day: 2027-03-31.";
  if (day > isoToday()) return "That day is still to come.";
  if (day < isoDay(made)) return "The batch was not made yet on that day.";
  return momentOf(here(day).hour(12));
}

const LAB = /^(-?\d{1,3}(?:\.\d{1,4})?) (-?\d{1,3}(?:\.\d{1,4})?) (-?\d{1,3}(?:\.\d{1,4})?)$/;

/** A colour as the page writes it, "78.1 2 24.2". */
function labOf(text: string) {
  if (text === "") return { labL: null, labA: null, labB: null };
  const [, l, a, b] = LAB.exec(text) ?? [];
  const [labL, labA, labB] = [Number(l), Number(a), Number(b)];
  const isColour = labL >= 0 && labL <= 110 && Math.abs(labA) <= 150 && Math.abs(labB) <= 150;
  return isColour ? { labL, labA, labB } : "no colour";
}

async function keep(batchId: string, typed: TypedWatch): Promise<readonly FieldProblem[]> {
  const [db, makerId] = [database(), currentMakerId()];
  const [batch, maker] = await Promise.all([batchOf(batchId), findMaker(db, makerId)]);
  const problems: FieldProblem[] = [];
  const number = (field: "ph" | "sediment" | "haze" | "room", most: number, says: string): number | null => {
    if (typed[field] === "") return null;
    const read = readNumber(typed[field].replace(/\s*°?\s*c$/i, ""));
    if (read.ok && read.value >= 0 && read.value <= most) return read.value;
    problems.push({ field, message: says });
    return null;
  };
  const ph = number("ph", 14, "A pH lies between 0 and 14.");
  const sedimentMm = number("sediment", MOST_SEDIMENT_MM, "Give what has settled in mm, at most the height of the jar.");
  const hazePercent = number("haze", 100, "Haze lies between 0 and 100 %.");
  const roomC = number("room", MOST_ROOM_C, "Give the temperature of the bench room in °C, as 22.");
  const lab = labOf(typed.lab);
  if (lab === "no colour") problems.push({ field: "photo", message: "The colour of the photo came without its numbers. Mark it again." });
  const thickness = readThickness(typed, calibratedOrNull(maker));
  if ("problem" in thickness) problems.push({ field: "thickness", message: thickness.problem });
  const lookedAt = lookedAtOn(typed.on, batch.finishedAt ?? batch.startedAt);
  if (typeof lookedAt === "string") problems.push({ field: "on", message: lookedAt });
  if (problems.length > 0 || "problem" in thickness || typeof lookedAt === "string" || lab === "no colour") return problems;
  const { storage, clarity, colour, smell, signs, note } = typed;
  const photo = typed.photo === undefined ? null : await drawnAnew(typed.photo);
  const seen = [ph, thickness.viscosity, sedimentMm, hazePercent, clarity, colour, smell, note].some((one) => one !== null && one !== "");
  if (!seen && photo === null && signs.length === 0) return wholeProblem("Nothing is entered yet. Read, look or smell, then keep it.");
  const look = {
    ph,
    viscosity: thickness.viscosity,
    said: thickness.said,
    clarity,
    colour,
    smell,
    sedimentMm,
    hazePercent,
    roomC,
    signs,
    note,
    ...lab,
  };
  const plannedId = typed.planned === "" ? null : typed.planned;
  try {
    await keepCheck(db, makerId, { ...look, id: typed.id, batchId, storage, plannedId, lookedAt }, photo);
  } catch (error) {
    const broken = brokenConstraint(error);
    if (broken === "taken") return wholeProblem("Another device has kept this check already. Load the page to see it.");
    if (broken === "missing") return wholeProblem("This check is not planned any more. Load the page again.");
    throw error;
  }
  return [];
}
