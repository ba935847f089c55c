import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { planBatch } from "../batch/planBatch.ts";
import { agentsOf, type BenchAgent } from "./agents.ts";
import { isWeighable, weighableAgent } from "./weighableAgent.ts";

const plan = planBatch(
  sheetOf([
    ["water-distilled", "q.s."],
    ["cocamidopropyl-betaine", 20],
    ["citric-acid-solution-50", 0.4],
  ]),
  500,
  library,
);
const agents = agentsOf(plan);
const named = (text: string) => agents.find(({ name }) => name.includes(text)) as BenchAgent;
const strong = { ...named("50 %"), dropGrams: null };
const at = { scaleStepGrams: 0.01, ph: 5.2, batchGrams: 500 };

describe("a dose that can be weighed", () => {
  it("is 20 steps of the scale: 0.20 g on 0.01 g, not 0.19 g", () => {
    expect(isWeighable({ agent: strong, grams: 0.2 }, 0.01)).toBe(true);
    expect(isWeighable({ agent: strong, grams: 0.19 }, 0.01)).toBe(false);
    expect(weighableAgent({ agent: strong, grams: 0.2 }, agents, at)).toBeNull();
  });

  it("or three whole drops of a solution whose drops are known", () => {
    const dropped = { ...strong, dropGrams: 0.05 };
    expect(isWeighable({ agent: dropped, grams: 0.15 }, 0.01)).toBe(true);
    expect(isWeighable({ agent: dropped, grams: 0.14 }, 0.01)).toBe(false);
  });
});

describe("the strength whose dose can be weighed", () => {
  it("is the strongest that will do: 0.10 g at 50 % is 0.25 g at 20 %, 0.05 g is 0.25 g at 10 %", () => {
    const larger = weighableAgent({ agent: strong, grams: 0.1 }, agents, at);
    expect(larger).toMatchObject({
      agent: { name: "citric acid 20 %" },
      grams: expect.closeTo(0.25, 9) as number,
      steps: expect.closeTo(10, 9) as number,
    });
    expect(weighableAgent({ agent: strong, grams: 0.05 }, agents, at)).toMatchObject({ agent: { name: "citric acid 10 %" } });
  });

  it("is none where nothing at hand is weak enough, or the dose would be a fiftieth of the batch", () => {
    expect(weighableAgent({ agent: strong, grams: 0.005 }, agents, at)).toBeNull();
    expect(weighableAgent({ agent: strong, grams: 0.1 }, agents, { ...at, batchGrams: 10 })).toBeNull();
    expect(weighableAgent({ agent: strong, grams: 0 }, agents, at)).toBeNull();
  });
});
