import { describe, expect, it } from "vitest";
import { titrateByAdvice, titrateBySample } from "./titrationRun";

const numbers = [1, 2, 3];

describe("a maker who follows the advice", () => {
  it("doses the batch no more often once a sample has shown the way, and never says inside far outside", { timeout: 120_000 }, () => {
    const blind = numbers.map(titrateByAdvice);
    const shown = numbers.map(titrateBySample);
    const doses = (outcomes: typeof blind) => outcomes.reduce((sum, one) => sum + one.doses, 0);
    expect(doses(shown)).toBeLessThanOrEqual(doses(blind));
    for (const { saidInside } of [...blind, ...shown]) expect(saidInside ?? 0).toBeLessThan(0.4);
  });
});
