import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readFormula } from "../../formats/index.ts";
import type { Formula, OwnProcess } from "../../formula/types.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { batchState } from "../batch/batchState.ts";
import { nextStep } from "../batch/nextStep.ts";
import { planBatch } from "../batch/planBatch.ts";
import { linesOf, stepsOf, suggestedSteps } from "../stepsOf.ts";
import { judgeProcess, processWords } from "./judgeProcess.ts";
import { processOf } from "./ownSteps.ts";

// A gel: clay into the water, gum in glycerin, cleansers, scent in the glucoside, preservative and acid.
const wash: Formula = {
  ...sheetOf([]),
  profile: "cream-cleanser",
  phases: [{ id: "A" }, { id: "B" }, { id: "C" }, { id: "D" }],
  lines: [
    { id: "water", phase: "A", material: "water-distilled", qs: true },
    { id: "clay", phase: "A", material: "kaolin", percent: 8 },
    { id: "glycerin", phase: "B", material: "glycerin", percent: 5 },
    { id: "gum", phase: "B", material: "xanthan-gum", percent: 0.5 },
    { id: "glucoside", phase: "C", material: "coco-glucoside", percent: 9 },
    { id: "betaine", phase: "C", material: "cocamidopropyl-betaine", percent: 8 },
    { id: "keeper", phase: "D", material: "phenoxyethanol-ethylhexylglycerin", percent: 1 },
    { id: "acid", phase: "D", material: "lactic-acid", percent: 0.2 },
  ],
};
const suggested = suggestedSteps(wash, library);
const ids = suggested.steps.map(({ id }) => id);
const asSuggested = processOf(suggested);
const made = (process: OwnProcess) => stepsOf({ ...wash, process }, library);
const said = (process: OwnProcess, formula: Formula = wash) => {
  const list = stepsOf({ ...formula, process }, library);
  const from = suggestedSteps(formula, library);
  return judgeProcess(list, from, { process, lines: linesOf(formula, library).lines });
};
const moved = (id: string, behind: string): OwnProcess => {
  const step = asSuggested.steps.find((one) => one.id === id)!;
  const others = asSuggested.steps.filter((one) => one.id !== id);
  return { steps: others.toSpliced(others.findIndex((one) => one.id === behind) + 1, 0, step) };
};

describe("the maker's own steps", () => {
  it("as suggested they are the suggested ones, and nothing is said of them", () => {
    const list = made(asSuggested);
    expect(list.steps.map(({ id, title, do: todo, lines, why }) => [id, title, todo, lines, why])).toEqual(
      suggested.steps.map(({ id, title, do: todo, lines, why }) => [id, title, todo, lines, why]),
    );
    expect(said(asSuggested)).toEqual([]);
  });

  it("keep the maker's order, and are offered in it", () => {
    const process = moved("shear", "slurry-into-water");
    const list = made(process);
    const order = list.steps.map(({ id }) => id);
    expect(order.indexOf("shear")).toBe(order.indexOf("slurry-into-water") + 1);
    const plan = planBatch({ ...wash, process }, 400, library);
    const through = order.slice(0, order.indexOf("slurry-into-water") + 1);
    const entries = through.map((step, at) => ({ id: `e${at}`, at: "2026-11-26T08:00:00.000Z", kind: "done", step }) as const);
    expect(nextStep(batchState(plan, entries), "2026-11-27T08:00:00.000Z").step?.id).toBe("shear");
  });

  it("what the rules would do otherwise is said with its reason, and a reason of the maker's ends it", () => {
    const process = moved("shear", "slurry-into-water");
    const [finding] = said(process);
    expect(finding).toMatchObject({ code: "comes-later", step: "slurry-into-water", before: "shear", severity: "fix" });
    expect(processWords(finding!, made(process), suggested)).toContain('"Shear in clay and suspending agents" is suggested before');
    const kept = {
      steps: process.steps.map((step) => (step.id === "slurry-into-water" ? { ...step, because: "the gum carries it" } : step)),
    };
    expect(said(kept)).toEqual([]);
  });

  it("a step of one's own has its words, clock and beaker; renamed ones keep what was not changed", () => {
    const words = { title: "Colour by eye", do: "Compare with the card.", check: "photo", tool: "white saucer" };
    const own = { id: "colour-by-eye", ...words, lines: [], waitMinutes: 5 };
    const process = { steps: [...asSuggested.steps.map((step) => (step.id === "shear" ? { ...step, title: "Clay in" } : step)), own] };
    const { steps } = made(process);
    expect(steps.at(-1)).toMatchObject({
      title: "Colour by eye",
      do: "Compare with the card.",
      check: "photo",
      tool: "white saucer",
      waitMinutes: 5,
      vessel: "main",
    });
    const clay = steps.find(({ id }) => id === "shear");
    expect(clay).toMatchObject({ title: "Clay in", do: suggested.steps.find(({ id }) => id === "shear")?.do });
  });

  it("a line moved into another step goes in there and nowhere else, and both steps say so", () => {
    const process = {
      steps: asSuggested.steps.map((step) =>
        step.lines.includes("keeper")
          ? { ...step, lines: step.lines.filter((line) => line !== "keeper") }
          : step.id === "shear"
            ? { ...step, lines: [...step.lines, "keeper"] }
            : step,
      ),
    };
    const { steps } = made(process);
    expect(steps.filter(({ lines }) => lines.includes("keeper")).map(({ id }) => id)).toEqual(["shear"]);
    expect(steps.find(({ id }) => id === "shear")?.do).toContain("phenoxyethanol");
  });

  it("a suggested step that is gone is missed, one without need is not; a line it held goes back where it is suggested", () => {
    const without = (gone: string): OwnProcess => ({ steps: asSuggested.steps.filter(({ id }) => id !== gone) });
    expect(said(without("rest"))).toEqual([{ code: "left-out", severity: "consider", step: "rest" }]);
    expect(said(without("prepare"))).toEqual([]);
    expect(made(without("shear")).steps.find(({ lines }) => lines.includes("clay"))?.id).toBe("shear");
  });

  it("what is put in hotter than it is stable to is a stop until its maker says why", () => {
    const cream: Formula = {
      ...wash,
      phases: [
        { id: "A", temperatureC: 75 },
        { id: "B", temperatureC: 75 },
        { id: "C", temperatureC: 35 },
      ],
      lines: [
        { id: "water", phase: "A", material: "water-distilled", qs: true },
        { id: "wax", phase: "B", material: "cetearyl-alcohol", percent: 5 },
        { id: "oil", phase: "B", material: "sunflower-oil", percent: 10 },
        { id: "keeper", phase: "C", material: "benzyl-alcohol-benzoic-sorbic", percent: 0.9 },
      ],
    };
    const list = suggestedSteps(cream, library);
    const process = processOf(list);
    expect(said(process, cream)).toEqual([]);
    const early = (because?: string): OwnProcess => {
      const late = process.steps.find(({ lines }) => lines.includes("keeper"))!;
      const others = process.steps.filter((step) => step !== late);
      return {
        steps: others.toSpliced(others.findIndex(({ id }) => id === "fats-and-water") + 1, 0, {
          ...late,
          ...(because === undefined ? {} : { because }),
        }),
      };
    };
    // The late step itself cools the batch it is put into; taken as it stands at 75 °C it is too hot.
    const hot = { steps: early().steps.map((step) => (step.lines.includes("keeper") ? { ...step, atMostC: 120 } : step)) };
    expect(said(hot, cream)[0]).toMatchObject({ code: "too-hot", severity: "stop", atMostC: 50, temperatureC: 75 });
    const kept = { steps: hot.steps.map((step) => (step.lines.includes("keeper") ? { ...step, because: "a trial of heat" } : step)) };
    expect(said(kept, cream).some(({ code }) => code === "too-hot")).toBe(false);
  });

  it("whatever the order and whatever is left out, each line is in one step and no step waits for a later one", () => {
    const drawn = fc
      .tuple(fc.shuffledSubarray(ids, { minLength: 1 }), fc.array(fc.nat(ids.length), { maxLength: 4 }))
      .map(([order, own]): OwnProcess => {
        const steps = order.map((id) => ({ id, lines: asSuggested.steps.find((step) => step.id === id)?.lines ?? [] }));
        return { steps: own.reduce((all, at, k) => all.toSpliced(at, 0, { id: `own-${k}`, lines: [] }), steps) };
      });
    fc.assert(
      fc.property(drawn, (process) => {
        const { steps, vessels } = made(process);
        expect(steps.flatMap(({ lines }) => lines).sort()).toEqual(wash.lines.map(({ id }) => id).sort());
        const seen = new Set<string>();
        for (const { id, after, vessel } of steps) {
          for (const before of after) expect(seen.has(before), `${id} after ${before}`).toBe(true);
          if (vessel !== null) expect(vessels.some((one) => one.id === vessel)).toBe(true);
          seen.add(id);
        }
        expect(seen.size).toBe(steps.length);
      }),
    );
  });
});

describe("a process in a file", () => {
  const read = (process: unknown) => readFormula({ ...wash, process }, library);

  it("comes back as it was written", () => {
    expect(read(asSuggested).process).toEqual(asSuggested);
  });

  it.each([
    [{ steps: [{ id: "a", lines: ["moon"] }] }, 'there is no line "moon"'],
    [
      {
        steps: [
          { id: "a", lines: ["clay"] },
          { id: "b", lines: ["clay"] },
        ],
      },
      "is in step 1 already",
    ],
    [
      {
        steps: [
          { id: "a", lines: [] },
          { id: "a", lines: [] },
        ],
      },
      'another step has the id "a"',
    ],
    [{ steps: [{ id: "a", lines: [], atMostC: 300 }] }, "atMostC"],
    [{ steps: [] }, "steps"],
  ])("%j is answered with its place", (process, words) => {
    expect(() => read(process)).toThrow(words);
  });
});
