import { roles } from "@tensidrum/core/library";
import { describe, expect, it } from "vitest";
import { allBoards, boardFor, boardOf } from "./boards";

describe("the boards of the shelf", () => {
  it("hold every role once", () => {
    expect(allBoards.flatMap((board) => board.roles).toSorted()).toEqual([...roles].toSorted());
    for (const role of roles) expect(boardOf(role).roles).toContain(role);
  });

  it("have one for what was made here, whatever it does", () => {
    expect(boardFor({ role: "ph-adjuster" }, true).slug).toBe("made");
    expect(boardFor({ role: "ph-adjuster" }, false).slug).toBe("keep");
  });
});
