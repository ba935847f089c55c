import { afterEach, describe, expect, it, vi } from "vitest";
import { freshPractice, keepPractice, keptPractice } from "./keptPractice";
import { partWords } from "./partWords";

/** What a browser keeps, for a test without one. */
function browserStorage(): Pick<Storage, "getItem" | "setItem"> {
  const kept = new Map<string, string>();
  return { getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => void kept.set(key, value) };
}

afterEach(() => vi.unstubAllGlobals());

describe("a practice run in the browser", () => {
  it("goes on where it was left, each version by itself; what cannot be read is a fresh one", async () => {
    const storage = browserStorage();
    vi.stubGlobal("localStorage", storage);
    const run = { ...freshPractice("seed"), aheadMilliseconds: 120_000 };
    keepPractice("a", run);
    expect(await keptPractice("a")).toEqual(run);
    expect(await keptPractice("b")).toMatchObject({ entries: [], aheadMilliseconds: 0, isOver: false });
    storage.setItem("tensidrum.practice.a", "{half");
    expect((await keptPractice("a")).entries).toEqual([]);
    storage.setItem("tensidrum.practice.a", JSON.stringify({ ...run, entries: [{ id: "x", kind: "burned" }] }));
    expect(await keptPractice("a")).toMatchObject({ entries: [], aheadMilliseconds: 0 });
  });
});

describe("the parts of a score in words", () => {
  const wanted = { corridor: { low: 4.5, high: 5.3 }, target: 2.5, reachable: 2.5 };
  it.each([
    ["ph", 4.9, "True pH 4.90, wanted 4.5 to 5.3"],
    ["overshoot", 0, "The pH never went past its far edge"],
    ["overshoot", 0.3, "The pH went 0.30 past its far edge"],
    ["doses", 1, "1 dose of acid or base"],
    ["doses", 4, "4 doses of acid or base"],
    ["thickness", 2.34, "2.34 Pa·s, wanted 2.50"],
    ["pastPeak", 0, "The salt stayed in the safe part"],
    ["pastPeak", 0.12, "The salt went 0.12 % past the safe part"],
    ["time", 51.4, "51 min of tuning"],
  ] as const)("%s of %d", (what, measured, words) => {
    expect(partWords({ what, isTried: true, measured }, wanted)).toBe(words);
  });

  it.each([
    ["overshoot", 0, "The pH was not adjusted"],
    ["pastPeak", 0, "No salt was added"],
    ["time", 3, "3 min of tuning, not to its end"],
  ] as const)("%s that nobody tried", (what, measured, words) => {
    expect(partWords({ what, isTried: false, measured }, wanted)).toBe(words);
  });

  it("a base that hardly answers says what salt can do", () => {
    expect(partWords({ what: "thickness", isTried: true, measured: 0.3 }, { ...wanted, reachable: 0.31 })).toBe(
      "0.30 Pa·s, wanted 2.50; salt brings this base to 0.31",
    );
  });
});
