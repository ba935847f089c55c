import { describe, expect, it } from "vitest";
import { readLot, type TypedLot } from "./readLot";

const typed: TypedLot = {
  material: "cocamidopropyl-betaine",
  code: "B-114",
  grams: "1,2 kg",
  assay: "30,4",
  price: "7.40",
  supplier: "",
  openedOn: "",
  endsOn: "2027-03-31",
  afterOpening: "",
  note: "",
};
const fieldsOf = (changes: Partial<TypedLot>) => readLot({ ...typed, ...changes }, "€").problems.map(({ field }) => field);

describe("reading a lot", () => {
  it("takes 1,2 kg as 1200 g and a comma in strength and price", () => {
    const { lot, problems } = readLot({ ...typed, price: "7,40" }, "€");
    expect(problems).toEqual([]);
    expect(lot).toMatchObject({ code: "B-114", packGrams: 1200, assayPercent: 30.4, price: 7.4, openedOn: null, endsOn: "2027-03-31" });
  });

  it.each<[string, Partial<TypedLot>]>([
    ["grams", { grams: "0" }],
    ["grams", { grams: "plenty" }],
    ["code", { code: "  " }],
    ["code", { code: "x".repeat(61) }],
    ["assay", { assay: "101" }],
    ["assay", { assay: "0" }],
    ["price", { price: "-1" }],
    ["price", { price: "7.40 each" }],
    ["endsOn", { endsOn: "31.3.2027" }],
    ["openedOn", { openedOn: "2027-04-31" }],
  ])("names %s where it must be fixed: %o", (field, changes) => {
    expect(fieldsOf(changes)).toEqual([field]);
  });

  it("what may be empty stays open", () => {
    expect(readLot({ ...typed, assay: "", price: "", endsOn: "", afterOpening: "" }, "€").lot).toMatchObject({
      assayPercent: null,
      price: null,
      endsOn: null,
    });
    expect(fieldsOf({ assay: "100", price: "0" })).toEqual([]);
  });
});
