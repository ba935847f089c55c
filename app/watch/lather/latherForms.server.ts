import { bubbleSizes } from "@tensidrum/core/stability";
import { choice, group, id, text, type TypedOf } from "../../frame/fields.server";

const feel = choice(["", "1", "2", "3", "4", "5"], "");

/** A shake test as it was read. */
export const latherForm = group({
  id: id(),
  atOnce: text(20),
  oneMinute: text(20),
  fiveMinutes: text(20),
  bubbles: choice(bubbleSizes, "fine"),
  slip: feel,
  rinse: feel,
  afterFeel: feel,
  note: text(300),
});
export type TypedLather = TypedOf<typeof latherForm>;
