import { Refusal } from "../../quantities/refusal.ts";

export interface MixChoice {
  readonly name: string;
  readonly fillGrams: number;
  /** How many are on the shelf; as many as one likes when left out. */
  readonly available?: number;
}

export interface ContainerMix {
  /** How many of each, in the order of the choices. */
  readonly counts: readonly number[];
  readonly filledGrams: number;
  readonly leftoverGrams: number;
}

/** Amounts are told apart by this much, g; a large batch by more. */
const FINEST_GRAMS = 0.01;
/** So many amounts at most are looked at. */
const MOST_AMOUNTS = 3_000_000;

/**
 * The mix of containers that leaves the least over; of equal ones that with the fewest containers, and of those the one
 * with more of what is named first. Exact to 0.01 g (dynamic programming over all amounts; Bellman 1957). 1,000 g in
 * bottles of 250 and 400 g are 1 × 400 and 2 × 250 with 100 g left, or 4 × 250 with nothing left: the latter.
 * @throws Refusal without choices or with a content that is not above 0.
 */
export function bestMix(yieldGrams: number, choices: readonly MixChoice[]): ContainerMix {
  if (choices.length === 0 || choices.some(({ fillGrams }) => !(fillGrams > 0)) || !(yieldGrams >= 0)) {
    throw new Refusal("not-possible", "There is nothing to choose from.", "Name at least one container with its content.");
  }
  const unit = Math.max(FINEST_GRAMS, yieldGrams / MOST_AMOUNTS);
  const whole = Math.floor(yieldGrams / unit + 1e-6);
  // Contents are rounded up, so that a mix never asks for more than there is.
  const sizes = choices.map(({ fillGrams }) => Math.max(1, Math.ceil(fillGrams / unit - 1e-6)));
  const fewest = new Float64Array(whole + 1).fill(Infinity);
  fewest[0] = 0;
  /** Per choice: how many of it the fewest containers of an amount use. */
  const uses = sizes.map((size, choice) =>
    addChoice(fewest, size, Math.min(choices[choice]!.available ?? Infinity, Math.floor(whole / size))),
  );
  let amount = whole;
  while (amount > 0 && fewest[amount] === Infinity) amount -= 1;
  const counts = sizes.map(() => 0);
  for (let choice = sizes.length - 1; choice >= 0; choice -= 1) {
    counts[choice] = uses[choice]![amount]!;
    amount -= counts[choice]! * sizes[choice]!;
  }
  const filledGrams = choices.reduce((sum, { fillGrams }, choice) => sum + fillGrams * counts[choice]!, 0);
  return { counts, filledGrams, leftoverGrams: Math.max(0, yieldGrams - filledGrams) };
}

/**
 * Lets one more size take part: `fewest` becomes the fewest containers for every amount with up to `most` of it. Along
 * the amounts of one remainder the best start is found by a sliding minimum, so that a limit costs nothing.
 */
function addChoice(fewest: Float64Array, size: number, most: number): Int32Array {
  const used = new Int32Array(fewest.length);
  const before = fewest.slice();
  const queue = new Int32Array(Math.floor((fewest.length - 1) / size) + 2);
  for (let remainder = 0; remainder < size && remainder < fewest.length; remainder += 1) {
    let head = 0;
    let tail = 0;
    for (let step = 0, amount = remainder; amount < fewest.length; step += 1, amount += size) {
      const value = (at: number): number => before[remainder + at * size]! - at;
      // An equal start later in the row uses fewer of this size, and leaves more to those named first.
      while (tail > head && value(queue[tail - 1]!) >= value(step)) tail -= 1;
      queue[tail] = step;
      tail += 1;
      while (queue[head]! < step - most) head += 1;
      const start = queue[head]!;
      used[amount] = step - start;
      fewest[amount] = value(start) + step;
    }
  }
  return used;
}
