const SHORTEST_NEAR = 4;
/** From this length on two letters may be wrong, below it one. */
const LONG_WORD = 9;

/** How many letters of a typed word may be wrong; a number is right or wrong as it stands. */
export function lettersWrong(word: string): number | false {
  return word.length < SHORTEST_NEAR || /\d/u.test(word) ? false : word.length < LONG_WORD ? 1 : 2;
}
