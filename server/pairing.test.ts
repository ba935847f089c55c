import { describe, expect, it } from "vitest";
import { type Device, devicesOf, Pairing } from "./pairing";

const DAY = 86_400_000;

function pairing(known: readonly Device[] = []) {
  let now = Date.UTC(2026, 10, 26, 10);
  const remembered: (readonly Device[])[] = [];
  const made = new Pairing({ now: () => now, known, remember: (devices) => remembered.push(devices) });
  const pair = (from = "10.0.0.7", name = "") => {
    const tried = made.tryCode(made.state().code, from, name);
    if (tried.kind !== "paired") throw new Error(tried.kind);
    return tried.token;
  };
  return { made, remembered, pair, pass: (milliseconds: number) => (now += milliseconds) };
}

/** A code that is not the right one. */
const wrongFor = (code: string) => String((Number(code) + 1) % 100_000_000).padStart(8, "0");

describe("pairing", () => {
  it("lets in who types the code, with or without a space, and makes another code for the next", () => {
    const { made } = pairing();
    const { code } = made.state();
    expect(code).toMatch(/^\d{8}$/);
    const tried = made.tryCode(`${code.slice(0, 4)} ${code.slice(4)}`, "10.0.0.7");
    if (tried.kind !== "paired") throw new Error("not paired");
    expect(made.deviceOf(tried.token)).toMatchObject({ name: "Device 1" });
    expect(made.deviceOf(undefined)).toBeUndefined();
    expect(made.deviceOf(`${tried.token}x`)).toBeUndefined();
    expect(made.state().devices).toHaveLength(1);
    expect(made.tryCode(code, "10.0.0.8").kind).toBe("wrong");
  });

  it("wrong codes slow their own address, 1, 2, 4, 8 seconds, and from another the right code still gets in", () => {
    const { made, pass, pair } = pairing();
    for (const [count, seconds] of [1, 2, 4, 8].entries()) {
      expect(made.tryCode(wrongFor(made.state().code), "10.0.0.66")).toEqual({ kind: "wrong", waitSeconds: seconds });
      expect(made.state()).toMatchObject({ wrong: count + 1, lastWrong: { from: "10.0.0.66" } });
      pass(seconds * 1000 - 1);
      expect(made.tryCode(made.state().code, "10.0.0.66").kind).toBe("too-soon");
      expect(made.deviceOf(pair("10.0.0.7"))).toBeDefined();
      pass(1);
    }
    expect(made.tryCode(made.state().code, "10.0.0.66").kind).toBe("paired");
    expect(made.tryCode("", "10.0.0.66")).toEqual({ kind: "wrong", waitSeconds: 1 });
  });

  it("no pause is longer than five minutes, and wrong codes from a thousand addresses do not change the code", () => {
    const { made, pass } = pairing();
    const { code } = made.state();
    for (let count = 1; count <= 12; count += 1) {
      const tried = made.tryCode("none", "10.0.0.66");
      if (tried.kind !== "wrong") throw new Error(tried.kind);
      expect(tried.waitSeconds).toBe(Math.min(300, 2 ** (count - 1)));
      pass(tried.waitSeconds * 1000);
    }
    for (let address = 0; address < 1_200; address += 1) made.tryCode("none", `10.0.${address >> 8}.${address & 255}`);
    expect(made.state().code).toBe(code);
    expect(made.tryCode(code, "10.0.9.9").kind).toBe("paired");
  });

  it("devices are known again after a restart, by a digest alone, under the name they were given", () => {
    const first = pairing();
    const token = first.pair("10.0.0.7", "Bench \u202e\u0000tablet");
    const [devices = []] = first.remembered;
    expect(JSON.stringify(devices)).not.toContain(token);
    const written = devicesOf(JSON.parse(JSON.stringify(devices)));
    expect(pairing(written).made.deviceOf(token)).toMatchObject({ name: "Bench tablet" });
    expect(pairing().made.deviceOf(token)).toBeUndefined();
  });

  it("a file that holds no devices, as an earlier build wrote it, knows nobody", () => {
    expect(devicesOf(["digest"])).toEqual([]);
    expect(devicesOf({ id: "a" })).toEqual([]);
  });

  it("access ends after 90 days without use, counted from the last use", () => {
    const { made, pair, pass, remembered } = pairing();
    const token = pair();
    pass(60 * DAY);
    expect(made.deviceOf(token)).toBeDefined();
    expect(remembered.at(-1)?.[0]?.lastUsedAt).toBe("2027-01-25T10:00:00.000Z");
    pass(90 * DAY);
    expect(made.deviceOf(token)).toBeDefined();
    pass(90 * DAY + 1);
    expect(made.deviceOf(token)).toBeUndefined();
    expect(made.state().devices).toEqual([]);
  });

  it("access can be ended for one device and for all", () => {
    const { made, pair } = pairing();
    const [one, other] = [pair("10.0.0.7", "tablet"), pair("10.0.0.8", "phone")];
    expect(made.revoke(made.deviceOf(one)?.id ?? "")).toBe(true);
    expect(made.revoke("ffffffffffffffff")).toBe(false);
    expect(made.deviceOf(one)).toBeUndefined();
    expect(made.deviceOf(other)).toMatchObject({ name: "phone" });
    made.revokeAll();
    expect(made.deviceOf(other)).toBeUndefined();
  });
});
