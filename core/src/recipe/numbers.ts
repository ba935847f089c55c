/** Numbers as people write them in a recipe. */

const FRACTION_SIGNS: Readonly<Record<string, number>> = {
  "½": 1 / 2,
  "¼": 1 / 4,
  "¾": 3 / 4,
  "⅓": 1 / 3,
  "⅔": 2 / 3,
  "⅕": 1 / 5,
  "⅛": 1 / 8,
  "⅜": 3 / 8,
  "⅝": 5 / 8,
  "⅞": 7 / 8,
};

const WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  eight: 8,
  ten: 10,
  seven: 7,
  twelve: 12,
  "a few": 3,
  few: 3,
  "a couple": 2,
  "a couple of": 2,
  half: 0.5,
  "half a": 0.5,
  "a half": 0.5,
  quarter: 0.25,
  "a quarter": 0.25,
};

const SIGNS = Object.keys(FRACTION_SIGNS).join("");

/** One number: 12, 12.5, 12,5, 1.250,5, 1/2, 1 1/2, 1½. */
export const NUMBER_SOURCE = [
  String.raw`\d+\s+\d+\s?[/⁄]\s?\d+`,
  String.raw`\d+\s?[${SIGNS}]`,
  String.raw`\d+[/⁄]\d+`,
  `[${SIGNS}]`,
  String.raw`\d{1,3}(?:[., ]\d{3})+(?:[.,]\d+)?(?![\d])`,
  String.raw`\d+(?:[.,]\d+)?`,
  String.raw`[.,]\d+`,
].join("|");

/** A number in a word, before a unit: "half a cup", "two drops". */
export const WORD_NUMBER_SOURCE = Object.keys(WORDS)
  .sort((a, b) => b.length - a.length)
  .join("|");

export interface ReadAmount {
  readonly value: number;
  /** It could be read in two ways. */
  readonly isDoubtful: boolean;
}

/** Reads one number as `NUMBER_SOURCE` or `WORD_NUMBER_SOURCE` found it. "1,5" is one and a half, "1,000" a doubtful thousand. */
export function readRecipeNumber(text: string): ReadAmount {
  const plain = text.trim().toLowerCase();
  const word = WORDS[plain];
  if (word !== undefined) return { value: word, isDoubtful: /few|couple/.test(plain) };
  const sign = plain.at(-1) ?? "";
  const fraction = FRACTION_SIGNS[sign];
  if (fraction !== undefined) return { value: Number(plain.slice(0, -1).trim() || 0) + fraction, isDoubtful: false };
  const mixed = /^(?:(\d+)\s+)?(\d+)\s?[/⁄]\s?(\d+)$/.exec(plain);
  if (mixed !== null) {
    const [, whole = "0", over = "0", under = "1"] = mixed;
    return { value: Number(whole) + Number(over) / Number(under), isDoubtful: Number(under) === 0 };
  }
  return readDecimal(plain);
}

function readDecimal(text: string): ReadAmount {
  const lastSeparator = Math.max(text.lastIndexOf(","), text.lastIndexOf("."));
  if (lastSeparator < 0) return { value: Number(text.replaceAll(" ", "")), isDoubtful: false };
  const separators = text.replace(/[^.,]/g, "");
  const after = text.length - lastSeparator - 1;
  const isMixed = separators.includes(",") && separators.includes(".");
  const isThousands = separators.length > 1 ? !isMixed : after === 3 && text[lastSeparator] === "," && !text.startsWith("0");
  if (isThousands) return { value: Number(text.replace(/[., ]/g, "")), isDoubtful: separators.length === 1 };
  const whole = text.slice(0, lastSeparator).replace(/[., ]/g, "");
  return { value: Number(`${whole || "0"}.${text.slice(lastSeparator + 1)}`), isDoubtful: false };
}
