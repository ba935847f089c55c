import { describe, expect, it } from "vitest";
import { clockText, periodWords } from "./periodWords";

describe("spans of time", () => {
  it.each([
    [1, "1 minute"],
    [119, "119 minutes"],
    [120, "2 hours"],
    [2879, "48 hours"],
    [2880, "2 days"],
  ])("%d min are %s", (minutes, words) => {
    expect(periodWords(minutes)).toBe(words);
  });

  it.each([
    [185_000, "3:05"],
    [184_001, "3:05"],
    [59_000, "0:59"],
    [3_600_000, "1:00:00"],
    [28_770_000, "7:59:30"],
    [0, "0:00"],
    [-5_000, "0:00"],
  ])("a clock with %d ms left shows %s", (milliseconds, text) => {
    expect(clockText(milliseconds)).toBe(text);
  });
});
