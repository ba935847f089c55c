import { describe, expect, it } from "vitest";
import { readBatchId, readBeginForm, readBenchForm, readVersionAddress } from "./forms.server";

const id = crypto.randomUUID();
const form = (entries: readonly (readonly [string, string])[]) => {
  const data = new FormData();
  for (const [key, value] of entries) data.append(key, value);
  return data;
};

describe("forms of the bench", () => {
  it("the one before a batch gathers what was ticked, lots by line and empty weights by beaker", () => {
    const lot = crypto.randomUUID();
    const read = readBeginForm(
      form([
        ["id", id],
        ["grams", " 600 "],
        ["seen", "clean"],
        ["seen", "wear"],
        ["lot-line-1", lot],
        ["lot-line-2", "none"],
        ["tare-main", "412,5"],
      ]),
    );
    expect(read).toEqual({
      id,
      grams: "600",
      seen: ["clean", "wear"],
      lots: { "line-1": lot, "line-2": "none" },
      tares: { main: "412,5" },
    });
  });

  it("the one of a step fills what is not there with nothing", () => {
    expect(
      readBenchForm(
        form([
          ["id", id],
          ["intent", "done"],
          ["step", "prepare"],
        ]),
      ),
    ).toEqual({
      ...{ id, intent: "done", step: "prepare", line: "", grams: "", text: "", entry: "" },
    });
  });

  it.each([
    [
      () =>
        readBenchForm(
          form([
            ["id", id],
            ["intent", "burn"],
          ]),
        ),
    ],
    [
      () =>
        readBenchForm(
          form([
            ["id", "one"],
            ["intent", "done"],
          ]),
        ),
    ],
    [
      () =>
        readBeginForm(
          form([
            ["id", id],
            ["lot-line-1", "anything"],
          ]),
        ),
    ],
    [() => readBeginForm(form([]))],
  ])("what the page could not have sent is refused", (read) => {
    expect(read).toThrow("not as this page sends it");
  });

  it("an address that cannot be one is not here", () => {
    expect(() => readVersionAddress({ formulaId: "x", number: "1" })).toThrow("No version");
    expect(() => readVersionAddress({ formulaId: id, number: "0" })).toThrow("No version");
    expect(() => readBatchId("x")).toThrow("No batch");
    expect(readVersionAddress({ formulaId: id, number: "3" })).toEqual({ formulaId: id, number: 3 });
  });
});
