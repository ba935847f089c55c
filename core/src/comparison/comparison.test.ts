import { randomLcg, randomNormal } from "d3-random";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { nearTo } from "./measured.ts";
import { cameTrue, nextChanges, type Round } from "./nextRound.ts";
import { effectsOf, toldApart } from "./toldApart.ts";

describe("what can be told apart", () => {
  it("one change a round can, two at once cannot, and a later round that changes one of them tells", () => {
    expect(
      toldApart([
        [1, 0],
        [0, 2],
      ]),
    ).toEqual({ apart: [0, 1], together: [] });
    expect(toldApart([[0.5, 0.25]])).toEqual({ apart: [], together: [[0, 1]] });
    expect(
      toldApart([
        [1, 0, 0],
        [0, 1, 2],
      ]),
    ).toEqual({ apart: [0], together: [[1, 2]] });
    expect(
      toldApart([
        [0.5, 0.25],
        [0, 0.1],
      ]),
    ).toEqual({ apart: [0, 1], together: [] });
    expect(toldApart([])).toEqual({ apart: [], together: [] });
  });

  it("two pairs that are changed each in step are two groups, not one", () => {
    expect(
      toldApart([
        [1, 1, 0, 0],
        [0, 0, 1, 3],
      ]),
    ).toEqual({
      apart: [],
      together: [
        [0, 1],
        [2, 3],
      ],
    });
  });

  it("effects of what can be told are found again, whatever else is mixed up", () => {
    const step = fc.double({ min: 0.1, max: 5, noNaN: true });
    fc.assert(
      fc.property(step, step, step, (a, b, c) => {
        const [slopeA, slopeB] = [2, -3];
        const effects = effectsOf(
          [
            [a, 0, 0, 0],
            [0, b, 0, 0],
            [0, 0, c, c],
          ],
          [slopeA * a, slopeB * b, 7],
          0.1,
        );
        expect(effects.map(({ column }) => column)).toEqual([0, 1]);
        expect(effects[0]!.perUnit).toBeCloseTo(slopeA, 6);
        expect(effects[1]!.perUnit).toBeCloseTo(slopeB, 6);
      }),
    );
  });

  it("salt up by 0.1 and thickness by 0.4 is 4 for one percent, as sure as two readings over that step", () => {
    const [salt] = effectsOf([[0.1]], [0.4], 0.05);
    expect(salt).toMatchObject({ column: 0 });
    expect(salt!.perUnit).toBeCloseTo(4, 9);
    expect(salt!.spread).toBeCloseTo((Math.SQRT2 * 0.05) / 0.1, 9);
  });
});

describe("how near it comes", () => {
  it("pH 5.5 beside 5.3 is just noticed, 5.51 is", () => {
    const near = (ph: number) => nearTo({ ph }, { ph: 5.3 })[0]!;
    expect(near(5.5).off).toBeCloseTo(1, 9);
    expect([near(5.5).isNear, near(5.51).isNear, near(5.09).isNear]).toEqual([true, false, false]);
  });

  it("118 mm of foam may be 9.4 off; what only one was measured for is not compared", () => {
    expect(nearTo({ foamAtOnceMm: 127.4, slip: 3 }, { foamAtOnceMm: 118, ph: 5 })).toEqual([
      { kind: "foamAtOnceMm", value: 127.4, wanted: 118, off: expect.closeTo(0.9958, 3) as number, isNear: true },
    ]);
  });
});

const doses = () => ({ low: 0, high: 10 });
const silent = () => [];
const round = (lines: Readonly<Record<string, number>>, measured: Round["measured"]): Round => ({
  lines: new Map(Object.entries(lines)),
  measured,
});

describe("the next round", () => {
  it("goes on by what one's own rounds did: guar gave 0.5 of slip for 0.1, so 0.1 less brings it back", () => {
    const rounds = [round({ guar: 0.15, salt: 1 }, { slip: 4 }), round({ guar: 0.35, salt: 1 }, { slip: 5 })];
    const [change] = nextChanges(rounds, { slip: 4.2 }, { doses, model: silent });
    expect(change).toMatchObject({ material: "guar", from: 0.35, source: "own" });
    expect(change!.to).toBeCloseTo(0.19, 2);
    expect(change!.expected[0]).toMatchObject({ kind: "slip", likely: expect.closeTo(-0.8, 1) as number });
  });

  it("does not go further than twice what was tried, nor over the usual dose", () => {
    const rounds = [round({ salt: 1 }, { pascalSeconds: 1 }), round({ salt: 1.1 }, { pascalSeconds: 1.5 })];
    expect(nextChanges(rounds, { pascalSeconds: 9 }, { doses, model: silent })[0]!.to).toBeCloseTo(1.3, 9);
    expect(nextChanges(rounds, { pascalSeconds: 9 }, { doses: () => ({ low: 0, high: 1.2 }), model: silent })[0]!.to).toBe(1.2);
  });

  it("says nothing where all is near, where nothing can be told apart, and where a slope is no surer than its scatter", () => {
    const rounds = [round({ salt: 1, guar: 0.1 }, { slip: 3 }), round({ salt: 1.2, guar: 0.2 }, { slip: 4 })];
    expect(nextChanges(rounds, { slip: 4.3 }, { doses, model: silent })).toEqual([]);
    expect(nextChanges(rounds, { slip: 2 }, { doses, model: silent })).toEqual([]);
    const unsure = [round({ salt: 1 }, { slip: 3 }), round({ salt: 1.2 }, { slip: 3.1 })];
    expect(nextChanges(unsure, { slip: 5 }, { doses, model: silent })).toEqual([]);
    expect(nextChanges([], { slip: 5 }, { doses, model: silent })).toEqual([]);
  });

  it("asks a model only for what its own rounds do not tell, and puts its own first", () => {
    const rounds = [
      round({ salt: 1, sulfonate: 20 }, { slip: 3, foamAtOnceMm: 90 }),
      round({ salt: 1.4, sulfonate: 20 }, { slip: 4.5, foamAtOnceMm: 90 }),
    ];
    const model = (material: string, from: number, to: number) =>
      material === "sulfonate"
        ? [{ kind: "foamAtOnceMm", low: 1 * (to - from), likely: 3 * (to - from), high: 5 * (to - from) } as const]
        : [];
    const changes = nextChanges(rounds, { slip: 3.2, foamAtOnceMm: 105 }, { doses: () => ({ low: 0, high: 40 }), model });
    expect(changes.map(({ material, source }) => [material, source])).toEqual([
      ["salt", "own"],
      ["sulfonate", "model"],
    ]);
    expect(changes[1]!.to).toBeCloseTo(25, 2);
  });

  it("is not offered where it makes something else worse by more than it helps", () => {
    const rounds = [round({ salt: 1 }, { slip: 3, ph: 5.3 }), round({ salt: 2 }, { slip: 4.5, ph: 6.5 })];
    const wanted = { slip: 3.5, ph: 6.5 };
    expect(nextChanges(rounds, wanted, { doses, model: silent })).toEqual([]);
  });

  it("keeps what it promises: of drawn worlds four of five come true", () => {
    const random = randomLcg(0.6);
    const normal = randomNormal.source(random);
    const [slope, scatter] = [normal(6, 2), normal(0, 0.23)];
    let [told, held] = [0, 0];
    for (let world = 0; world < 500; world += 1) {
      const perPercent = slope();
      // A world of its own: slip bends a little with the dose.
      const slip = (guar: number): number => 2 + perPercent * guar - 1.5 * guar ** 2 + scatter();
      const rounds = [0.1, 0.3].map((guar) => round({ guar }, { slip: slip(guar) }));
      const [change] = nextChanges(rounds, { slip: (rounds[1]!.measured.slip ?? 0) + 1 }, { doses, model: silent });
      const expected = change?.expected[0];
      if (change === undefined || expected === undefined) continue;
      told += 1;
      if (cameTrue(expected, rounds[1]!.measured, { slip: slip(change.to) }) === true) held += 1;
    }
    expect(told).toBeGreaterThan(300);
    expect(held / told).toBeGreaterThan(0.75);
  });
});
