import { describe, expect, it } from "vitest";
import type { Formula } from "../../formula/types.ts";
import { entry } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { whyNot } from "./admit.ts";
import { planBatch } from "./planBatch.ts";
import { questionOfTemperature, temperatureWords } from "./temperatures.ts";

const cream = (waterC: number, fatC: number): Formula => ({
  ...sheetOf([]),
  profile: "cream-cleanser",
  phases: [
    { id: "A", temperatureC: waterC },
    { id: "B", temperatureC: fatC },
  ],
  lines: [
    { id: "water", phase: "A", material: "water-distilled", qs: true },
    { id: "alcohol", phase: "B", material: "cetearyl-alcohol", percent: 5 },
    { id: "oil", phase: "B", material: "caprylic-capric-triglyceride", percent: 15 },
  ],
});
const plan = planBatch(cream(78, 78), 400, library);
const stepOf = (id: string, of = plan) => of.steps.find((one) => one.id === id)!;
const read = (step: string, temperatureC: number) => entry({ kind: "temperature-read", step, temperatureC });
const asked = (step: string, readings: ReturnType<typeof read>[]) => questionOfTemperature(stepOf(step), plan.steps, readings);

describe("temperatures of steps", () => {
  it("are those the phases name: 78 °C typed is 78 °C to do, 73 to 83 °C to be in", () => {
    expect(stepOf("heat-water").do).toContain("heat to 78 °C");
    expect(stepOf("heat-fats").do).toContain("Heat to 78 °C");
    expect(temperatureWords(stepOf("heat-fats"))).toBe("73 to 83 °C");
    expect(stepOf("heat-fats", planBatch(cream(22, 65), 400, library)).do).toContain("65 °C");
    expect(temperatureWords(stepOf("cool"))).toBe("below 40 °C");
    expect(temperatureWords(stepOf("prepare"))).toBeNull();
  });

  it("outside is asked, the edge is not, and nothing read asks nothing", () => {
    expect(asked("heat-fats", [read("heat-fats", 72.5)])).toContain("72.5 °C");
    expect(asked("heat-fats", [read("heat-fats", 73)])).toBeNull();
    expect(asked("heat-fats", [read("heat-fats", 60), read("heat-fats", 76)])).toBeNull();
    expect(asked("heat-fats", [])).toBeNull();
    expect(asked("cool", [read("cool", 41)])).toContain("below 40 °C");
  });

  it("two phases 5 °C apart may meet, 6 °C apart are asked", () => {
    expect(asked("fats-and-water", [read("heat-water", 80), read("heat-fats", 75)])).toBeNull();
    expect(asked("fats-and-water", [read("heat-water", 80), read("heat-fats", 74)])).toContain("6 °C apart");
    expect(asked("fats-and-water", [read("heat-water", 80)])).toBeNull();
  });

  it("what no thermometer shows in a batch is refused", () => {
    expect(whyNot(plan, [], read("heat-fats", 300))).toContain("-10 to 120 °C");
    expect(whyNot(plan, [], read("heat-fats", 120))).toBeNull();
    expect(whyNot(plan, [], read("nowhere", 70))).toContain("not in the batch");
  });
});
