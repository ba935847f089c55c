import { describe, expect, it } from "vitest";
import { clockWords, STRIP, stripGeometry } from "./geometry";

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

  it("begins and ends by the clock: 8 min of work from 23:50, 20 and 480 min of waiting end at 08:18 a day later", () => {
    const strip = stripGeometry([
      { lineCount: 1, waitMinutes: 20 },
      { lineCount: 3, waitMinutes: 480 },
    ]);
    // 23:50 + 3 + 20 + 5 = 00:18 of the next day
    expect(clockWords("23:50", strip)).toBe("Begun at 23:50, first rest at 00:18 a day later, filled at 08:18 a day later.");
    expect(clockWords("09:30", stripGeometry([{ lineCount: 2, waitMinutes: 5 }]))).toBe("Begun at 09:30, filled at 09:39.");
    for (const wrong of ["", "24:00", "9:30", "09:60"]) expect(clockWords(wrong, strip)).toBeNull();
  });

  it("waits that follow one another are one, and without any the work takes it all", () => {
    expect(stripGeometry([{ lineCount: 0, waitMinutes: 5 }]).parts).toHaveLength(2);
    const { parts } = stripGeometry([{ lineCount: 2, waitMinutes: 0 }]);
    expect(parts).toEqual([{ kind: "work", x: 0, width: STRIP.width, minutes: 4 }]);
    expect(stripGeometry([]).parts).toEqual([]);
  });
});
