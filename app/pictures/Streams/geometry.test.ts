import { describe, expect, it } from "vitest";
import { STREAMS, streamsGeometry } from "./geometry";

const vessels = [
  { id: "main", name: "main beaker" },
  { id: "slurry", name: "slurry beaker" },
  { id: "unused", name: "small cup" },
];
const steps = [
  { id: "prepare", vessel: null, content: null, after: [] },
  { id: "slurry", vessel: "slurry", content: 10, after: ["prepare"] },
  { id: "water", vessel: "main", content: 90, after: ["prepare"] },
  { id: "join", vessel: "main", content: 100, after: ["slurry", "water"] },
];

describe("streams", () => {
  const drawn = streamsGeometry(steps, vessels);

  it("a strand for each beaker that is used, side by side, a row for each step", () => {
    expect(drawn.strands.map(({ vessel, x }) => [vessel, x])).toEqual([
      ["main", 42],
      ["slurry", 126],
    ]);
    expect(drawn.height).toBe(STREAMS.pad * 2 + 4 * STREAMS.row);
    expect(drawn.rows.get("prepare")).toEqual({ y: STREAMS.pad + STREAMS.row / 2, x: null });
  });

  it("widths follow the grams: 90 of 100 g are 37.8 of 42, 10 g no less than 5", () => {
    expect(drawn.strands[0]?.path).toContain("M23.1 ");
    expect(drawn.strands[1]?.path).toContain("M123.5 ");
  });

  it("the slurry runs into the main beaker, which ends on its own", () => {
    const y = STREAMS.pad + 3 * STREAMS.row + STREAMS.row / 2;
    expect(drawn.strands[1]?.path).toContain(`42 ${y - 2}`);
    expect(drawn.strands[0]?.path).not.toContain("C");
  });

  it("a pinch is as wide as the floor, and nothing at all draws nothing", () => {
    const pinch = streamsGeometry(
      [
        { id: "a", vessel: "main", content: 1000, after: [] },
        { id: "b", vessel: "slurry", content: 0.01, after: [] },
      ],
      vessels,
    );
    expect(pinch.strands[1]?.path).toContain(`M${126 - STREAMS.floor / 2} `);
    expect(streamsGeometry([], vessels).strands).toEqual([]);
  });
});
