import { describe, expect, it } from "vitest";
import { assess } from "../assessment/assess.ts";
import { stepsOf } from "../process/stepsOf.ts";
import { library, materialOf, sheetOf } from "../testing/exampleSheet.ts";
import { isKind, kindPercent } from "./ingredientKinds.ts";
import type { PlainMaterial } from "./material.ts";

const plain = (slug: string) => materialOf(slug) as PlainMaterial;

describe("kinds of ingredients", () => {
  it("go by whole INCI names: every clay of the library, also those whose name does not say so", () => {
    expect(
      ["kaolin", "bentonite", "rhassoul", "magnesium-aluminium-silicate", "bentonite-xanthan"].map((slug) => isKind(plain(slug), "clay")),
    ).toEqual(Array(5).fill(true));
    expect(isKind(plain("glycol-distearate"), "solvent")).toBe(false);
  });

  it("a blend is of a kind from 5 % of it on: 4.9 % xanthan make no xanthan gum", () => {
    const blend = (percent: number): PlainMaterial => ({
      ...plain("xanthan-gum"),
      inci: [
        { name: "Xanthan Gum", percent },
        { name: "Aqua", percent: 100 - percent },
      ],
    });
    expect(kindPercent(blend(30), "gum")).toBe(30);
    expect([isKind(blend(4.9), "gum"), isKind(blend(5), "gum")]).toEqual([false, true]);
  });

  it("a renamed material changes neither the findings nor the steps", () => {
    const lines = [
      ["water-distilled", "q.s."],
      ["sodium-benzoate", 0.5],
      ["kaolin", 3],
      ["xanthan-gum", 0.8],
      ["glycerin", 4],
      ["sci-powder", 8],
      ["cocamidopropyl-betaine", 12],
    ] as const;
    const renamed = new Map(library);
    for (const slug of ["kaolin", "xanthan-gum", "sci-powder"]) renamed.set(slug, { ...materialOf(slug), name: "Stage blend no. 7" });
    const codes = (of: typeof library) => assess(sheetOf(lines), of).findings.map(({ code, lines: ids }) => [code, ids]);
    expect(codes(renamed)).toEqual(codes(library));
    const stages = (of: typeof library) =>
      stepsOf(sheetOf(lines), of).steps.map(({ id, stage, lines: ids, vessel }) => [id, stage, ids, vessel]);
    expect(stages(renamed)).toEqual(stages(library));
  });
});
