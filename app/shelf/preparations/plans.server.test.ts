import { describe, expect, it } from "vitest";
import { readForm, readQuestions } from "../../frame/readForm.server";
import { readLotId } from "../../frame/lotId.server";
import { solutionForm, solutionQuestions } from "./solutionForm.server";
import { waterForm, waterQuestions } from "./waterForm.server";

const at = (search: string) => new Request(`http://bench/shelf/make?${search}`);
const form = (entries: Readonly<Record<string, string>>) => {
  const data = new FormData();
  for (const [key, value] of Object.entries(entries)) data.append(key, value);
  return data;
};
const ids = { id: crypto.randomUUID(), movementId: crypto.randomUUID() };

describe("plans in an address", () => {
  it("a solution stands at its usual strength, amount and time where nothing is said", () => {
    expect(readQuestions(solutionQuestions, at(""))).toEqual({ of: "", strength: "10", grams: "100", months: "3", lot: "" });
    expect(readQuestions(solutionQuestions, at("of=citric-acid-anhydrous&strength=25&unknown=1"))).toMatchObject({
      of: "citric-acid-anhydrous",
      strength: "25",
    });
  });

  it("what cannot be read counts as not asked, the other answers stand", () => {
    expect(readQuestions(solutionQuestions, at(`of=citric-acid&strength=${"9".repeat(50)}`))).toMatchObject({
      of: "citric-acid",
      strength: "10",
    });
    expect(readQuestions(waterQuestions, at("name=Nettle&tested=perhaps"))).toMatchObject({ name: "Nettle", days: "7", tested: "" });
  });
});

describe("forms of what is made", () => {
  it("carry the identifiers of what they make", () => {
    expect(readForm(solutionForm, form({ ...ids, of: "sodium-chloride" })).typed).toMatchObject({
      ...ids,
      of: "sodium-chloride",
      grams: "100",
    });
    expect(readForm(waterForm, form({ ...ids, name: " Nettle " })).typed).toMatchObject({ ...ids, name: "Nettle" });
  });

  it("without them are refused, and an address without a lot is not here", () => {
    expect(() => readForm(solutionForm, form({ of: "sodium-chloride" }))).toThrow("not as this page sends it");
    expect(() => readForm(waterForm, form({ name: "Nettle" }))).toThrow("not as this page sends it");
    expect(() => readLotId("x")).toThrow("No lot");
    expect(readLotId(ids.id)).toBe(ids.id);
  });
});
