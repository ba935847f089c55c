export type ThicknessWord = "water" | "syrup" | "pump gel" | "thick gel" | "spoon-standing";

interface Meaning {
  readonly word: ThicknessWord;
  /** Pa s at slow stirring; rough, for a first aim. */
  readonly from: number;
  readonly to: number;
  /** What stands for the word where a number is wanted. */
  readonly middle: number;
}

const MEANINGS: readonly [Meaning, ...Meaning[]] = [
  { word: "water", from: 0.003, to: 0.1, middle: 0.03 },
  { word: "syrup", from: 0.1, to: 1, middle: 0.4 },
  { word: "pump gel", from: 1, to: 6, middle: 2.5 },
  { word: "thick gel", from: 6, to: 25, middle: 12 },
  { word: "spoon-standing", from: 25, to: 150, middle: 40 },
];

/** The words a thickness can be told in, thinnest first. */
export const thicknessWords: readonly ThicknessWord[] = MEANINGS.map(({ word }) => word);

/** What a thickness looks like, and from where to where that word goes, Pa s. */
export function meantBy(pascalSeconds: number): Meaning {
  return MEANINGS.find(({ to }) => pascalSeconds < to) ?? MEANINGS.at(-1)!;
}

/** What a thickness looks like. */
export function thicknessWord(pascalSeconds: number): ThicknessWord {
  return meantBy(pascalSeconds).word;
}

/** What stands for a word where a number is wanted, Pa s; null for no such word. */
export function middleOf(word: string): number | null {
  return MEANINGS.find((meaning) => meaning.word === word)?.middle ?? null;
}
