import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { isBlank, MARK, textProblem, withHiddenMarked } from "./plainText.ts";

describe("text that can be stored and read", () => {
  it.each([
    ["NUL", "Curtain\u0000Call", "U+0000"],
    ["an escape", "\u001b[2J", "U+001B"],
    ["half a surrogate pair", "Curtain\ud800Call", "U+D800"],
    ["a turned direction", "Curtain\u202eCall", "U+202E"],
    ["an isolate", "\u2066Call", "U+2066"],
    ["delete", "a\u007f", "U+007F"],
  ])("%s is told by its number", (_, text, name) => {
    expect(textProblem(text)).toContain(name);
    expect(withHiddenMarked(text)).toContain(MARK);
    expect(textProblem(withHiddenMarked(text))).toContain(`shown as ${MARK}`);
  });

  it.each(["Curtain Call", "Crème à l’huile, 5 °C", "line one\r\nline two\tcell", "מים", "👩‍🔬 wash", "zero\u200bwidth", ""])(
    "%j is left alone",
    (text) => {
      expect(textProblem(text)).toBeNull();
      expect(withHiddenMarked(text)).toBe(text);
    },
  );

  it("a name of zero-width characters and spaces alone is blank, one letter among them is not", () => {
    for (const text of ["", " \t", "\u200b\u200d\u2060\ufeff", "\u3164", "\u00ad\u00a0"]) expect(isBlank(text)).toBe(true);
    for (const text of ["a", "\u200ba", "5", "水"]) expect(isBlank(text)).toBe(false);
  });

  it("what was marked holds nothing hidden any more, and is as long", () => {
    fc.assert(
      fc.property(fc.string({ unit: "binary", maxLength: 60 }), fc.integer({ min: 0xd800, max: 0xdfff }), (text, half) => {
        const typed = `${text}\u0000${String.fromCharCode(half)}`;
        const marked = withHiddenMarked(typed);
        expect(marked).toHaveLength(typed.length);
        expect(withHiddenMarked(marked)).toBe(marked);
        expect(() => encodeURIComponent(marked)).not.toThrow();
      }),
    );
  });
});
