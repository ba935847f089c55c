import { describe, expect, it } from "vitest";
import { STREAMS, streamsGeometry } from "./geometry";

const vessels = [
  { id: "main", name: "main beaker" },
  { id: "slurry", name: "slurry beaker" },
  { id: "unused", name: "small cup" },
];
const steps = [
  { id: "prepare", vessel: null, grams: 0, after: [] },
  { id: "slurry", vessel: "slurry", grams: 10, after: ["prepare"] },
  { id: "water", vessel: "main", grams: 90, after: ["prepare"] },
  { id: "join", vessel: "main", grams: 0, after: ["slurry", "water"] },
];

describe("streams", () => {
  const drawn = streamsGeometry(steps, vessels);

  it("a strand for each beaker that is used, side by side, a row for each step", () => {
    expect(drawn.strands.map(({ vessel, x }) => [vessel, x])).toEqual([
      ["main", 75],
      ["slurry", 225],
    ]);
    expect(drawn.height).toBe(STREAMS.pad * 2 + 4 * STREAMS.row);
    expect(drawn.rows.get("prepare")).toEqual({ y: STREAMS.pad + 15, x: null });
  });

  it("widths follow the grams: 90 of 100 g are 48.6 of 54, 10 g are 5.4", () => {
    expect(drawn.strands[0]?.path).toContain("M50.7 ");
    expect(drawn.strands[1]?.path).toContain("M222.3 ");
  });

  it("the slurry runs into the main beaker, which ends on its own", () => {
    const y = STREAMS.pad + 3 * STREAMS.row + 15;
    expect(drawn.strands[1]?.path).toContain(`75 ${y - 2}`);
    expect(drawn.strands[0]?.path).not.toContain("C");
  });

  it("a pinch is as wide as the floor, and nothing at all draws nothing", () => {
    const pinch = streamsGeometry(
      [
        { id: "a", vessel: "main", grams: 1000, after: [] },
        { id: "b", vessel: "slurry", grams: 0.01, after: [] },
      ],
      vessels,
    );
    expect(pinch.strands[1]?.path).toContain(`M${225 - STREAMS.floor / 2} `);
    expect(streamsGeometry([], vessels).strands).toEqual([]);
  });
});
