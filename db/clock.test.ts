import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Database } from "./client.server";
import { clockProblem, latestMoment } from "./clock.server";
import { freshDatabase } from "./testing/freshDatabase";

describe("the clock of the machine", () => {
  const stored = new Date("2026-11-29T12:00:00Z");

  it("two hours behind what was stored is told; five minutes are not", () => {
    expect(clockProblem(stored, new Date("2026-11-29T10:00:00Z"))).toContain("2 h 0 min behind");
    expect(clockProblem(stored, new Date("2026-11-29T11:55:00Z"))).toBeNull();
    expect(clockProblem(stored, new Date("2026-11-29T11:54:59Z"))).toContain("0 h 5 min behind");
    expect(clockProblem(stored, new Date("2027-01-01T00:00:00Z"))).toBeNull();
    expect(clockProblem(null, stored)).toBeNull();
  });

  describe("beside a database", () => {
    let db: Database;
    let close: () => Promise<void>;
    beforeAll(async () => {
      ({ db, close } = await freshDatabase({ demo: "once" }));
    });
    afterAll(async () => close());

    it("the last moment is that of the demo just now", async () => {
      const latest = await latestMoment(db);
      expect(Math.abs((latest?.getTime() ?? 0) - Date.now())).toBeLessThan(3_600_000);
    });
  });
});
