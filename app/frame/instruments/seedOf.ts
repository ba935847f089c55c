const SEED_PARTS = 1_000_003;

/** A number from 0 to 1 for what simulated instruments measure: the same one for the same text. */
export function seedOf(text: string): number {
  return [...text].reduce((sum, letter) => (sum * 31 + (letter.codePointAt(0) ?? 0)) % SEED_PARTS, 7) / SEED_PARTS;
}
