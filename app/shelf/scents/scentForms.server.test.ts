import { describe, expect, it } from "vitest";
import { readDose, readNewScent, readScentForm, readScentId } from "./scentForms.server";

const id = crypto.randomUUID();
const form = (entries: readonly (readonly [string, string])[]) => {
  const data = new FormData();
  for (const [key, value] of entries) data.append(key, value);
  return data;
};

describe("the forms of a scent", () => {
  it("a round is its oils with their counts, in order; a row without an oil is none", () => {
    const read = readScentForm(
      form([
        ["intent", "round"],
        ["id", id],
        ["countedIn", "parts"],
        ["oil", "lemon-oil"],
        ["count", "3"],
        ["oil", ""],
        ["count", "9"],
        ["oil", "pine-needle-oil"],
        ["count", "1,5"],
        ["note", " sharp "],
      ]),
    );
    expect(read).toEqual({
      intent: "round",
      round: {
        id,
        countedIn: "parts",
        note: "sharp",
        oils: [
          { material: "lemon-oil", count: "3" },
          { material: "pine-needle-oil", count: "1,5" },
        ],
      },
    });
  });

  it("knows the other buttons, and refuses those that are not there", () => {
    expect(
      readScentForm(
        form([
          ["intent", "keep"],
          ["id", id],
          ["name", "Boathouse"],
        ]),
      ),
    ).toEqual({ intent: "keep", roundId: id, name: "Boathouse" });
    expect(
      readScentForm(
        form([
          ["intent", "delete"],
          ["id", id],
        ]),
      ),
    ).toEqual({ intent: "delete" });
    expect(() =>
      readScentForm(
        form([
          ["intent", "burn"],
          ["id", id],
        ]),
      ),
    ).toThrow("not as this page sends it");
    expect(() => readNewScent(form([["name", "no id"]]))).toThrow("not as this page sends it");
    expect(() => readScentId("x")).toThrow("No scent");
  });

  it("a dose that is not said is the usual one, in a body wash", () => {
    expect(readDose(new URL("http://bench/scents/1"))).toEqual({ profile: "body-wash", percent: "0.5" });
    expect(readDose(new URL("http://bench/scents/1?profile=face-gel&percent=0,2"))).toEqual({ profile: "face-gel", percent: "0,2" });
    expect(readDose(new URL("http://bench/scents/1?profile=soup"))).toMatchObject({ profile: "body-wash" });
  });
});
