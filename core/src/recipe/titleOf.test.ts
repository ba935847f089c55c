import { describe, expect, it } from "vitest";
import { referenceLibrary } from "../library/referenceLibrary.ts";
import { readRecipe } from "./readRecipe.ts";
import { recogniserOf } from "./recognise.ts";
import { titleOf } from "./titleOf.ts";

const recogniser = recogniserOf(referenceLibrary);
const title = (text: string) => titleOf(readRecipe(text, referenceLibrary, recogniser));

describe("what a recipe is called", () => {
  it.each([
    ["**Lights Down greasepaint remover**\n60 g jojoba oil", "Lights Down greasepaint remover"],
    ["Green Room body wash – makes 500 g\n200 g SLES", "Green Room body wash"],
    ["Curtain Call, the light one\n\n20 g coco glucoside", "Curtain Call"],
  ])("%s", (text, wanted) => expect(title(text)).toBe(wanted));

  it.each(["20 g coco glucoside\nwater to 100", "Mix everything well.\n20 g coco glucoside", "10 kg batch\n1 kg SLES", ""])(
    "%s has no title",
    (text) => expect(title(text)).toBeNull(),
  );
});
