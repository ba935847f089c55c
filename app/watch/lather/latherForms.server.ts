import { bubbleSizes, latherFeels, latherWays } from "@tensidrum/core/stability";
import { choice, group, id, text, type TypedOf } from "../../frame/fields.server";

const mark = choice(["", "1", "2", "3", "4", "5"], "");

/** A lather test as it was read. */
export const latherForm = group({
  id: id(),
  way: choice(latherWays, "shake"),
  atOnce: text(20),
  oneMinute: text(20),
  fiveMinutes: text(20),
  bubbles: choice(bubbleSizes, "fine"),
  latherSeconds: text(20),
  rinseSeconds: text(20),
  foamGrams: text(20),
  foamMillilitres: text(20),
  ...(Object.fromEntries(latherFeels.map((feel) => [feel, mark])) as Record<(typeof latherFeels)[number], typeof mark>),
  note: text(300),
});
export type TypedLather = TypedOf<typeof latherForm>;

/** Which way of testing is shown. */
export const latherQuestions = group({ way: choice(latherWays, "shake") });
