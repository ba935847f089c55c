import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { brushedSpan, FRONTIER, frontierGeometry, nearestDrop } from "./geometry";

const drops = [
  { along: 0.3, irritation: 120, foam: 8 },
  { along: 0.4, irritation: 80, foam: 6 },
  { along: 0.6, irritation: 60, foam: 4 },
];

describe("the edge of what can be made", () => {
  it("what costs more lies farther right, what is milder lower, what foams more is larger", () => {
    const geometry = frontierGeometry({ drops, marks: [], isMoreBetter: false })!;
    const [a, b, c] = geometry.drops;
    expect(a!.x < b!.x && b!.x < c!.x).toBe(true);
    expect(a!.y < b!.y && b!.y < c!.y).toBe(true);
    expect(a!.r > b!.r && b!.r > c!.r).toBe(true);
    expect(geometry.unreached).toMatch(/^M/);
  });

  it("with foam along the foot more lies farther left", () => {
    const geometry = frontierGeometry({ drops: drops.map((drop) => ({ ...drop, along: drop.foam })), marks: [], isMoreBetter: true })!;
    expect(geometry.drops[0]!.x).toBeLessThan(geometry.drops[2]!.x);
  });

  it("a formula that is there lies in the picture, wherever it is", () => {
    const point = fc.record({
      along: fc.double({ min: -5, max: 50, noNaN: true }),
      irritation: fc.double({ min: 0, max: 900, noNaN: true }),
      foam: fc.double({ min: 0, max: 10, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(point, { minLength: 1 }), fc.array(point), (found, there) => {
        const geometry = frontierGeometry({ drops: found, marks: there.map((mark) => ({ ...mark, label: "v1" })), isMoreBetter: false })!;
        for (const { x, y } of [...geometry.drops, ...geometry.marks]) {
          expect(x >= FRONTIER.left && x <= FRONTIER.width - FRONTIER.right).toBe(true);
          expect(y >= FRONTIER.top && y <= FRONTIER.height - FRONTIER.bottom).toBe(true);
        }
      }),
    );
  });

  it("a finger takes the nearest drop", () => {
    const geometry = frontierGeometry({ drops, marks: [], isMoreBetter: false })!;
    const { x, y } = geometry.drops[1]!;
    expect(nearestDrop(geometry, { x: x + 3, y: y - 4 })).toBe(1);
  });

  it("narrowed to two, these fill the picture, the others lie outside, and a drop keeps its place among all", () => {
    const marks = [{ ...drops[0]!, label: "v1" }];
    const whole = frontierGeometry({ drops, marks, isMoreBetter: false })!;
    const narrowed = frontierGeometry({ drops, marks, isMoreBetter: false, span: { first: 1, last: 2 } })!;
    expect(narrowed.drops.map(({ at }) => at)).toEqual([1, 2]);
    expect(narrowed.marks).toEqual([]);
    const apart = ({ drops: [a, b] }: typeof narrowed) => b!.x - a!.x;
    expect(apart(narrowed)).toBeGreaterThan(apart({ ...whole, drops: whole.drops.slice(1) }));
    expect(nearestDrop(narrowed, { x: FRONTIER.left, y: FRONTIER.top })).toBe(1);
  });

  it("a band takes the drops between its ends, drawn either way; nothing and everything narrow nothing", () => {
    const geometry = frontierGeometry({ drops, marks: [], isMoreBetter: false })!;
    const [a, b, c] = geometry.drops.map(({ x }) => x);
    expect(brushedSpan(geometry, b! - 1, c! + 1)).toEqual({ first: 1, last: 2 });
    expect(brushedSpan(geometry, b! + 1, a! - 1)).toEqual({ first: 0, last: 1 });
    expect(brushedSpan(geometry, a! + 1, b! - 1)).toBeNull();
    expect(brushedSpan(geometry, 0, FRONTIER.width)).toBeNull();
  });

  it("a name stands beside what it names, at the left where the picture ends", () => {
    const nameOf = (mark: { along: number; irritation: number; foam: number; label: string }) =>
      frontierGeometry({ drops, marks: [mark], isMoreBetter: false })!.names[0]!;
    expect(nameOf({ along: 0.5, irritation: 118, foam: 6, label: "v1" }).anchor).toBe("start");
    expect(nameOf({ along: 0.9, irritation: 100, foam: 6, label: "v3, this sheet" }).anchor).toBe("end");
  });

  it("names of drops and marks close to each other do not lie on each other, and none leaves the picture", () => {
    const near = [
      { along: 0.58, irritation: 30, foam: 7, name: "cheapest" },
      { along: 0.585, irritation: 24, foam: 7, name: "best bargain" },
      { along: 0.6, irritation: 20, foam: 7, name: "mildest" },
    ];
    const marks = [
      { along: 0.1, irritation: 118, foam: 6, label: "v1, a trial" },
      { along: 0.102, irritation: 117, foam: 6, label: "v2, this sheet" },
    ];
    const { names } = frontierGeometry({ drops: near, marks, isMoreBetter: false })!;
    expect(names).toHaveLength(5);
    // Seven units a letter: as wide as it is drawn on a desk.
    const boxes = names.map(({ words, x, y, anchor }) => {
      const width = 7 * words.length;
      return { from: anchor === "start" ? x : x - width, to: anchor === "start" ? x + width : x, y };
    });
    for (const [at, a] of boxes.entries()) {
      expect(a.from).toBeGreaterThanOrEqual(0);
      expect(a.to).toBeLessThanOrEqual(FRONTIER.width);
      for (const b of boxes.slice(at + 1)) expect(a.to <= b.from || b.to <= a.from || Math.abs(a.y - b.y) >= 13).toBe(true);
    }
  });

  it("nothing found draws nothing", () => {
    expect(frontierGeometry({ drops: [], marks: [], isMoreBetter: false })).toBeNull();
  });
});
