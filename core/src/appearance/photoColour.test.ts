import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { colourBesideCard, colourDifference, gridContrast, hazeBehind, patchLight, type Lab } from "./photoColour.ts";

const pixels = (count: number, of: (at: number) => readonly [number, number, number]): number[] =>
  Array.from({ length: count }, (_, at) => [...of(at), 255]).flat();
const plain = (r: number, g: number, b: number) => patchLight(pixels(4, () => [r, g, b]));

/** A camera of its own: what a surface throws back under a lamp, written as a camera writes it. */
function written(reflects: readonly [number, number, number], lamp: readonly [number, number, number]) {
  const encode = (light: number): number => Math.round(255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055));
  const [r, g, b] = [0, 1, 2].map((at) => encode(Math.min(1, reflects[at]! * lamp[at]!))) as [number, number, number];
  return plain(r, g, b);
}

describe("the colour of a wash in a photo", () => {
  it("as bright as the card it is nearly white, half as bright it is L 74", () => {
    const card = plain(200, 200, 200);
    expect(colourBesideCard(card, card).l).toBeCloseTo(95.997, 2);
    const { l, a, b } = colourBesideCard(written([0.45, 0.45, 0.45], [1, 1, 1]), written([0.9, 0.9, 0.9], [1, 1, 1]));
    // L = 116 · 0.45^⅓ − 16.
    expect(l).toBeCloseTo(72.89, 0);
    expect(Math.hypot(a, b)).toBeLessThan(0.5);
  });

  it("is the same under a lamp as by the window", () => {
    const lamp = fc.tuple(
      fc.double({ min: 0.5, max: 1, noNaN: true }),
      fc.double({ min: 0.5, max: 1, noNaN: true }),
      fc.double({ min: 0.4, max: 1, noNaN: true }),
    );
    const surface = fc.tuple(
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
    );
    fc.assert(
      fc.property(lamp, surface, (light, reflects) => {
        const seen = (by: readonly [number, number, number]): Lab => colourBesideCard(written(reflects, by), written([0.9, 0.9, 0.9], by));
        expect(colourDifference(seen(light), seen([1, 1, 1]))).toBeLessThan(1.5);
      }),
    );
  });

  it("wants a white card that the camera could tell", () => {
    const sample = plain(120, 110, 60);
    expect(() => colourBesideCard(sample, plain(255, 255, 255))).toThrow("brighter than the camera");
    expect(() => colourBesideCard(sample, plain(60, 60, 60))).toThrow("no white card");
    expect(() => colourBesideCard(sample, plain(220, 120, 40))).toThrow("no white card");
    expect(() => patchLight([])).toThrow("empty");
  });
});

describe("how far two colours lie apart", () => {
  // Pairs of the table of Sharma, Wu and Dalal 2005.
  it.each([
    [{ l: 50, a: 2.6772, b: -79.7751 }, { l: 50, a: 0, b: -82.7485 }, 2.0425],
    [{ l: 50, a: 2.5, b: 0 }, { l: 73, a: 25, b: -18 }, 27.1492],
    [{ l: 60.2574, a: -34.0099, b: 36.2677 }, { l: 60.4626, a: -34.1751, b: 39.4387 }, 1.2644],
    [{ l: 2.0776, a: 0.0795, b: -1.135 }, { l: 0.9033, a: -0.0636, b: -0.5514 }, 0.9082],
  ])("%o beside %o: %d", (first, second, far) => expect(colourDifference(first, second)).toBeCloseTo(far, 4));
});

describe("haze by a printed grid", () => {
  const grid = (dark: number, light: number): number[] =>
    pixels(100, (at) => {
      const value = at % 2 === 0 ? dark : light;
      return [value, value, value];
    });

  it("is what the jar takes from its contrast", () => {
    expect(gridContrast(grid(0, 255))).toBe(1);
    expect(gridContrast(grid(90, 90))).toBe(0);
    expect(hazeBehind(0.8, 0.6)).toBeCloseTo(25, 9);
    expect(hazeBehind(0.8, 0.9)).toBe(0);
    expect(hazeBehind(0.8, 0)).toBe(100);
  });

  it("wants a grid", () => expect(() => hazeBehind(gridContrast(grid(180, 190)), 0.1)).toThrow("no printed grid"));
});
