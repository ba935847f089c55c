import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { SHARES, shareSign, sharesGeometry } from "./geometry";

describe("bars of shares", () => {
  it("60 and 40 % of 520 are 312 and 208, in the order of the keys", () => {
    const { bars, height } = sharesGeometry(
      [
        {
          name: "1",
          parts: [
            { key: "pine", percent: 40 },
            { key: "juniper", percent: 60 },
          ],
        },
      ],
      ["juniper", "pine"],
    );
    expect(bars[0]?.parts).toEqual([
      { key: "juniper", x: 0, width: 312, isNamed: true },
      { key: "pine", x: 312, width: 208, isNamed: true },
    ]);
    expect(height).toBe(SHARES.bar);
  });

  it("a sliver carries no sign, and nothing is drawn of what is not in it", () => {
    const parts = [
      { key: "a", percent: 98 },
      { key: "b", percent: 2 },
    ];
    const { bars } = sharesGeometry([{ name: "1", parts }], ["a", "b", "c"]);
    expect(bars[0]?.parts.map(({ key, isNamed }) => [key, isNamed])).toEqual([
      ["a", true],
      ["b", false],
    ]);
    expect(sharesGeometry([], ["a"])).toEqual({ height: 0, bars: [] });
  });

  it("parts stand end to end and fill the bar", () => {
    const shares = fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: 1, maxLength: 9 });
    fc.assert(
      fc.property(shares, (raw) => {
        const total = raw.reduce((sum, one) => sum + one, 0);
        const parts = raw.map((one, at) => ({ key: shareSign(at), percent: (100 * one) / total }));
        const [bar] = sharesGeometry(
          [{ name: "1", parts }],
          parts.map(({ key }) => key),
        ).bars;
        bar?.parts.forEach((part, at) => {
          const next = bar.parts[at + 1];
          expect(part.x + part.width).toBeCloseTo(next?.x ?? SHARES.width, 6);
        });
      }),
    );
  });
});
