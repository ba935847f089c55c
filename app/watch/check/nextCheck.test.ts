import { describe, expect, it } from "vitest";
import { nextCheck, type OpenCheck } from "./nextCheck";

const check = (title: string, dueOn: string, storage: OpenCheck["storage"] = "room"): OpenCheck => ({ id: title, title, dueOn, storage });
const open = [
  check("Next day", "2026-11-03"),
  check("48 hours", "2026-11-04"),
  check("1 week", "2026-11-09"),
  check("1 week, warm", "2026-11-09", "warm"),
  check("4 weeks", "2026-11-30"),
];
const on = (day: string, sample: OpenCheck["storage"] = "room") => nextCheck(open, sample, day)?.title ?? null;

describe("which planned check a look is", () => {
  it.each([
    ["2026-11-02", "Next day"],
    ["2026-11-04", "48 hours"],
    ["2026-11-10", "1 week"],
    ["2026-11-30", "4 weeks"],
    ["2026-12-20", "4 weeks"],
    ["2026-11-27", "4 weeks"],
  ])("on %s it is the one of %s", (day, title) => expect(on(day)).toBe(title));

  it("too early, or of another sample, it is one in between", () => {
    expect(nextCheck(open.slice(4), "room", "2026-11-20")).toBeNull();
    expect(on("2026-11-10", "cold")).toBeNull();
    expect(on("2026-11-10", "warm")).toBe("1 week, warm");
    expect(nextCheck(open, "room", "no day")).toBeNull();
  });
});
