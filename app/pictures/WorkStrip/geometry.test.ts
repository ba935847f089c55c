import { describe, expect, it } from "vitest";
import { STRIP, stripGeometry } from "./geometry";

describe("the strip of work and waiting", () => {
  it("adds up: two steps with 1 and 3 lines are 8 min of work, 20 and 480 min of waiting", () => {
    const { parts, workMinutes, waitMinutes } = stripGeometry([
      { lineCount: 1, waitMinutes: 20 },
      { lineCount: 3, waitMinutes: 480 },
    ]);
    expect([workMinutes, waitMinutes]).toEqual([8, 500]);
    expect(parts.map(({ kind, minutes }) => [kind, minutes])).toEqual([
      ["work", 3],
      ["wait", 20],
      ["work", 5],
      ["wait", 480],
    ]);
    const end = parts.at(-1);
    expect((end?.x ?? 0) + (end?.width ?? 0)).toBeCloseTo(STRIP.width, 6);
  });

  it("waits that follow one another are one, and without any the work takes it all", () => {
    expect(stripGeometry([{ lineCount: 0, waitMinutes: 5 }]).parts).toHaveLength(2);
    const { parts } = stripGeometry([{ lineCount: 2, waitMinutes: 0 }]);
    expect(parts).toEqual([{ kind: "work", x: 0, width: STRIP.width, minutes: 4 }]);
    expect(stripGeometry([]).parts).toEqual([]);
  });
});
