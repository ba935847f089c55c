import { describe, expect, it } from "vitest";
import { readFormula } from "../../formats/index.ts";
import type { Formula, OwnProcess, ProcessChoices } from "../../formula/types.ts";
import { library } from "../../testing/exampleSheet.ts";
import { formulaOf, reading } from "../../testing/stepReading.ts";
import { possibleCarriers } from "../batchKind.ts";
import { planBatch } from "../batch/planBatch.ts";
import { linesOf, stepsOf, suggestedSteps } from "../stepsOf.ts";
import { judgeProcess, processWords } from "./judgeProcess.ts";
import { processOf } from "./ownSteps.ts";

const wash = (choices?: ProcessChoices, changes: Partial<Formula> = {}): Formula =>
  formulaOf(
    "body-wash",
    {
      A: [22, ["water-distilled", "q.s."]],
      B: [22, ["glycerin", 4], ["xanthan-gum", 0.5]],
      C: [22, ["coco-glucoside", 8], ["cocamidopropyl-betaine", 10], ["sci-powder", 4]],
      D: [22, ["polysorbate-20", 2], ["juniper-berry-oil", 0.3], ["phenoxyethanol-ethylhexylglycerin", 1], ["lactic-acid", 0.3]],
    },
    { ...(choices === undefined ? {} : { process: { steps: [], choices } }), ...changes },
  );
const suggested = (choices?: ProcessChoices) => reading(suggestedSteps(wash(choices), library));

describe("what the maker settles before the steps are suggested", () => {
  it("scent goes into the solubiliser by itself, into the glucoside when that is chosen, and into the batch likewise", () => {
    suggested().together("polysorbate-20", "juniper-berry-oil");
    const glucoside = suggested({ scentInto: "coco-glucoside" });
    glucoside.together("coco-glucoside", "juniper-berry-oil");
    expect(glucoside.at("polysorbate-20").id).not.toBe(glucoside.at("juniper-berry-oil").id);
    const batch = suggested({ scentInto: "batch" });
    batch.inOrder("surfactants-into-water", "juniper-berry-oil");
    expect(batch.vesselOf("juniper-berry-oil")).toBe("main");
  });

  it("offers what can carry scent: solubilisers, liquid nonionics and oils", () => {
    expect(possibleCarriers(linesOf(wash(), library).lines).map(({ line }) => line.id)).toEqual(["coco-glucoside", "polysorbate-20"]);
  });

  it("the preservative goes into the water from the start, into the glycerin of the gum, or into the finished batch", () => {
    const keeper = "phenoxyethanol-ethylhexylglycerin";
    suggested({ preservativeInto: "water" }).inOrder("water-distilled", keeper, "surfactants-into-water");
    suggested({ preservativeInto: "glycerin" }).together("glycerin", "xanthan-gum", keeper);
    suggested({ preservativeInto: "batch" }).inOrder("surfactants-into-water", keeper, "ph");
  });

  it("acid in the water phase from the start leaves the pH step to reading", () => {
    const early = suggested({ acidInWater: true });
    early.inOrder("water-distilled", "lactic-acid", "surfactants-into-water", "ph");
    expect(early.at("ph").lines).toEqual([]);
    expect(suggested().at("ph").lines).toEqual(["lactic-acid"]);
  });

  it("cold leaves the warming out and is objected to where a cleanser clears only warm, until its maker says why", () => {
    expect(suggested().has("warm-cleansers")).toBe(true);
    expect(suggested({ route: "cold" }).has("warm-cleansers")).toBe(false);
    const said = (process: OwnProcess) => {
      const formula = wash(undefined, { process });
      const list = stepsOf(formula, library);
      const from = suggestedSteps(formula, library);
      const findings = judgeProcess(list, from, { process, lines: linesOf(formula, library).lines });
      return { findings, words: findings.map((finding) => processWords(finding, list, from)) };
    };
    const cold = { ...processOf(suggestedSteps(wash({ route: "cold" }), library)), choices: { route: "cold" as const } };
    const { findings, words } = said(cold);
    expect(findings).toMatchObject([{ code: "needs-heat", severity: "fix" }]);
    expect(words[0]).toContain("clears only when it is warm");
    const kept = {
      ...cold,
      steps: cold.steps.map((step) => (step.lines.includes("sci-powder") ? { ...step, because: "stands overnight" } : step)),
    };
    expect(said(kept).findings).toEqual([]);
    const warm = { ...processOf(suggestedSteps(wash({ route: "warm" }), library)), choices: { route: "warm" as const } };
    expect(said(warm).findings).toEqual([]);
  });
});

describe("part of a line in a step", () => {
  const plain = processOf(suggestedSteps(wash(), library));
  const process: OwnProcess = {
    portions: [{ id: "rinse", of: "water-distilled", percentOfLine: 10 }],
    steps: plain.steps.map((step) => (step.id === "surfactants-into-water" ? { ...step, lines: [...step.lines, "rinse"] } : step)),
  };

  it("is weighed in its own step with its own grams, and the whole stays what it was", () => {
    const plan = planBatch(wash(undefined, { process }), 500, library);
    const step = plan.steps.find(({ lines }) => lines.includes("rinse"));
    expect(step?.id).toBe("surfactants-into-water");
    expect(step?.do).toContain("water (a part)");
    // What the step is for still stands there.
    const suggestion = suggestedSteps(wash(), library).steps.find(({ id }) => id === "surfactants-into-water");
    expect(step?.do.startsWith(suggestion?.do ?? "?")).toBe(true);
    // 69.9 % of 500 g are 349.5 g of water, a tenth of it 34.95 g
    expect(plan.targets.get("rinse")).toBeCloseTo(34.95, 6);
    expect(plan.targets.get("water-distilled")).toBeCloseTo(314.55, 6);
    expect([...plan.targets.values()].reduce((sum, grams) => sum + grams, 0)).toBeCloseTo(500, 0);
  });

  it("comes back from a file; one of an unknown line, of more than the line, or named like another is answered with its place", () => {
    const read = (changes: Partial<OwnProcess>) => readFormula({ ...wash(), process: { ...process, ...changes } }, library).process;
    expect(read({})).toEqual(process);
    const part = { id: "rinse", of: "water-distilled", percentOfLine: 10 };
    expect(() => read({ portions: [{ ...part, of: "moon" }] })).toThrow('there is no line "moon"');
    expect(() => read({ portions: [part, { ...part, id: "more", percentOfLine: 90 }] })).toThrow("the whole line or more");
    expect(() => read({ steps: plain.steps, portions: [{ ...part, id: "glycerin" }] })).toThrow('something else has the id "glycerin"');
    expect(() => read({ portions: [{ ...part, percentOfLine: 120 }] })).toThrow("percentOfLine");
    expect(() => read({ choices: { scentInto: "moon" } })).toThrow('there is no line "moon"');
  });
});
