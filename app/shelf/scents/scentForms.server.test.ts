import { describe, expect, it } from "vitest";
import { readForm, readQuestions } from "../../frame/readForm.server";
import { doseQuestions, newScentForm, readScentId, scentForm } from "./scentForms.server";

const id = crypto.randomUUID();
const form = (entries: Readonly<Record<string, string>>) => {
  const data = new FormData();
  for (const [key, value] of Object.entries(entries)) data.append(key, value);
  return data;
};
const asked = (search: string) => readQuestions(doseQuestions, new Request(`http://bench/scents/1${search}`));

describe("the forms of a scent", () => {
  it("a round is its oils with their counts, row by row", () => {
    const { typed, problems } = readForm(
      scentForm,
      form({
        intent: "round",
        id,
        countedIn: "parts",
        "oils.lemon-oil.material": "lemon-oil",
        "oils.lemon-oil.count": "3",
        "oils.row 0.material": "pine-needle-oil",
        "oils.row 0.count": "1,5",
        note: " sharp ",
      }),
    );
    expect(problems).toEqual([]);
    expect(typed).toEqual({
      intent: "round",
      id,
      countedIn: "parts",
      oils: { "lemon-oil": { material: "lemon-oil", count: "3" }, "row 0": { material: "pine-needle-oil", count: "1,5" } },
      note: "sharp",
      name: "",
    });
  });

  it("what is too long or holds what does not show is named at its field, and comes back as typed", () => {
    const { typed, problems } = readForm(scentForm, form({ intent: "round", id, note: "x".repeat(501), "oils.a.count": "1\u202e" }));
    expect(problems).toEqual([
      { field: "oils.a.count", message: "It has a hidden character (U+202E). Delete it and type it again." },
      { field: "note", message: "At most 500 characters." },
    ]);
    expect(typed.note).toHaveLength(501);
  });

  it("knows the other buttons, and refuses those that are not there", () => {
    expect(readForm(scentForm, form({ intent: "keep", id, name: "Boathouse" })).typed).toMatchObject({ intent: "keep", name: "Boathouse" });
    expect(() => readForm(scentForm, form({ intent: "burn", id }))).toThrow("not as this page sends it (intent)");
    expect(() => readForm(newScentForm, form({ name: "no id" }))).toThrow("not as this page sends it (id)");
    expect(() => readScentId("x")).toThrow("No scent");
  });

  it("a dose that is not said is the usual one, in a body wash", () => {
    expect(asked("")).toEqual({ profile: "body-wash", percent: "0.5", with: "" });
    expect(asked("?profile=face-gel&percent=0,2")).toEqual({ profile: "face-gel", percent: "0,2", with: "" });
    expect(asked("?profile=soup")).toMatchObject({ profile: "body-wash" });
  });
});
