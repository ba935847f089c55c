import { describe, expect, it } from "vitest";
import { changedWords, didWords, suggestionWords, togetherWords } from "./roundWords";

describe("what changed, and what it did", () => {
  it("is said line by line, the newcomers first, the rest counted", () => {
    expect(changedWords([])).toBe("Nothing changed in the lines.");
    expect(changedWords([{ name: "salt", from: 1.1, to: 1.2 }])).toBe("Salt 1.1 to 1.2 %.");
    expect(
      changedWords([
        { name: "betaine", from: 12, to: 14 },
        { name: "guar", from: 0, to: 0.25 },
        { name: "panthenol", from: 1, to: 0 },
        { name: "salt", from: 1, to: 1.1 },
        { name: "dye", from: 0.1, to: 0.05 },
      ]),
    ).toBe("Guar came in with 0.25 %, panthenol went out, betaine 12 to 14 % and 2 more.");
  });

  it("tells only what one would notice", () => {
    const before = { measured: { ph: 5.42, slip: 2, foamAtOnceMm: 124 }, irritation: 145 };
    expect(didWords(before, { measured: { ph: 5.4, slip: 3, foamAtOnceMm: 118 }, irritation: 118 })).toBe(
      "Milder, 145 to 118 (estimate); foam at once down by 6 mm; slip up by 1.0.",
    );
    expect(didWords(before, { measured: { ph: 5.2 }, irritation: 145 })).toBe("pH down by 0.22.");
    expect(didWords(before, before)).toBe("Nothing that was measured has moved.");
    expect(didWords(before, { measured: {}, irritation: null })).toBe("Not measured of both yet.");
  });

  it("names what cannot be told apart, and what a change is likely to do", () => {
    expect(togetherWords(["guar", "betaine"])).toContain("Guar and betaine changed together");
    const expected = [{ kind: "slip", low: -0.9, likely: -0.5, high: -0.1 }] as const;
    expect(suggestionWords({ name: "guar", from: 0.25, to: 0.15, expected })).toBe("guar 0.25 → 0.15 %: slip −0.5 (−0.9 to −0.1)");
  });
});
