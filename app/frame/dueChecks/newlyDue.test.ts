import { describe, expect, it } from "vitest";
import { newlyDue } from "./newlyDue";

const check = (id: string) => ({ id, batchId: "b", storage: "room", words: "GR-1: 1 week" });

describe("checks that become due while a page is open", () => {
  it("are told once, and those that were due already are not", () => {
    expect(newlyDue(null, [check("a")])).toEqual([]);
    expect(newlyDue(new Set(["a"]), [check("a")])).toEqual([]);
    expect(newlyDue(new Set(["a"]), [check("a"), check("b")]).map(({ id }) => id)).toEqual(["b"]);
    expect(newlyDue(new Set(["a", "b"]), [check("b")])).toEqual([]);
  });
});
