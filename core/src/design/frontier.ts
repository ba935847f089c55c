/** A blend that nothing found so far is better than in both. */
export interface FrontierPoint<Blend> {
  readonly irritation: number;
  /** What is weighed against it; less is better. */
  readonly second: number;
  readonly blend: Blend;
}

/** How near two values of the second count as the same: a part of it, or so much of its unit. */
export interface Nearness {
  readonly part: number;
  readonly least: number;
}

/** Blends among which none is better than another in both, by the second, rising; irritation falls along them. */
export class Frontier<Blend> {
  #points: FrontierPoint<Blend>[] = [];
  readonly #secondNear: Nearness;

  constructor(secondNear: Nearness) {
    this.#secondNear = secondNear;
  }

  get points(): readonly FrontierPoint<Blend>[] {
    return this.#points;
  }

  /** A value of the second that counts as no worse than this. */
  #loosened(second: number, tolerance: number): number {
    return second + tolerance * Math.max(this.#secondNear.least, this.#secondNear.part * Math.abs(second));
  }

  /** Index of the last point whose second is not above a value; −1 for none. */
  #lastUpTo(second: number): number {
    let [low, high] = [0, this.#points.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.#points[middle]!.second <= second) low = middle + 1;
      else high = middle;
    }
    return low - 1;
  }

  /** Whether something that is there is as good in both, but for a tolerance: 0.01 is one part in a hundred. */
  covers(irritation: number, second: number, tolerance: number): boolean {
    const at = this.#lastUpTo(this.#loosened(second, tolerance));
    return at >= 0 && this.#points[at]!.irritation <= irritation * (1 + tolerance);
  }

  /** By how much the least tolerance that covers it is above 0; at most 1. */
  gapAt(irritation: number, second: number): number {
    let [low, high] = [0, 1];
    for (let step = 0; step < 20; step += 1) {
      const middle = (low + high) / 2;
      if (this.covers(irritation, second, middle)) high = middle;
      else low = middle;
    }
    return high;
  }

  /** Takes a blend unless something as good is there, and lets go of what it is better than. */
  take(point: FrontierPoint<Blend>): boolean {
    if (this.covers(point.irritation, point.second, 0)) return false;
    const from = this.#points.findIndex(({ second }) => second >= point.second);
    const start = from < 0 ? this.#points.length : from;
    let end = start;
    while (end < this.#points.length && this.#points[end]!.irritation >= point.irritation) end += 1;
    this.#points.splice(start, end - start, point);
    return true;
  }
}
