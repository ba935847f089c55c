import { describe, expect, it } from "vitest";
import type { DriftAlarm } from "./drift.ts";
import { unanswered } from "./unanswered.ts";

const alarm = (what: DriftAlarm["what"]): DriftAlarm => ({ what, discard: what === "spoiled", text: what });
const [monday, friday] = [new Date("2027-05-10T08:00:00Z"), new Date("2027-05-14T08:00:00Z")];

describe("alarms nobody answered", () => {
  it("are all of them while nobody said anything", () => {
    expect(unanswered([alarm("ph"), alarm("spoiled")], [], monday).map(({ what }) => what)).toEqual(["ph", "spoiled"]);
  });

  it("are those of another kind, once one was answered", () => {
    const answers = [{ what: "ph", lookedAt: monday }] as const;
    expect(unanswered([alarm("ph"), alarm("colour")], answers, monday).map(({ what }) => what)).toEqual(["colour"]);
  });

  it("come again with a later look, and not with the one that was answered", () => {
    const answers = [{ what: "ph", lookedAt: monday }] as const;
    expect(unanswered([alarm("ph")], answers, friday)).toHaveLength(1);
    expect(unanswered([alarm("ph")], answers, monday)).toEqual([]);
  });
});
