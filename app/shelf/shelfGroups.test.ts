import { roles } from "@tensidrum/core/library";
import { describe, expect, it } from "vitest";
import { allShelfGroups, shelfGroupFor, shelfGroupOf } from "./shelfGroups";

describe("the boards of the shelf", () => {
  it("hold every role once", () => {
    expect(allShelfGroups.flatMap((board) => board.roles).toSorted()).toEqual([...roles].toSorted());
    for (const role of roles) expect(shelfGroupOf(role).roles).toContain(role);
  });

  it("have one for what was made here, whatever it does", () => {
    expect(shelfGroupFor({ role: "ph-adjuster" }, true).slug).toBe("made");
    expect(shelfGroupFor({ role: "ph-adjuster" }, false).slug).toBe("keep");
  });
});
