import { describe, expect, it } from "vitest";
import { readingFields, type TypedReadings } from "./fields";
import { measurementsOf, readReadings } from "./readReadings";

const nothing = Object.fromEntries(readingFields.map(({ field }) => [field, ""])) as TypedReadings;
const fieldsOf = (typed: Partial<TypedReadings>) => readReadings({ ...nothing, ...typed }).problems.map(({ field }) => field);

describe("readings that are compared", () => {
  it("are what was typed; foam that stays is a part of what stood at once", () => {
    const { read, problems } = readReadings({
      ...nothing,
      ph: "5,3",
      funnelSeconds: "22",
      foamAtOnceMm: "118",
      foamAfterFiveMm: "92",
      slip: "4",
    });
    expect(problems).toEqual([]);
    const measured = measurementsOf(read);
    expect(measured).toMatchObject({ ph: 5.3, funnelSeconds: 22, foamAtOnceMm: 118, slip: 4 });
    expect(measured.foamStaysPercent).toBeCloseTo((100 * 92) / 118, 9);
    expect(Object.keys(measured)).toHaveLength(5);
  });

  it("of nothing are none", () => expect(measurementsOf(readReadings(nothing).read)).toEqual({}));

  it("outside of what can be are refused at their field", () => {
    expect(fieldsOf({ ph: "15", slip: "6", pascalSeconds: "0", scent: "good" })).toEqual(["ph", "pascalSeconds", "slip", "scent"]);
    expect(fieldsOf({ foamAtOnceMm: "80", foamAfterFiveMm: "90" })).toEqual(["foamAfterFiveMm"]);
  });
});
