import { describe, expect, it } from "vitest";
import { moved, readPhoto, type MarkName } from "./photoMarks";

const plain = (r: number, g: number, b: number): number[] => Array.from({ length: 36 }, () => [r, g, b, 255]).flat();
const squares = (dark: number, light: number): number[] =>
  Array.from({ length: 36 }, (_, at) => (at % 2 === 0 ? [dark, dark, dark, 255] : [light, light, light, 255])).flat();
const photo =
  (changes: Partial<Record<MarkName, number[]>> = {}) =>
  (mark: MarkName): number[] =>
    ({ card: plain(220, 215, 200), jar: plain(200, 180, 120), beside: squares(20, 220), behind: squares(60, 180), ...changes })[mark];

describe("a photo of a sample", () => {
  it("tells its colour beside the card, how far that is from the first, and its haze by the grid", () => {
    const first = readPhoto(photo(), null, true);
    expect(first.problems).toEqual([]);
    expect(first.difference).toBeNull();
    expect(first.lab?.b).toBeGreaterThan(20);
    expect(first.hazePercent).toBeGreaterThan(5);
    expect(readPhoto(photo(), first.lab, false)).toMatchObject({ difference: 0, hazePercent: null });
    expect(readPhoto(photo({ jar: plain(170, 140, 70) }), first.lab, false).difference).toBeGreaterThan(5);
  });

  it("without a card or a grid says so, and still tells the other", () => {
    const noCard = readPhoto(photo({ card: plain(30, 90, 30) }), null, true);
    expect(noCard).toMatchObject({ lab: null, problems: [expect.stringContaining("no white card")] });
    expect(noCard.hazePercent).not.toBeNull();
    const noGrid = readPhoto(photo({ beside: plain(200, 200, 200) }), null, true);
    expect(noGrid).toMatchObject({ hazePercent: null, problems: [expect.stringContaining("no printed grid")] });
    expect(noGrid.lab).not.toBeNull();
  });

  it("a mark stays in the photo", () => {
    expect(moved({ x: 0.5, y: 0.5 }, 0.1, -0.1)).toEqual({ x: 0.6, y: 0.4 });
    expect(moved({ x: 0.97, y: 0.03 }, 0.5, -0.5)).toEqual({ x: 0.98, y: 0.02 });
  });
});
