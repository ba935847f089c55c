import fc from "fast-check";

/** Pieces that make a careless scanner go back again and again, and those that break what is stored or shown. */
const PIECES = [
  ...["1/", "1 ", "1,", "1.", "1-", "½", "9", "00", "1e9", "%", "% ", "g ", " g", "kg", "oz", "- ", "+ 1", "~1"],
  ...[" ", "\t", "\u00a0", "\n", "\r\n", " \n", "\u2028", ";", "; ", ",", ", 1", ":", "|", "a|", "a\t", '"', '""', ',"', "'"],
  ...["(", ")", "((", "[", "]", "[[", "{", "}", '{"a":', "[0,", "<", "</", "\\", "\\\\", "\\u0000", "//", "/*"],
  ...["q.s. ", "rest ", "up to you ", "phase A ", "pH ", "of ", "to 100 ", "PEG-", "aqua, ", "water ", "and ", "S 1.00 g", "ST,", "US,"],
  ...["\u0000", "\u001b", "\u202e", "\u200b", "\ufeff", "\ud800", "\udfff", "é", "ß", "水", "👩‍🔬", "ﷺ", "İ"],
  ...["=", "=1+1", "@", "__proto__", "constructor", "null", "NaN", "-0", "Infinity", "format", "tensidrum-formula/1", "true"],
];

const piece = fc.constantFrom(...PIECES);

const repeated = (longest: number) =>
  fc.tuple(fc.array(piece, { minLength: 1, maxLength: 4 }), fc.integer({ min: 1, max: longest })).map(([some, length]) => {
    const text = some.join("");
    return text.repeat(Math.ceil(length / text.length)).slice(0, length);
  });

/** Texts that mean no good: a few pieces over and over, such runs in a row, mixtures, and anything at all. */
export function hostileText(longest = 3_000): fc.Arbitrary<string> {
  return fc.oneof(
    { weight: 5, arbitrary: repeated(longest) },
    { weight: 3, arbitrary: fc.array(repeated(Math.ceil(longest / 4)), { maxLength: 4 }).map((parts) => parts.join("")) },
    { weight: 3, arbitrary: fc.array(piece, { maxLength: 200 }).map((parts) => parts.join("").slice(0, longest)) },
    { weight: 1, arbitrary: fc.string({ unit: "binary", maxLength: 300 }) },
  );
}
