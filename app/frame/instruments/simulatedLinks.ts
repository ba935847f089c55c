import {
  cupLine,
  dipped,
  drifted,
  emptyCup,
  filledCup,
  meterLines,
  poured,
  simulatedLine,
  simulatedMeter,
  simulatedScale,
  tared,
  type SimulatedCup,
  type SimulatedMeter,
  type SimulatedScale,
} from "@tensidrum/core/instruments";
import type { Hearing, InstrumentLink } from "./instrumentLink";

const LINES_MILLISECONDS = 100;
const CUP_LINES_MILLISECONDS = 50;
const USUAL_SCALE = { readabilityGrams: 0.01, capacityGrams: 3_000 };

const tremble = (): number => Math.random() * 2 - 1;

/** Tells again and again while someone listens, and at once when something was done to it. */
class Telling {
  private send: () => void = () => undefined;

  every(milliseconds: number, send: () => void): () => void {
    this.send = send;
    const timer = setInterval(send, milliseconds);
    return () => {
      clearInterval(timer);
      this.send = () => undefined;
    };
  }

  now(): void {
    this.send();
  }
}

/** A scale that is played: what is poured is said on the screen, and it answers as a scale on the bench would. */
export class SimulatedScaleLink implements InstrumentLink {
  readonly name = "simulated scale";
  readonly isSimulated = true;
  private scale: SimulatedScale = simulatedScale(USUAL_SCALE, 0, performance.now());
  private readonly telling = new Telling();

  /** A beaker with its content is put on a scale that shows so much and carries so much. */
  putOn(kind: { readonly readabilityGrams: number; readonly capacityGrams: number }, loadGrams: number): void {
    this.scale = { ...simulatedScale(kind, loadGrams, performance.now()), tareGrams: 0 };
    this.telling.now();
  }

  /** What lies on it beside what was tared away, g. */
  netGrams(): number {
    return this.scale.loadGrams - this.scale.tareGrams;
  }

  pour(grams: number): void {
    this.scale = poured(this.scale, grams, performance.now());
    this.telling.now();
  }

  tare(): void {
    this.scale = tared(this.scale, performance.now());
    this.telling.now();
  }

  listen({ line }: Hearing): () => void {
    return this.telling.every(LINES_MILLISECONDS, () => line(simulatedLine(this.scale, performance.now(), tremble())));
  }
}

/** What the probe of the played meter can stand in. */
export type Dipped = "air" | "sample" | "warm sample" | number;

const ROOM_C = 22;
const WARM_C = 38;
const BUFFER_C = 25;

/** A pH meter that is played: it is dipped into the batch or a buffer, settles, and is as wrong as its probe. */
export class SimulatedMeterLink implements InstrumentLink {
  readonly name = "simulated meter";
  readonly isSimulated = true;
  private meter: SimulatedMeter;
  private into: Dipped = "air";
  private readonly telling = new Telling();
  private readonly truePh: (isAside: boolean) => number;
  private isAside = false;

  /** @param truePh What is true now of the batch, or of the sample that is aside. */
  constructor(probe: { readonly offsetPh: number; readonly slopePercent: number }, truePh: (isAside: boolean) => number) {
    this.meter = simulatedMeter(probe);
    this.truePh = truePh;
  }

  /** Which beaker a sample for the probe is taken from. */
  standBeside(beaker: "batch" | "sample"): void {
    this.isAside = beaker === "sample";
  }

  standsIn(): Dipped {
    return this.into;
  }

  dip(into: Dipped): void {
    this.into = into;
    const sample = typeof into === "number" ? { truePh: into, temperatureC: BUFFER_C } : this.sample(into);
    this.meter = dipped(this.meter, sample, performance.now());
    this.telling.now();
  }

  /** Set right with what it showed in two buffers, each time it was. */
  setRight(calibrations: SimulatedMeter["calibrations"]): void {
    this.meter = { ...this.meter, calibrations };
    this.telling.now();
  }

  listen({ line }: Hearing): () => void {
    return this.telling.every(LINES_MILLISECONDS, () => {
      if (this.into === "sample" || this.into === "warm sample") this.meter = drifted(this.meter, this.truePh(this.isAside));
      for (const text of meterLines(this.meter, performance.now(), tremble())) line(text);
    });
  }

  private sample(into: "air" | "sample" | "warm sample"): { readonly truePh: number; readonly temperatureC: number } | null {
    return into === "air" ? null : { truePh: this.truePh(this.isAside), temperatureC: into === "sample" ? ROOM_C : WARM_C };
  }
}

/** A flow cup that is played: it is filled from the batch and runs out, twenty times as fast as a real one. */
export class SimulatedCupLink implements InstrumentLink {
  readonly name = "simulated cup";
  readonly isSimulated = true;
  private cup: SimulatedCup = emptyCup;
  private readonly telling = new Telling();
  private readonly batch: () => { readonly pascalSeconds: number; readonly density: number };

  constructor(batch: () => { readonly pascalSeconds: number; readonly density: number }) {
    this.batch = batch;
  }

  fill(): void {
    // Twelve drawn numbers of 0 to 1, less six, are close to a normal one.
    const scatter = Array.from({ length: 12 }, Math.random).reduce((sum, one) => sum + one, -6);
    this.cup = filledCup(this.batch(), performance.now(), scatter);
    this.telling.now();
  }

  empty(): void {
    this.cup = emptyCup;
    this.telling.now();
  }

  listen({ line }: Hearing): () => void {
    return this.telling.every(CUP_LINES_MILLISECONDS, () => {
      const text = cupLine(this.cup, performance.now());
      if (text !== null) line(text);
    });
  }
}
