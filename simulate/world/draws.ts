/** Random draws of the hidden world: mulberry32, so that a batch is told by its number. */
export interface Draws {
  uniform(low: number, high: number): number;
  logUniform(low: number, high: number): number;
  normal(deviation: number): number;
  integer(low: number, high: number): number;
  pick<Item>(items: readonly Item[]): Item;
}

export function drawsFrom(seed: number): Draws {
  let state = (seed * 0x9e3779b1) >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
  const uniform = (low: number, high: number): number => low + (high - low) * next();
  return {
    uniform,
    logUniform: (low, high) => low * (high / low) ** next(),
    // Box and Muller 1958
    normal: (deviation) => deviation * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    integer: (low, high) => Math.floor(uniform(low, high + 1)),
    pick: (items) => items[Math.floor(next() * items.length)]!,
  };
}
