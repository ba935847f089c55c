import { roles } from "@tensidrum/core/library";
import { describe, expect, it } from "vitest";
import { boardOf, boards } from "./boards";

describe("the boards of the shelf", () => {
  it("hold every role once", () => {
    expect(boards.flatMap((board) => board.roles).toSorted()).toEqual([...roles].toSorted());
    for (const role of roles) expect(boardOf(role).roles).toContain(role);
  });
});
