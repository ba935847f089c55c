import { describe, expect, it } from "vitest";
import { readLotId } from "./lotId.server";
import { readSolutionForm, readSolutionWish } from "./solutionForm.server";
import { readWaterForm, readWaterWish } from "./waterForm.server";

const at = (search: string) => new URL(`http://bench/shelf/make?${search}`);
const form = (entries: Readonly<Record<string, string>>) => {
  const data = new FormData();
  for (const [key, value] of Object.entries(entries)) data.append(key, value);
  return data;
};
const ids = { id: crypto.randomUUID(), movementId: crypto.randomUUID() };

describe("plans in an address", () => {
  it("a solution stands at its usual strength, amount and time where nothing is said", () => {
    expect(readSolutionWish(at(""))).toEqual({ of: "", strength: "10", grams: "100", months: "3", lot: "" });
    expect(readSolutionWish(at("of=citric-acid-anhydrous&strength=25&unknown=1"))).toMatchObject({
      of: "citric-acid-anhydrous",
      strength: "25",
    });
    expect(readSolutionWish(at(`strength=${"9".repeat(50)}`))).toMatchObject({ of: "", strength: "10" });
  });

  it("a water has a week where nothing is said, and one that cannot be read is empty", () => {
    expect(readWaterWish(at("name=Nettle"))).toMatchObject({ name: "Nettle", days: "7", tested: "" });
    expect(readWaterWish(at("tested=perhaps"))).toMatchObject({ name: "", days: "7" });
  });
});

describe("forms of what is made", () => {
  it("carry the identifiers of what they make", () => {
    expect(readSolutionForm(form({ ...ids, of: "sodium-chloride" }))).toMatchObject({ ...ids, of: "sodium-chloride", grams: "100" });
    expect(readWaterForm(form({ ...ids, name: " Nettle " }))).toMatchObject({ ...ids, name: "Nettle" });
  });

  it("without them are refused, and an address without a lot is not here", () => {
    expect(() => readSolutionForm(form({ of: "sodium-chloride" }))).toThrow("not as this page sends it");
    expect(() => readWaterForm(form({ name: "Nettle" }))).toThrow("not as this page sends it");
    expect(() => readLotId("x")).toThrow("No lot");
    expect(readLotId(ids.id)).toBe(ids.id);
  });
});
