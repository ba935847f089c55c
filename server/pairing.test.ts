import { describe, expect, it } from "vitest";
import { Pairing } from "./pairing";

function pairing(known: readonly string[] = []) {
  let now = Date.UTC(2026, 10, 26, 10);
  const remembered: (readonly string[])[] = [];
  const made = new Pairing({ now: () => now, known, remember: (digests) => remembered.push(digests) });
  return { made, remembered, pass: (milliseconds: number) => (now += milliseconds) };
}

/** A code that is not the right one. */
const wrongFor = (code: string) => String((Number(code) + 1) % 1_000_000).padStart(6, "0");

describe("pairing", () => {
  it("lets in who types the code, with or without a space, and makes another code for the next", () => {
    const { made } = pairing();
    const { code } = made.state();
    expect(code).toMatch(/^\d{6}$/);
    const tried = made.tryCode(`${code.slice(0, 3)} ${code.slice(3)}`, "10.0.0.7");
    if (tried.kind !== "paired") throw new Error("not paired");
    expect(made.isPaired(tried.token)).toBe(true);
    expect(made.isPaired(undefined)).toBe(false);
    expect(made.isPaired(`${tried.token}x`)).toBe(false);
    expect(made.state().devices).toBe(1);
    expect(made.tryCode(code, "10.0.0.8").kind).toBe("wrong");
  });

  it("wrong codes are counted and slowed: 1, 2, 4, 8 seconds, and meanwhile not even the right one is looked at", () => {
    const { made, pass } = pairing();
    for (const [count, seconds] of [1, 2, 4, 8].entries()) {
      expect(made.tryCode(wrongFor(made.state().code), "10.0.0.66")).toEqual({ kind: "wrong", waitSeconds: seconds });
      expect(made.state()).toMatchObject({ wrong: count + 1, lastWrong: { from: "10.0.0.66" } });
      pass(seconds * 1000 - 1);
      expect(made.tryCode(made.state().code, "10.0.0.7").kind).toBe("too-soon");
      pass(1);
    }
    expect(made.tryCode(made.state().code, "10.0.0.7").kind).toBe("paired");
    expect(made.state().wrong).toBe(4);
    expect(made.tryCode("", "10.0.0.66")).toEqual({ kind: "wrong", waitSeconds: 1 });
  });

  it("the tenth wrong one in a row makes the code another, and no pause is longer than five minutes", () => {
    const { made, pass } = pairing();
    const { code } = made.state();
    for (let count = 1; count <= 12; count += 1) {
      const tried = made.tryCode("none", "10.0.0.66");
      if (tried.kind !== "wrong") throw new Error(tried.kind);
      expect(tried.waitSeconds).toBe(Math.min(300, 2 ** (count - 1)));
      if (count === 9) expect(made.state().code).toBe(code);
      if (count === 10) expect(made.state().code).not.toBe(code);
      pass(tried.waitSeconds * 1000);
    }
  });

  it("devices are known again after a restart, by a digest alone", () => {
    const first = pairing();
    const tried = first.made.tryCode(first.made.state().code, "10.0.0.7");
    if (tried.kind !== "paired") throw new Error("not paired");
    const [digests = []] = first.remembered;
    expect(digests.join()).not.toContain(tried.token);
    expect(pairing(digests).made.isPaired(tried.token)).toBe(true);
    expect(pairing().made.isPaired(tried.token)).toBe(false);
  });
});
