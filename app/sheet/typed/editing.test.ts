import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  withLineAt,
  withLineInPhase,
  withLineStepped,
  withNewLine,
  withNewPhase,
  withoutLine,
  withoutPhase,
  withRestLine,
} from "./editing";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "./typedSheet";

const line = (id: string, phase: string) => ({ id, phase, materialId: `m-${id}`, percent: "1", assay: "" });

const sheet: TypedSheet = {
  name: "Prop Room hand wash",
  profile: "hand-wash",
  batch: "600",
  aim: noTypedAim,
  measured: nothingTypedMeasured,
  phases: [
    { letter: "A", title: "water", temperature: "" },
    { letter: "B", title: "cleansing", temperature: "" },
  ],
  lines: [line("w", "A"), line("g", "A"), line("s", "B"), line("b", "B")],
  restLineId: "w",
};

const order = (changed: TypedSheet) => changed.lines.map(({ id, phase }) => `${phase}${id}`).join(" ");

describe("editing a sheet", () => {
  it("a new line goes to the end of its own phase", () => {
    expect(order(withNewLine(sheet, line("x", "A")))).toBe("Aw Ag Ax Bs Bb");
  });

  it("a line steps inside its phase, then into the next, then no further", () => {
    const once = withLineStepped(sheet, "w", 1);
    expect(order(once)).toBe("Ag Aw Bs Bb");
    const twice = withLineStepped(once, "w", 1);
    expect(order(twice)).toBe("Ag Bw Bs Bb");
    expect(order(withLineStepped(twice, "b", 1))).toBe(order(twice));
    expect(order(withLineStepped(twice, "w", -1))).toBe("Ag Aw Bs Bb");
  });

  it("dropped on another line it takes that place and that phase", () => {
    expect(order(withLineAt(sheet, "w", "b"))).toBe("Ag Bs Bb Bw");
    expect(order(withLineAt(sheet, "b", "w"))).toBe("Ab Aw Ag Bs");
    expect(withLineAt(sheet, "b", "b")).toBe(sheet);
  });

  it("sent to a phase it stands last in it", () => {
    expect(order(withLineInPhase(sheet, "w", "B"))).toBe("Ag Bs Bb Bw");
  });

  it("taking the line of the rest out leaves nobody to take it", () => {
    expect(withoutLine(sheet, "w").restLineId).toBeNull();
    expect(withoutLine(sheet, "g").restLineId).toBe("w");
  });

  it("when another line becomes q.s. the former keeps what it showed", () => {
    // three other lines of 1 % each
    const changed = withRestLine(sheet, "g");
    expect(changed.restLineId).toBe("g");
    expect(changed.lines[0]?.percent).toBe("97.00");
    expect(withRestLine(changed, "g")).toBe(changed);
  });

  it("phases take the first free letter and go only when empty", () => {
    const three = withNewPhase(sheet);
    expect(three.phases.map((phase) => phase.letter)).toEqual(["A", "B", "C"]);
    expect(withoutPhase(three, "C").phases).toHaveLength(2);
    expect(withoutPhase(three, "B")).toBe(three);
  });

  it("no change of order loses or doubles a line", () => {
    const ids = fc.constantFrom("w", "g", "s", "b");
    const step = fc.oneof(
      fc.tuple(ids, ids).map(
        ([a, b]) =>
          (s: TypedSheet) =>
            withLineAt(s, a, b),
      ),
      fc.tuple(ids, fc.constantFrom<-1 | 1>(-1, 1)).map(
        ([a, by]) =>
          (s: TypedSheet) =>
            withLineStepped(s, a, by),
      ),
      fc.tuple(ids, fc.constantFrom("A", "B")).map(
        ([a, phase]) =>
          (s: TypedSheet) =>
            withLineInPhase(s, a, phase),
      ),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const end = steps.reduce((current, change) => change(current), sheet);
        expect(end.lines.map(({ id }) => id).sort()).toEqual(["b", "g", "s", "w"]);
        const letters = end.lines.map(({ phase }) => phase);
        expect(letters).toEqual([...letters].sort());
      }),
    );
  });
});
