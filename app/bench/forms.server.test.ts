import { describe, expect, it } from "vitest";
import { noSize } from "./begin/batchSize";
import { readForm } from "../frame/readForm.server";
import { beginForm, benchForm, readBatchId, readPosition, readSentEntries, readVersionAddress } from "./forms.server";

const id = crypto.randomUUID();
const form = (entries: readonly (readonly [string, string])[]) => {
  const data = new FormData();
  for (const [key, value] of entries) data.append(key, value);
  return data;
};

describe("forms of the bench", () => {
  it("the one before a batch gathers what was ticked, lots by line and empty weights by beaker", () => {
    const lot = crypto.randomUUID();
    const read = readForm(
      beginForm,
      form([
        ["id", id],
        ["grams", " 600 "],
        ["seen", "clean"],
        ["seen", "wear"],
        ["lots.line-1", lot],
        ["lots.line-2", "none"],
        ["tares.main", "412,5"],
      ]),
    );
    expect(read.typed).toEqual({
      intent: "begin",
      plan: "",
      id,
      grams: "600",
      size: noSize,
      seen: ["clean", "wear"],
      lots: { "line-1": lot, "line-2": "none" },
      tares: { main: "412,5" },
      another: [],
    });
  });

  it("the one of a step fills what is not there with nothing", () => {
    expect(
      readForm(
        benchForm,
        form([
          ["id", id],
          ["intent", "done"],
          ["step", "prepare"],
        ]),
      ).typed,
    ).toEqual({
      ...{ id, intent: "done", step: "prepare", line: "", vessel: "", grams: "", minutes: "", text: "", entry: "", readOff: "", skips: {} },
      ...{
        ph: "",
        way: "",
        sample: "",
        agent: "",
        viscosity: "",
        word: "",
        buffers: [],
        shown: [],
        by: "",
        temperature: "",
        drops: "",
        count: "",
        ...{ row: "", number: "", works: "", check: "", filling: "" },
      },
      ...{ low: "", high: "", when: "", clarity: "", looks: [] },
      ...{ because: "", bead: { diameter: "", density: "", jar: "", fall: "", seconds: "" } },
    });
  });

  it.each([
    [
      () =>
        readForm(
          benchForm,
          form([
            ["id", id],
            ["intent", "burn"],
          ]),
        ),
    ],
    [
      () =>
        readForm(
          benchForm,
          form([
            ["id", "one"],
            ["intent", "done"],
          ]),
        ),
    ],
    [
      () =>
        readForm(
          beginForm,
          form([
            ["id", id],
            ["lots.line-1", "anything"],
          ]),
        ),
    ],
    [() => readForm(beginForm, form([]))],
  ])("what the page could not have sent is refused", (read) => {
    expect(read).toThrow("not as this page sends it");
  });

  it("steps that are still open at the end come with why they were skipped", () => {
    const read = readForm(
      benchForm,
      form([
        ["id", id],
        ["intent", "finish"],
        ["grams", "480"],
        ["skips.rest", " filled at once "],
      ]),
    );
    expect(read.typed.skips).toEqual({ rest: "filled at once" });
  });

  it("entries of a device are read whole, and refused when one is not as it must be", async () => {
    const sent = (value: unknown) => readSentEntries(new Request("http://x/", { method: "POST", body: JSON.stringify(value) }));
    const done = { id, at: "2026-11-26T10:00:00.000Z", kind: "done", step: "prepare" };
    expect(await sent({ behind: 3, entries: [done] })).toEqual({ behind: 3, entries: [done] });
    for (const wrong of [
      { ...done, id: "one" },
      { ...done, kind: "burned" },
      { ...done, grams: 3 },
      { ...done, step: undefined },
    ]) {
      await expect(sent({ behind: 0, entries: [wrong] })).rejects.toThrow();
    }
    await expect(sent({ behind: -1, entries: [] })).rejects.toThrow();
    await expect(sent("nothing")).rejects.toThrow();
  });

  it("news are wanted from what the browser heard last, else from the address, else from the start", () => {
    const position = (address: string, last?: string) =>
      readPosition(new Request(`http://x/news${address}`, last === undefined ? {} : { headers: { "Last-Event-ID": last } }));
    expect(position("?behind=7")).toBe(7);
    expect(position("?behind=7", "9")).toBe(9);
    expect(position("?behind=x")).toBe(0);
    expect(position("")).toBe(0);
  });

  it("an address that cannot be one is not here", () => {
    expect(() => readVersionAddress({ formulaId: "x", number: "1" })).toThrow("No version");
    expect(() => readVersionAddress({ formulaId: id, number: "0" })).toThrow("No version");
    expect(() => readBatchId("x")).toThrow("No batch");
    expect(readVersionAddress({ formulaId: id, number: "3" })).toEqual({ formulaId: id, number: 3 });
  });
});
