import { describe, expect, it } from "vitest";
import { demoFormulas } from "../../db/demo/formulas";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { noSize } from "./begin/batchSize";
import { begin } from "./begin/begin.server";
import { takeEntries } from "./queue/takeEntries.server";
import { benchState, openBenchState, restsNow, type RestingBatch } from "../frame/restingBatches.server";

onFreshDatabase({ demo: "once" });

const batch = (code: string, ...until: readonly string[]): RestingBatch => ({
  ...{ id: code, code, name: "", through: 0, steps: 1, formulaId: null },
  rests: until.map((moment) => ({ id: moment, text: "rest", until: moment, untilAt: "2026-11-30T18:00:00.000Z" })),
});

describe("what the bench says", () => {
  it("nothing while nothing is being made, then what is, then what rests until when", () => {
    expect(benchState([])).toBeNull();
    expect(benchState([batch("GR-1")])).toBe("GR-1 being made");
    expect(benchState([batch("GR-1"), batch("CC-1")])).toBe("2 being made");
    expect(benchState([batch("GR-1"), batch("CC-1", "18:20", "19:00")])).toBe("CC-1 rests until 18:20");
  });

  it("a clock of a batch that is being made is told, one that was taken back or is over is not", async () => {
    expect(await openBenchState()).toBeNull();
    const formulaId = demoFormulas.find(({ name }) => name === "Green Room body wash")?.id ?? "";
    const id = crypto.randomUUID();
    const form = { id, grams: "200", size: noSize, seen: ["clean", "wear", "meter"], lots: {}, tares: {}, another: [] };
    expect(await begin({ formulaId, number: 1 }, form)).toEqual([]);
    const at = new Date().toISOString();
    const clock = (text: string, minutes: number) => ({ id: crypto.randomUUID(), at, kind: "timer", text, minutes }) as const;
    const [bath, over, back] = [clock("bath", 90), clock("over", 0.0001), clock("back", 90)];
    const taken = { id: crypto.randomUUID(), at, kind: "taken-back", entry: back.id } as const;
    await takeEntries(id, [bath, over, back, taken], 0);
    await new Promise((resolve) => setTimeout(resolve, 20));
    const [resting] = await restsNow();
    expect(resting?.rests.map(({ text }) => text)).toEqual(["bath"]);
    expect(await openBenchState()).toMatch(/^GR-\d{6}-1 rests until /);

    const asked = restsNow();
    expect(restsNow()).toBe(asked);
    expect((await asked)[0]?.rests).toHaveLength(1);
    await takeEntries(id, [{ id: crypto.randomUUID(), at, kind: "wait-ended", wait: bath.id }], 0);
    expect((await restsNow())[0]?.rests).toEqual([]);
  });
});
