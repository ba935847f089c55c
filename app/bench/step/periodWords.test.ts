import { describe, expect, it } from "vitest";
import { periodWords } from "./periodWords";

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
});
