import { describe, expect, it } from "vitest";
import { newton } from "./newton.ts";
import { solveLinear } from "./solveLinear.ts";

describe("Newton's method", () => {
  it("finds √2 as the root of x² − 2", () => {
    const solved = newton(([x]) => ({ residuals: [x! * x! - 2], jacobian: [[2 * x!]] }), [1]);
    expect(solved.found && solved.value[0]).toBeCloseTo(Math.SQRT2, 12);
  });

  it("halves its steps where a whole one would run away: arctan x = 0 from 10", () => {
    const solved = newton(([x]) => ({ residuals: [Math.atan(x!)], jacobian: [[1 / (1 + x! * x!)]] }), [10]);
    expect(solved.found && solved.value[0]).toBeCloseTo(0, 10);
  });

  it("does not pretend: x² + 1 has no root", () => {
    expect(newton(([x]) => ({ residuals: [x! * x! + 1], jacobian: [[2 * x!]] }), [3]).found).toBe(false);
  });

  it("says when the equations do not tell the unknowns apart", () => {
    const twice = ([x, y]: readonly number[]) => ({
      residuals: [x! + y! - 1, 2 * x! + 2 * y! - 3],
      jacobian: [
        [1, 1],
        [2, 2],
      ],
    });
    expect(newton(twice, [0, 0])).toEqual({ found: false, reason: "the equations hang together too loosely" });
  });
});

describe("linear equations", () => {
  it("x + y = 3 and x − y = 1: 2 and 1, also when the first row starts with 0", () => {
    expect(
      solveLinear(
        [
          [1, 1],
          [1, -1],
        ],
        [3, 1],
      ),
    ).toEqual([2, 1]);
    expect(
      solveLinear(
        [
          [0, 2],
          [1, -1],
        ],
        [2, 1],
      ),
    ).toEqual([2, 1]);
  });

  it("the same row twice has no answer", () => {
    expect(
      solveLinear(
        [
          [1, 2],
          [2, 4],
        ],
        [1, 2],
      ),
    ).toBeNull();
  });
});
