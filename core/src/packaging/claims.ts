/** A statement that sounds like medicine. */
export interface Claim {
  /** The words as written. */
  readonly words: string;
  /** Place of the first letter in the text, from 0. */
  readonly at: number;
  readonly why: string;
}

const ILLNESS = "It names an illness. A wash that treats one is a medicine almost everywhere.";
const HEALING = "It promises to heal. Cosmetics clean, scent, care and keep in good condition; they do not heal.";
const GERMS = "It claims to act on germs; in many places that makes it a biocide or a medicine.";
const BODY = "It promises to change how the body works, which only a medicine may.";
const SAFE = "Nothing is free of risk for everyone, and it cannot be shown.";

const CLAIMS: readonly (readonly [words: RegExp, why: string])[] = [
  [
    /\b(?:eczema|psoriasis|dermatitis|acne|rosacea|neurodermatitis|ringworm|scabies|impetigo|fung(?:us|al) infections?|athlete'?s foot|warts?|lice)\b/giu,
    ILLNESS,
  ],
  [/\banti-?dandruff\b|\bdandruff\b/giu, "Anti-dandruff is a medicine in some places and needs a listed active in others."],
  [/\b(?:heal(?:s|ing|ed)?|cur(?:es|ed|ing|e)|remed(?:y|ies)|therap(?:y|ies|eutic)|medicinal|medicated|wound care)\b/giu, HEALING],
  [
    /\btreat(?:s|ment|ments|ing)?\s+(?:\w+\s+){0,2}(?:skin|scalp|burns?|wounds?|infections?|inflammation|irritation|itch(?:ing)?|condition|problem)/giu,
    HEALING,
  ],
  [
    /\b(?:anti-?(?:bacterial|microbial|viral|fungal|septic)|kills?\s+(?:\S+\s+){0,5}(?:germs|bacteria|viruses|fungi)|disinfect(?:s|ing|ant)?|steril(?:e|ises?|izes?)|germ-?free)\b/giu,
    GERMS,
  ],
  [
    /\b(?:anti-?inflammatory|pain ?relie(?:f|ves|ving)|relieves? (?:pain|itch(?:ing)?)|detox(?:ify|ifies|ifying|es)?|stimulates? (?:hair growth|circulation|collagen)|hair growth|regenerat(?:es|ing|ion)|boosts? (?:immunity|the immune system)|hormone)\b/giu,
    BODY,
  ],
  [
    /\b(?:hypoallergenic|allergy-?free|100 ?% safe|no side effects|dermatologically tested|clinically (?:proven|tested)|chemical-?free|non-?toxic)\b/giu,
    SAFE,
  ],
];

/**
 * Statements in a text that sound like healing or cannot be shown, in the order of the text. An aid for the eye, in
 * English only: what may be said is decided by the law where it is sold.
 */
export function claimsIn(text: string): readonly Claim[] {
  return CLAIMS.flatMap(([words, why]) =>
    [...text.matchAll(words)].map((match): Claim => ({ words: match[0], at: match.index, why })),
  ).sort((a, b) => a.at - b.at);
}
