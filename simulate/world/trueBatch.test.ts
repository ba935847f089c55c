import { describe, expect, it } from "vitest";
import { drawsFrom } from "./draws";
import { listKinds, trueBatch } from "./trueBatch";

const CARBONIC_PKA = 6.35;
const batches = () => Array.from({ length: 200 }, (_, number) => trueBatch(drawsFrom(number)));

describe("batches nobody has seen into", () => {
  it("acid lowers the pH and a base raises it, where no carbonic acid bubbles off", () => {
    const still = batches().filter(({ classes, list }) => classes.list === "right" && list.every(({ pKa }) => pKa !== CARBONIC_PKA));
    expect(still.length).toBeGreaterThan(20);
    for (const batch of still) {
      const before = batch.truePh();
      batch.dose(batch.agent, batch.batchGrams * 0.0005, false);
      expect(Math.sign(batch.truePh() - before)).toBe(batch.agent.kind === "acid" ? -1 : 1);
    }
  });

  it("stand on the side of the window from which the bottle leads into it", () => {
    for (const { agent, target, truePh } of batches()) {
      if (agent.kind === "acid") expect(truePh()).toBeGreaterThan(target.high);
      else expect(truePh()).toBeLessThan(target.low);
    }
  });

  it("a sample taken out leaves the pH of the rest", () => {
    for (const batch of batches()) {
      const before = batch.truePh();
      batch.read(20);
      expect(batch.truePh()).toBe(before);
    }
  });

  it("a sample aside is the same liquid: dosed alike per gram it moves as the batch does, and poured back untouched it changes nothing", () => {
    for (const batch of batches().filter(({ classes }) => classes.list === "right")) {
      const before = batch.truePh();
      const aside = batch.takeAside(50);
      expect(aside.truePh()).toBe(before);
      batch.pourBack(aside);
      expect(batch.truePh()).toBeCloseTo(before, 6);
      expect(batch.grams()).toBeCloseTo(batch.batchGrams - 0.1, 6);
      const other = batch.takeAside(50);
      other.dose(batch.agent, 0.01, false);
      expect(batch.truePh(), "the batch is left alone").toBeCloseTo(before, 6);
      if (other.truePh() === before) continue;
      const moved = Math.sign(other.truePh() - before);
      batch.pourBack(other);
      expect(moved * (batch.truePh() - before)).toBeGreaterThanOrEqual(0);
    }
  });

  it("a strip shows halves, a meter hundredths within what it is off", () => {
    for (const batch of batches()) {
      const shown = batch.read(0);
      if (batch.classes.instrument === "strip") expect(Number.isInteger(2 * shown)).toBe(true);
      else expect(Math.abs(shown - batch.truePh())).toBeLessThan(0.1 + 5 * 0.05);
    }
  });

  it("each kind of list is drawn, and no list is an empty one", () => {
    expect(new Set(batches().map(({ classes }) => classes.list))).toEqual(new Set(listKinds));
    for (const { classes, list } of batches()) if (classes.list === "none") expect(list).toEqual([]);
  });
});
