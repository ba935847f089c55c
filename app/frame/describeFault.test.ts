import { describe, expect, it } from "vitest";
import { describeFault } from "./describeFault.server";

describe("a fault in the log", () => {
  it("names statement, code and place of a failed query, and nothing of what was typed", () => {
    const refused = Object.assign(new Error('invalid input syntax for type uuid: "Curtain Call secret"'), { code: "22P02" });
    const failed = Object.assign(new Error("Failed query: insert into lots values ($1)\nparams: Curtain Call secret"), {
      name: "DrizzleQueryError",
      query: "insert into lots values ($1)",
      params: ["Curtain Call secret"],
      cause: refused,
    });
    failed.stack = `DrizzleQueryError: ${failed.message}\n    at receive (receive.server.ts:1:1)`;
    const told = describeFault(failed);
    expect(told).toContain("insert into lots values ($1)");
    expect(told).toContain("[22P02]");
    expect(told).toContain("receive.server.ts");
    expect(told).not.toContain("secret");
  });

  it("what was thrown without being an error is told by its kind alone", () => {
    expect(describeFault("Curtain Call secret")).toBe("thrown: string");
  });

  it("a chain that leads back to itself ends", () => {
    const [one, other] = [new Error("one"), new Error("other")];
    one.cause = other;
    other.cause = one;
    expect(describeFault(one).match(/caused by/g)?.length).toBe(4);
  });
});
