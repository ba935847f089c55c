import { ratedResult } from "@tensidrum/core/stability";
import { describe, expect, it } from "vitest";
import { resultWords } from "./blindWords";
import { readAnswers, readRatings } from "./readAnswers";

const sheets = new Map([
  [1, ["482", "317", "905"]],
  [12, ["111", "222", "333"]],
]);

describe("what testers chose", () => {
  it("is a tester and a code on each line, however they are parted", () => {
    expect(readAnswers("1 482\n\nT12; 222 \n", sheets)).toEqual({
      answers: [
        { tester: 1, chosen: "482" },
        { tester: 12, chosen: "222" },
      ],
    });
  });

  it.each([
    ["", "on each line"],
    ["the first", "no tester and code"],
    ["3 482", "no tester 3"],
    ["1 222", "they have 482, 317, 905"],
  ])("%s is refused with why", (text, says) => expect(readAnswers(text, sheets)).toMatchObject({ problem: expect.stringContaining(says) }));
});

describe("the marks testers gave", () => {
  const testers = new Set([1, 12]);
  it("are a tester and a mark for each cup on each line", () => {
    expect(readRatings("1 4 2\nT12; 5; 1\n", testers)).toEqual({
      answers: [
        { tester: 1, ratings: [4, 2] },
        { tester: 12, ratings: [5, 1] },
      ],
    });
  });

  it.each([
    ["", "both marks"],
    ["1 4", "no tester and two marks"],
    ["1 6 2", "no tester and two marks"],
    ["3 4 2", "no tester 3"],
  ])("%s is refused with why", (text, says) =>
    expect(readRatings(text, testers)).toMatchObject({ problem: expect.stringContaining(says) }),
  );
});

describe("what it shows", () => {
  const test = {
    kind: "triangle",
    first: "GR-1",
    second: "GR-2",
    hits: 9,
    answered: 12,
    result: { chance: 0.00386, isShown: true },
    rated: null,
  } as const;
  it("is said with how often chance does it, and what is not shown is not denied", () => {
    expect(resultWords(test)).toBe(
      "9 of 12 found the different cup; by guessing alone so many or more do 0.39 % of the time. They can be told apart.",
    );
    expect(resultWords({ ...test, hits: 4, result: { chance: 0.607, isShown: false } })).toContain("is not shown; nor that they cannot");
    expect(resultWords({ ...test, kind: "paired", hits: 2, result: { chance: 0.0386, isShown: true } })).toContain("GR-2 is preferred");
    expect(resultWords({ ...test, answered: 0, result: null })).toContain("Nobody");
  });

  it("of marks is told by means, spreads, and how often chance does it", () => {
    const rated = ratedResult([
      { a: 4, b: 3 },
      { a: 5, b: 3 },
      { a: 4, b: 3 },
    ]);
    expect(resultWords({ ...test, kind: "rated", result: null, answered: 3, rated })).toBe(
      "GR-1 gets 4.3 ± 0.6, GR-2 3.0 ± 0.0, by 3. They differ by 1.3; where there is none, chance does so much 5.7 % of the time. That either is marked higher is not shown.",
    );
    expect(resultWords({ ...test, kind: "rated", result: null, answered: 1, rated: null })).toContain("One answer alone");
  });
});
