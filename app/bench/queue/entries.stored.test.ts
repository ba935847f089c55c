import type { BatchEntry } from "@tensidrum/core/process";
import { describe, expect, it } from "vitest";
import { storedEntries, storedPractice } from "./entries.stored";

const BATCH = "5ea50000-0000-4000-8000-00000000a200";
const entry: BatchEntry = {
  id: "5ea50000-0000-4000-8000-0000000000e1",
  at: "2026-11-26T10:00:00.000Z",
  kind: "noted",
  step: null,
  text: "foam on the rim",
};
const kept = { id: entry.id, batch: BATCH, entry, position: null, why: null };

describe("entries a device kept", () => {
  it("come back in their order, those that wait, are held and were refused", () => {
    const held = { ...kept, id: "held", position: 4 };
    const refused = { ...kept, id: "refused", why: "It has been done already." };
    expect(storedEntries([kept, held, refused])).toEqual({ entries: [kept, held, refused], broken: [] });
  });

  it.each([
    ["nothing", null],
    ["a text", "noted"],
    ["one without its batch", { ...kept, batch: undefined }],
    ["one of a kind there is none of", { ...kept, entry: { ...entry, kind: "dreamt" } }],
    ["one that happened at no time", { ...kept, entry: { ...entry, at: "yesterday" } }],
  ])("leave out %s", (_what, broken) => {
    expect(storedEntries([broken, kept])).toEqual({ entries: [kept], broken: [broken] });
  });
});

describe("practice runs a device kept", () => {
  const run = { id: entry.id, seed: "a7", entries: [entry], aheadMilliseconds: 120_000, isOver: false };

  it("come back as they were", () => {
    expect(storedPractice(run)).toEqual(run);
  });

  it("of before they had an identifier get one", () => {
    const { id: _, ...old } = run;
    expect(storedPractice(old)).toMatchObject(old);
    expect(storedPractice(old)?.id).toMatch(/^[0-9a-f-]{36}$/);
  });

  it("are none where one part is broken", () => {
    expect(storedPractice({ ...run, aheadMilliseconds: "120000" })).toBeNull();
    expect(storedPractice(undefined)).toBeNull();
  });
});
