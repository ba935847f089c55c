import { describe, expect, it } from "vitest";
import { seasonPractice } from "../../db/demo/season";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { drawnPractice, keepRun, openPractice, practiceRunsOf } from "../bench/practice/practice.server";
import { readEndedRun } from "../bench/forms.server";
import { openPlanned } from "../bench/begin/begin.server";
import { playPractice } from "./playPractice";

onFreshDatabase({ demo: "once" });

const [hasty, patient] = [seasonPractice[0]!, seasonPractice[1]!];
const wanted = { formulaId: hasty.formula.id, number: 1 };
const sentAs = (body: unknown) => new Request("http://bench/runs", { method: "POST", body: JSON.stringify(body) });

describe("a practice run that is over", () => {
  it("is judged here by what was entered, kept once, and told before the next batch", async () => {
    expect((await openPlanned(wanted, { grams: "", plan: "" })).lastPractice).toBeNull();
    const drawn = ({ seed }: { readonly seed: string }) => drawnPractice(wanted, seed);
    const [first, second] = [crypto.randomUUID(), crypto.randomUUID()];
    const [one] = await keepRun(wanted, { id: first, seed: hasty.seed, entries: playPractice(await drawn(hasty), new Date(), hasty) });
    await keepRun(wanted, { id: second, seed: patient.seed, entries: playPractice(await drawn(patient), new Date(), patient) });
    // Sent once more, with less in it: what is kept stays.
    const runs = await keepRun(wanted, { id: first, seed: hasty.seed, entries: [] });
    expect(runs.map(({ id }) => id)).toEqual([second, first]);
    expect(runs[1]).toEqual(one);
    expect(runs[0]!.points).toBeGreaterThan(runs[1]!.points);
    expect(runs.map(({ doses }) => doses)).toEqual([patient.acid.length, hasty.acid.length]);
    expect((await openPractice(wanted)).runs).toEqual(runs);
    expect((await openPlanned(wanted, { grams: "", plan: "" })).lastPractice).toBe(runs[0]!.points);
  });

  it("is of its version alone", async () => {
    expect(await practiceRunsOf({ ...wanted, number: 2 })).toEqual([]);
    await expect(keepRun({ ...wanted, number: 99 }, { id: crypto.randomUUID(), seed: "a", entries: [] })).rejects.toThrow(
      "No version lies at this address.",
    );
  });

  it.each([
    ["no identifier", { seed: "a", entries: [] }],
    ["no seed", { id: crypto.randomUUID(), entries: [] }],
    ["an entry of no kind", { id: crypto.randomUUID(), seed: "a", entries: [{ id: "x", at: "2026-01-01T00:00:00Z", kind: "burned" }] }],
    ["a score of its own", { id: crypto.randomUUID(), seed: "a", entries: [], points: 100 }],
  ])("is refused with %s", async (_what, body) => {
    await expect(readEndedRun(sentAs(body))).rejects.toThrow();
  });
});
