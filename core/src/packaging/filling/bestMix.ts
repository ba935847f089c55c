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
const MOST_AMOUNTS = 2_500_000;
/** Up to so many amounts over all kinds the fewest containers are counted amount by amount. */
const MOST_COUNTED = 450_000;

/**
 * The mix of containers that leaves the least over; of equal ones that with the fewest containers, and of those the one
 * with more of what is named first (dynamic programming over all amounts; Bellman 1957). Exact to 0.01 g up to 25 kg, to a
 * 2,500,000th of more. Of large batches only which amounts can be reached is kept, as a row of bits, and of equal ones that with
 * the most of the largest container is taken. 1,000 g in bottles of 250 and 400 g are 1 × 400 and 2 × 250 with 100 g left, or
 * 4 × 250 with nothing left: the latter.
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
  const most = choices.map(({ available = Infinity }, choice) => Math.min(available, Math.floor(whole / sizes[choice]!)));
  const counts = whole * sizes.length <= MOST_COUNTED ? fewestOf(whole, sizes, most) : largestOf(whole, sizes, most);
  const filledGrams = choices.reduce((sum, { fillGrams }, choice) => sum + fillGrams * counts[choice]!, 0);
  return { counts, filledGrams, leftoverGrams: Math.max(0, yieldGrams - filledGrams) };
}

/** So many of one size, taken together or not: lots of 1, 2, 4 … and a rest make every number up to the most. */
interface Lot {
  readonly choice: number;
  readonly count: number;
}

function lotsOf(most: readonly number[]): readonly Lot[] {
  return most.flatMap((available, choice) => {
    const lots: Lot[] = [];
    for (let left = available, count = 1; left > 0; left -= count, count *= 2) {
      count = Math.min(count, left);
      lots.push({ choice, count });
    }
    return lots;
  });
}

/** How many of each leave the least, with the fewest of them. */
function fewestOf(whole: number, sizes: readonly number[], most: readonly number[]): readonly number[] {
  const fewest = new Float64Array(whole + 1).fill(Infinity);
  fewest[0] = 0;
  const lots = lotsOf(most);
  /** Per lot: the amounts it is taken for. */
  const taken = lots.map(({ choice, count }) => {
    const isTaken = new Uint8Array(whole + 1);
    const mass = count * sizes[choice]!;
    for (let amount = whole; amount >= mass; amount -= 1) {
      const together = fewest[amount - mass]! + count;
      // Only fewer ones take the place of those that are named before.
      if (together >= fewest[amount]!) continue;
      fewest[amount] = together;
      isTaken[amount] = 1;
    }
    return isTaken;
  });
  let amount = whole;
  while (amount > 0 && fewest[amount] === Infinity) amount -= 1;
  const counts = sizes.map(() => 0);
  for (let at = lots.length - 1; at >= 0; at -= 1) {
    const { choice, count } = lots[at]!;
    if (taken[at]![amount] !== 1) continue;
    counts[choice] = counts[choice]! + count;
    amount -= count * sizes[choice]!;
  }
  return counts;
}

/** How many of each leave the least, with the most of the largest ones. */
function largestOf(whole: number, sizes: readonly number[], most: readonly number[]): readonly number[] {
  const order = sizes.map((_, choice) => choice).sort((a, b) => sizes[a]! - sizes[b]!);
  /** Amounts that the sizes up to this one reach, a bit each. */
  const reached = [bitRow(whole)];
  reached[0]![0] = 1;
  const lots = lotsOf(most);
  let highest = 0;
  for (const choice of order) {
    const amounts = reached.at(-1)!.slice();
    for (const lot of lots) {
      if (lot.choice !== choice) continue;
      const mass = lot.count * sizes[choice]!;
      highest = Math.min(whole, highest + mass);
      addShifted(amounts, mass, highest);
    }
    reached.push(amounts);
  }
  const isReached = (at: number, amount: number): boolean => ((reached[at]![amount >>> WORD_SHIFT]! >>> (amount % WORD)) & 1) === 1;
  let amount = whole;
  while (amount > 0 && !isReached(order.length, amount)) amount -= 1;
  const counts = sizes.map(() => 0);
  for (let at = order.length - 1; at >= 0; at -= 1) {
    const choice = order[at]!;
    const size = sizes[choice]!;
    let count = Math.min(most[choice]!, Math.floor(amount / size));
    while (count > 0 && !isReached(at, amount - count * size)) count -= 1;
    counts[choice] = count;
    amount -= count * size;
  }
  return counts;
}

const WORD = 32;
const WORD_SHIFT = 5;

function bitRow(most: number): Uint32Array {
  return new Uint32Array((most >>> WORD_SHIFT) + 1);
}

/** Every amount that is reached, and each of them with a mass more: from the highest down, so that none is taken twice. */
function addShifted(row: Uint32Array, mass: number, highest: number): void {
  const [words, bits] = [mass >>> WORD_SHIFT, mass % WORD];
  for (let at = highest >>> WORD_SHIFT; at >= words; at -= 1) {
    const from = at - words;
    const low = bits === 0 || from === 0 ? 0 : row[from - 1]! >>> (WORD - bits);
    row[at] = row[at]! | (row[from]! << bits) | low;
  }
}
