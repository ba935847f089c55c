import { writtenShort } from "../../quantities/written.ts";

/** A step in words: what it is called, what to do, why, and how to see that it went well. */
export interface StepText {
  readonly title: string;
  readonly do: string;
  readonly why: string;
  readonly check?: string;
  readonly caution?: string;
}

/** What is weighed in a step. */
export interface Amount {
  readonly grams: number;
  /** The material as it is called on the screens. */
  readonly name: string;
}

export interface Weighed {
  readonly amounts: readonly Amount[];
}

/** "12 g glycerin and 0.6 g xanthan gum". */
export function listed(amounts: readonly Amount[]): string {
  const told = amounts.map(({ grams, name }) => `${writtenShort(grams, 3)} g ${lower(name)}`);
  return told.length <= 1 ? told.join("") : `${told.slice(0, -1).join(", ")} and ${told.at(-1)}`;
}

/** Names stand inside a sentence; abbreviations keep their capitals. */
function lower(name: string): string {
  return /^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name;
}
