import { poured, simulatedLine, simulatedScale, tared, type SimulatedScale } from "@tensidrum/core/instruments";
import type { ScaleLink } from "./scaleLink";

const LINES_MILLISECONDS = 100;

/** A scale that is played: what is poured is said on the screen, and it answers as a scale on the bench would. */
export class SimulatedLink implements ScaleLink {
  readonly name = "simulated scale";
  readonly isSimulated = true;
  private scale: SimulatedScale = simulatedScale({ readabilityGrams: 0.01, capacityGrams: 3_000 }, 0);

  /** A beaker with its content is put on a scale that shows so much and carries so much. */
  putOn(kind: { readonly readabilityGrams: number; readonly capacityGrams: number }, loadGrams: number): void {
    this.scale = { ...simulatedScale(kind, loadGrams), tareGrams: 0 };
  }

  /** What lies on it beside what was tared away, g. */
  netGrams(): number {
    return this.scale.loadGrams - this.scale.tareGrams;
  }

  pour(grams: number): void {
    this.scale = poured(this.scale, grams, performance.now());
  }

  tare(): void {
    this.scale = tared(this.scale, performance.now());
  }

  listen(onLine: (text: string) => void): () => void {
    const timer = setInterval(() => onLine(simulatedLine(this.scale, performance.now(), Math.random() * 2 - 1)), LINES_MILLISECONDS);
    return () => clearInterval(timer);
  }
}
