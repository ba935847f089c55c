import { shownFormulaName } from "@tensidrum/core/formula";
import { blindResult, drawCups, oddCup, ratedResult, shuffled, type BlindKind, type Cups, type RatedPair } from "@tensidrum/core/stability";
import { readNumber, Refusal } from "@tensidrum/core/quantities";
import { brokenConstraint } from "../../../db/failures.server";
import {
  answerBlindTest,
  beginBlindTest,
  findBlindTest,
  listBlindSheets,
  listBlindTests,
  listWatchable,
} from "../../../db/watch/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { writtenDay } from "../../frame/dates.server";
import { wholeProblem, type FieldProblem } from "../../frame/formAnswer";
import { readAnswers, readRatings } from "./readAnswers";
import type { TypedAnswers, TypedBlind } from "./blindForms.server";

const MOST_BATCHES = 60;
const [LEAST_TESTERS, MOST_TESTERS] = [3, 60];
/** Three digits that do not begin with 0. */
const CODES = Array.from({ length: 900 }, (_, at) => String(at + 100));
const QUESTIONS = { triangle: "Which one is different?", paired: "Which one do you prefer?", rated: "How does it feel, 1 to 5?" } as const;

/** The blind tests there are, and the batches another can be made of. */
export async function openBlindTests() {
  const [db, makerId] = [database(), currentMakerId()];
  const [tests, batches] = await Promise.all([listBlindTests(db, makerId), listWatchable(db, makerId, { most: MOST_BATCHES })]);
  return {
    newId: crypto.randomUUID(),
    tests: tests.map(({ begunAt, ...test }) => ({ ...test, begun: writtenDay(begunAt) })),
    batches: batches.map(({ id, code, name }) => ({ id, name: `${code}, ${shownFormulaName(name)}` })),
  };
}

export type OpenBlindTests = Awaited<ReturnType<typeof openBlindTests>>;

/** Begins a blind test, or says at which field it must be fixed. */
export async function beginTest({ id, kind, first, second, testers, question }: TypedBlind): Promise<readonly FieldProblem[]> {
  const count = readNumber(testers);
  const isCount = count.ok && Number.isInteger(count.value) && count.value >= LEAST_TESTERS && count.value <= MOST_TESTERS;
  const problems = [
    ...(first === "" ? [{ field: "first", message: "Choose a batch." }] : []),
    ...(second === "" ? [{ field: "second", message: "Choose another batch." }] : []),
    ...(first !== "" && first === second ? [{ field: "second", message: "Choose another one than the first." }] : []),
    ...(isCount ? [] : [{ field: "testers", message: `Give a whole number of testers, ${LEAST_TESTERS} to ${MOST_TESTERS}.` }]),
  ];
  if (problems.length > 0 || !count.ok) return problems;
  const draw = (): number => (crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) / 2 ** 32;
  const codes = shuffled(CODES, draw);
  const cups = drawCups(kind, count.value, draw);
  const sheets = cups.map((one, at) => ({
    tester: at + 1,
    cups: [...one],
    codes: one.map((_, cup) => codes[at * one.length + cup] ?? ""),
  }));
  try {
    const asked = question === "" ? QUESTIONS[kind] : question;
    await beginBlindTest(database(), currentMakerId(), { id, kind, firstBatchId: first, secondBatchId: second, question: asked, sheets });
  } catch (error) {
    if (brokenConstraint(error) !== "missing") throw error;
    return wholeProblem("One of the batches is not here any more. Choose another.");
  }
  return [];
}

/** A blind test: what each tester gets, what they said, and what that shows. */
export async function openBlindTest(testId: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const [test, sheets] = await Promise.all([findBlindTest(db, makerId, testId), listBlindSheets(db, makerId, testId)]);
  if (test === undefined) throw new Refusal("not-found", "This blind test is not here.", "Go to the blind tests and look for it there.");
  const told = sheets.map(({ tester, codes, cups, chosen, ratings }) => ({
    ...{ tester, codes, cups, ratings },
    answer: chosen ?? (ratings === null ? null : ratings.join(", ")),
    isHit: isHit(test.kind, cups as unknown as Cups, chosen === null ? -1 : codes.indexOf(chosen)),
  }));
  const answered = told.filter(({ answer }) => answer !== null);
  const hits = answered.filter((sheet) => sheet.isHit).length;
  return {
    ...{ id: testId, kind: test.kind, question: test.question, first: test.first, second: test.second, begun: writtenDay(test.begunAt) },
    sheets: told.map(({ isHit: _, ratings: __, ...sheet }) => sheet),
    answered: answered.length,
    hits,
    result: test.kind === "rated" || answered.length === 0 ? null : blindResult(test.kind, hits, answered.length),
    rated: test.kind === "rated" ? ratedResult(told.flatMap(({ cups, ratings }) => pairOf(cups, ratings))) : null,
  };
}

function isHit(kind: BlindKind, cups: Cups, at: number): boolean {
  return at !== -1 && (kind === "triangle" ? at === oddCup(cups) : cups[at] === "A");
}

/** The marks of one tester by wash, whichever was tasted first. */
function pairOf(cups: readonly string[], ratings: readonly number[] | null): readonly RatedPair[] {
  const mark = (of: "A" | "B"): number | undefined => ratings?.[cups.indexOf(of)];
  const [a, b] = [mark("A"), mark("B")];
  return a === undefined || b === undefined ? [] : [{ a, b }];
}

export type OpenBlindTest = Awaited<ReturnType<typeof openBlindTest>>;

/** Keeps what testers chose. Answers what is wrong. */
export async function keepAnswers(testId: string, { answers }: TypedAnswers): Promise<readonly FieldProblem[]> {
  const [db, makerId] = [database(), currentMakerId()];
  const sheets = await listBlindSheets(db, makerId, testId);
  if (sheets.length === 0) throw new Refusal("not-found", "This blind test is not here.", "Go to the blind tests and look for it there.");
  const isRated = (await findBlindTest(db, makerId, testId))?.kind === "rated";
  const read = isRated
    ? readRatings(answers, new Set(sheets.map(({ tester }) => tester)))
    : readAnswers(answers, new Map(sheets.map(({ tester, codes }) => [tester, codes])));
  if ("problem" in read) return [{ field: "answers", message: read.problem }];
  await answerBlindTest(db, makerId, testId, read.answers);
  return [];
}
