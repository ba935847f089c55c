import { describe, expect, it } from "vitest";
import { readThickness } from "./readThickness";
import { meetsWords, shelfLifeWords } from "./watchWords";

describe("where a trend goes, in words", () => {
  it.each([
    [{ earliest: 37, likely: 44, latest: 60 }, "it meets the alarm between week 5 and week 9, most likely in week 6 (estimate)."],
    [{ earliest: 9, likely: 9, latest: 9 }, "it meets the alarm on day 9 (estimate)."],
    [{ earliest: 80, likely: null, latest: null }, "it might meet the alarm from week 11 on, and need not (estimate)."],
    [{ earliest: null, likely: null, latest: null }, "it stays within its bounds as far as the trend tells."],
    [{ earliest: 1, likely: 2, latest: 3 }, "it has met the alarm."],
  ])("%o", (meets, words) => expect(meetsWords(meets, 7)).toBe(words));

  it("how long it keeps says what it rests on, and what is missing", () => {
    expect(shelfLifeWords(null)).toContain("three looks");
    const ageing = { factor: 4, low: 2, high: 8, isMeasured: false };
    const words = shelfLifeWords({ of: "ph", by: "warm", low: 91, likely: 182, high: null, ageing });
    expect(words).toBe(
      "It keeps about 6 months at room temperature, 3 to 24 or more months (estimate), by the pH of the warm sample, which ages about 4 times faster: a rule of thumb until both samples move. More looks at the one at room temperature narrow it.",
    );
  });
});

type Told = Parameters<typeof readThickness>[0];

const readAs = (told: Pick<Told, "thickness" | "by" | "word"> & Partial<Told>, funnel: Parameters<typeof readThickness>[1]) =>
  readThickness({ beadMm: "", beadDensity: "", jarMm: "", fallMm: "", ...told }, funnel);

describe("a thickness as it is told", () => {
  it("is a number, seconds of the flow cup, or a word; nothing is nothing", () => {
    expect(readAs({ thickness: "2,4", by: "Pa·s", word: "" }, null)).toEqual({ viscosity: 2.4, said: "" });
    expect(readAs({ thickness: "", by: "Pa·s", word: "" }, null)).toEqual({ viscosity: null, said: "" });
    expect(readAs({ thickness: "", by: "word", word: "pump gel" }, null)).toEqual({
      viscosity: 2.5,
      said: "“pump gel”, an estimate",
    });
    expect(readAs({ thickness: "57", by: "funnel, s", word: "" }, { k: 0.03, c: 0 })).toMatchObject({ viscosity: 0.03 * 57 * 1.02 });
    expect(readAs({ thickness: "57", by: "funnel, s", word: "" }, null)).toHaveProperty("problem");
    expect(readAs({ thickness: "-1", by: "Pa·s", word: "" }, null)).toHaveProperty("problem");
  });

  it("is the seconds of a falling bead: 3 mm of glass through 100 mm in 20 s is 1.2 Pa·s", () => {
    const told = readAs({ thickness: "20", by: "bead, s", word: "" }, null);
    expect(told).toMatchObject({ said: "a bead fell 100 mm in 20 s, an estimate" });
    expect("viscosity" in told && told.viscosity).toBeCloseTo(1.22, 1);
    expect(readAs({ thickness: "20", by: "bead, s", word: "", beadMm: "-1" }, null)).toHaveProperty("problem");
    expect(readAs({ thickness: "20", by: "bead, s", word: "", beadMm: "38" }, null)).toMatchObject({
      problem: expect.stringContaining("Not valid"),
    });
  });
});
