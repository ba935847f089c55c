import { describe, expect, it } from "vitest";
import { sideView, type SideSubject } from "./sideView";

const subject = (title: string, lines: Readonly<Record<string, number>>, changes: Partial<SideSubject> = {}): SideSubject => ({
  ...{ address: title, title, when: "", isProduct: false, isPlan: false, lines: new Map(Object.entries(lines)), measured: {}, clarity: "" },
  ...{ fromLines: { activePercent: 12, irritation: 100, flash: 7, saltPercent: 1 }, moved: {}, per100Grams: null },
  ...changes,
});
const product = subject(
  "the one they like",
  {},
  {
    isProduct: true,
    measured: { ph: 5.3, slip: 4 },
    fromLines: { activePercent: null, irritation: null, flash: null, saltPercent: null },
  },
);
const view = (...subjects: readonly SideSubject[]) => sideView(subjects, (slug) => slug);

describe("subjects side by side", () => {
  it("show only lines that differ, each with what is in it and nothing for a product", () => {
    const { lines, lineCount } = view(
      subject("v1", { betaine: 12, salt: 1 }),
      subject("v2", { betaine: 12, salt: 1.2, guar: 0.2 }),
      product,
    );
    expect(lineCount).toBe(3);
    expect(lines.map(({ name, values }) => [name, ...values])).toEqual([
      ["salt", 1, 1.2, null],
      ["guar", 0, 0.2, null],
    ]);
  });

  it("two lines that changed together cannot be told apart until one of them changes alone", () => {
    const [first, second] = [subject("v1", { salt: 1, guar: 0.1 }), subject("v2", { salt: 1.2, guar: 0.2 })];
    expect(view(first, second).together).toEqual([expect.stringContaining("Salt and guar")]);
    expect(view(first, second, subject("v3", { salt: 1.3, guar: 0.2 })).together).toEqual([]);
  });

  it("a batch beside its plan is no round: nothing is to be told apart, and a plan was never measured", () => {
    const [planned, made] = [
      subject("GR-1 as planned", { salt: 1, guar: 0.1 }, { isPlan: true }),
      subject("GR-1", { salt: 1.2, guar: 0.2 }),
    ];
    const { together, steps } = view(planned, made);
    expect(together).toEqual([]);
    expect(steps).toEqual([{ title: "GR-1 as planned to GR-1", changed: "Salt 1 to 1.2 %, guar 0.1 to 0.2 %.", did: "" }]);
  });

  it("a step is what changed and what it did", () => {
    const [step] = view(
      subject("v1", { salt: 1 }, { measured: { slip: 2 } }),
      subject("v2", { salt: 1.5 }, { measured: { slip: 3.5 } }),
    ).steps;
    expect(step).toEqual({ title: "v1 to v2", changed: "Salt 1 to 1.5 %.", did: "Slip up by 1.5." });
  });

  it("how near each comes is told of what was measured of both", () => {
    const near = view(subject("v1", {}, { measured: { ph: 5.9 } }), subject("v2", {}, { measured: { ph: 5.3, slip: 2 } }), product).near;
    expect(near).toMatchObject({ wanted: "the one they like", rounds: ["v1", "v2"] });
    expect(near!.rows.map(({ what, offs }) => [what, ...offs.map((off) => (off === null ? null : Math.round(off)))])).toEqual([
      ["pH", 3, 0],
      ["slip", null, -4],
    ]);
    expect(view(subject("v1", {})).near).toBeNull();
    expect(view(subject("v1", {}), { ...product, measured: {} }).near).toBeNull();
  });

  it("washes of other formulas stand beside each other too", () => {
    const { lines, steps } = view(subject("GR-1", { betaine: 12 }), subject("PR-1", { glucoside: 9 }));
    expect(lines).toHaveLength(2);
    expect(steps[0]!.changed).toBe("Glucoside came in with 9 %, betaine went out.");
  });
});
