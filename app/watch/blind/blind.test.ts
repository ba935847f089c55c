import { describe, expect, it } from "vitest";
import { resultWords } from "./blindWords";
import { readAnswers } from "./readAnswers";

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

describe("what it shows", () => {
  const test = {
    kind: "triangle",
    first: "GR-1",
    second: "GR-2",
    hits: 9,
    answered: 12,
    result: { chance: 0.00386, isShown: true },
  } as const;
  it("is said with how often chance does it, and what is not shown is not denied", () => {
    expect(resultWords(test)).toBe(
      "9 of 12 found the different cup; by guessing alone so many or more do 0.39 % of the time. They can be told apart.",
    );
    expect(resultWords({ ...test, hits: 4, result: { chance: 0.607, isShown: false } })).toContain("is not shown; nor that they cannot");
    expect(resultWords({ ...test, kind: "paired", hits: 2, result: { chance: 0.0386, isShown: true } })).toContain("GR-2 is preferred");
    expect(resultWords({ ...test, answered: 0, result: null })).toContain("Nobody");
  });
});
