import { patchSeen } from "@tensidrum/core/stability";
import { choice, group, id, text, type TypedOf } from "../../frame/fields.server";

/** A patch is put on, or judged after a day. */
export const patchForm = group({
  intent: choice(["begin", "judge"]),
  id: id(),
  tester: text(10),
  seen: choice(["", ...patchSeen], ""),
  note: text(300),
});
export type TypedPatch = TypedOf<typeof patchForm>;
