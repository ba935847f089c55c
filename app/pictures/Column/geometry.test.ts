import { describe, expect, it } from "vitest";
import { columnGeometry, neckRange, neckScale, type ColumnData } from "./geometry";

const shampoo: ColumnData = {
  actives: [
    { charge: "anionic", percent: 5.85 },
    { charge: "amphoteric", percent: 4.2 },
    { charge: "nonionic", percent: 0 },
  ],
  layers: [
    { kind: "rest", percent: 60 },
    { kind: "brought", percent: 20 },
    { kind: "keep", percent: 0.8 },
    { kind: "care", percent: 9.15 },
  ],
  window: { low: 10, high: 15 },
  openPercent: 0,
};

/** Shoelace area of a path of straight lines. */
function areaOf(path: string): number {
  const points = path
    .replace(/[MZ]/g, "")
    .split("L")
    .map((pair) => pair.split(" ").map(Number) as [number, number]);
  let twice = 0;
  points.forEach(([x, y], i) => {
    const [nextX, nextY] = points[(i + 1) % points.length] as [number, number];
    twice += x * nextY - nextX * y;
  });
  return Math.abs(twice) / 2;
}

describe("the measuring bottle", () => {
  const picture = columnGeometry(shampoo);

  it("draws every stratum to its area, within 0.1 % of the batch", () => {
    for (const layer of picture.layers) {
      expect(Math.abs(areaOf(layer.path) / picture.areaPerPercent - layer.percent), layer.kind).toBeLessThan(0.1);
    }
  });

  it("draws the active matter to the same area: 54 px wide, 10.4 px for each percent", () => {
    const neckWidth = picture.neck.right - picture.neck.left;
    expect(neckWidth).toBe(54);
    expect(picture.areaPerPercent).toBeCloseTo(561.6, 9);
    for (const band of picture.bands) {
      expect((band.height * neckWidth) / picture.areaPerPercent).toBeCloseTo(band.percent, 9);
    }
  });

  it("stacks the charge types without a gap and puts the meniscus on top: 242 − 10.05 × 10.4", () => {
    const [anionic, amphoteric] = picture.bands;
    expect(picture.bands).toHaveLength(2);
    expect(anionic?.y).toBeCloseTo((amphoteric?.y ?? 0) + (amphoteric?.height ?? 0), 9);
    expect(picture.meniscusY).toBeCloseTo(137.48, 9);
  });

  it("brackets the window of the profile: 10 to 15 % is 138 to 86 px", () => {
    const scale = neckScale(20, shampoo.window);
    expect(scale.bracket).toEqual({ top: 242 - 156, bottom: 242 - 104 });
    expect(scale.ticks.filter((tick) => tick.isMajor).map((tick) => tick.percent)).toEqual([0, 5, 10, 15, 20]);
    expect(scale.ticks[1]?.y).toBeCloseTo(242 - 10.4, 9);
  });

  it("keeps labels beside thin strata at least a line apart", () => {
    const many = columnGeometry({
      ...shampoo,
      layers: ["rest", "salt", "acid", "keep", "scent", "care"].map((kind, i) => ({
        kind: kind as "rest",
        percent: i === 0 ? 87 : 0.4,
      })),
    });
    const heights = many.layers.filter((layer) => !layer.labelInside).map((layer) => layer.labelY);
    heights.slice(1).forEach((y, i) => expect(y - (heights[i] ?? 0)).toBeGreaterThanOrEqual(17 - 1e-9));
  });

  it("keeps the labels of thin neck bands apart, upwards", () => {
    const thin = columnGeometry({
      ...shampoo,
      actives: [
        { charge: "anionic", percent: 0.4 },
        { charge: "amphoteric", percent: 0.4 },
        { charge: "nonionic", percent: 0.4 },
      ],
    });
    const heights = thin.bands.map((band) => band.labelY);
    expect((heights[0] ?? 0) - (heights[1] ?? 0)).toBeCloseTo(29, 9);
    expect((heights[1] ?? 0) - (heights[2] ?? 0)).toBeCloseTo(29, 9);
  });

  it("shows what is open as a stratum of its own under the neck", () => {
    const open = columnGeometry({ ...shampoo, layers: [{ kind: "rest", percent: 80.95 }], openPercent: 9 });
    expect(open.layers.map((layer) => layer.kind)).toEqual(["open", "rest"]);
    expect(areaOf(open.layers[0]?.path ?? "") / open.areaPerPercent).toBeCloseTo(9, 1);
  });

  it("an empty sheet still has a bottle", () => {
    const empty = columnGeometry({ actives: [], layers: [], window: { low: 8, high: 15 }, openPercent: 100 });
    expect(empty.meniscusY).toBe(242);
    expect(empty.glass).toMatch(/^M/);
  });
});

describe("the range of the neck", () => {
  it.each([
    [12, { low: 10, high: 15 }, 20],
    [20, { low: 15, high: 20 }, 20],
    [20.1, { low: 15, high: 20 }, 50],
    [12, { low: 15, high: 40 }, 50],
    [60, { low: 15, high: 40 }, 100],
  ])("%d %% active in a window of %j reads 0 to %d", (active, window, range) => {
    expect(neckRange(active, window)).toBe(range);
  });

  it("labels of the body begin below those of the neck: little active matter over a thin layer of care", () => {
    const { bands, layers } = columnGeometry({
      actives: [{ charge: "anionic", percent: 0.9 }],
      layers: [
        { kind: "rest", percent: 95.1 },
        { kind: "care", percent: 4 },
      ],
      window: { low: 0.3, high: 8 },
      openPercent: 0,
    });
    const care = layers.find(({ kind }) => kind === "care");
    expect(care?.labelInside).toBe(false);
    expect((care?.labelY ?? 0) - (bands[0]?.labelY ?? 0)).toBeGreaterThanOrEqual(26);
  });
});
