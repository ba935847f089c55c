import type { FindingCode, FindingFacts } from "../../findings/facts.ts";
import type { Names } from "./names.ts";

/** A finding in sentences. */
export interface Words {
  /** The fact, with its number. */
  readonly what: string;
  readonly why: string;
  /** What to do, with its number where there is one. */
  readonly cure: string;
  /** What it says of each material, where it speaks of several by a row each. */
  readonly rows?: readonly { readonly name: string; readonly says: string }[];
}

/** Sentences for some codes; a catalogue is put together from these. */
export type WordsFor<Codes extends FindingCode> = {
  readonly [Code in Codes]: (facts: FindingFacts[Code], names: Names) => Words;
};
