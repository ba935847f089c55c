import { Refusal } from "@tensidrum/core/quantities";
import Joi from "joi";
import { describe, expect, it } from "vitest";
import { choice, file, group, id, keyed, list, slug, text, tick, whole } from "./fields.server";
import { problemAt, sentenceAbove, sentenceOf } from "./formAnswer";
import { formOf, problemsFrom, readAddress, readForm, readQuestions, takeForm } from "./readForm.server";

const UUID = "5ea50000-0000-4000-8000-00000000c100";
const schema = Joi.object({
  name: text(20),
  kind: choice(["acid", "base"], "acid"),
  isClear: tick(),
  lots: list(text(10), 3),
  aim: group({ look: text(10, "any") }),
  lines: keyed(group({ percent: text(8) })),
});

function form(fields: readonly (readonly [string, string | File])[]): FormData {
  const sent = new FormData();
  for (const [name, value] of fields) sent.append(name, value);
  return sent;
}

describe("a form", () => {
  it("is read by its schema, groups by their points", () => {
    const { typed, problems } = readForm(
      schema,
      form([
        ["name", "  Curtain Call  "],
        ["isClear", "on"],
        ["lots", "A"],
        ["lots", "B"],
        ["lines.one.percent", "12,5"],
        ["lines.two.percent", ""],
      ]),
    );
    expect(problems).toEqual([]);
    expect(typed).toEqual({
      name: "Curtain Call",
      kind: "acid",
      isClear: true,
      lots: ["A", "B"],
      aim: { look: "any" },
      lines: { one: { percent: "12,5" }, two: { percent: "" } },
    });
  });

  it("that is empty stands at its usual values", () => {
    expect(readForm(schema, form([])).typed).toEqual({ name: "", kind: "acid", isClear: false, lots: [], aim: { look: "any" }, lines: {} });
  });

  it("tells what is too long at the path of its field, and keeps it", () => {
    const { typed, problems } = readForm(schema, form([["lines.one.percent", "123456789"]]));
    expect(problems).toEqual([{ field: "lines.one.percent", message: "At most 8 characters." }]);
    expect(typed.lines.one.percent).toBe("123456789");
  });

  it.each([
    { what: "a field the page does not know", fields: [["colour", "blue"]] as const },
    { what: "a word no choice offers", fields: [["kind", "salt"]] as const },
    {
      what: "a field that comes twice",
      fields: [
        ["name", "one"],
        ["name", "two"],
      ] as const,
    },
  ])("with $what is refused", ({ fields }) => {
    expect(() => readForm(schema, form(fields))).toThrow(Refusal);
  });

  it("cannot reach what every object has", () => {
    expect(readForm(schema, form([["__proto__.isClear", "on"]])).typed.isClear).toBe(false);
    expect(({} as { isClear?: unknown }).isClear).toBeUndefined();
  });

  it("marks characters that do not show, and tells of them", async () => {
    const body = new URLSearchParams([["name", "Curtain\u202eCall"]]);
    const sent = await formOf(new Request("http://here/", { method: "POST", body }));
    const { problems } = readForm(schema, sent);
    expect(problems.map(({ field }) => field)).toEqual(["name"]);
  });

  it("that is none is refused", async () => {
    await expect(formOf(new Request("http://here/", { method: "POST", body: "{" }))).rejects.toThrow(Refusal);
  });

  it("brings its file where one was chosen", () => {
    const withFile = Joi.object({ list: file() });
    expect(readForm(withFile, form([["list", new File(["a"], "lots.csv")]])).typed.list?.name).toBe("lots.csv");
    expect(readForm(withFile, form([["list", new File([], "")]])).typed.list).toBeUndefined();
  });
});

describe("what a form asks for", () => {
  const named = Joi.object({ name: text(5) });
  const done = { went: true };

  it("is done with what was read", async () => {
    expect(await takeForm(named, form([["name", "salt"]]), async ({ name }) => ({ name }))).toEqual({ name: "salt" });
  });

  it("is not done while a field is wrong; the text comes back", async () => {
    let ran = false;
    const answer = await takeForm(named, form([["name", "too long"]]), async () => ((ran = true), done));
    expect(ran).toBe(false);
    expect(answer).toMatchObject({
      data: { typed: { name: "too long" }, problems: [{ field: "name" }], sentence: "At most 5 characters." },
      init: { status: 422 },
    });
  });

  it("that is refused by a rule is a problem of the whole", async () => {
    const refusing = () => Promise.reject(new Refusal("not-valid", "The code is taken.", "Choose another."));
    expect(await problemsFrom(refusing)).toEqual([{ field: "", message: "The code is taken. Choose another." }]);
  });

  it("a fault of ours is not told as the maker's", async () => {
    await expect(problemsFrom(() => Promise.reject(new Error("broken")))).rejects.toThrow("broken");
  });
});

describe("questions and parts of an address", () => {
  const asked = Joi.object({ page: whole(1, 9).default(1), order: choice(["name", "left"], "name") });

  it("a wrong question counts as not asked, the right ones stand", () => {
    expect(readQuestions(asked, new Request("http://here/?page=70&order=left&who=me"))).toEqual({ page: 1, order: "left" });
  });

  it.each(["", "x", UUID.toUpperCase(), `${UUID}0`])("%s is no identifier", (wrong) => {
    const nothing = () => new Refusal("not-found", "No such formula.", "Go back.");
    expect(() => readAddress(Joi.object({ id: id() }), { id: wrong }, nothing)).toThrow("No such formula.");
    expect(readAddress(Joi.object({ id: id() }), { id: UUID }, nothing)).toEqual({ id: UUID });
  });

  it.each(["-a", "a--b", "A", "a b"])("%s is no slug", (wrong) => expect(slug().validate(wrong).error).toBeDefined());
});

describe("what is said of problems", () => {
  const two = [
    { field: "a.b", message: "First." },
    { field: "c", message: "Second." },
  ];

  it("one says itself, several are counted, one of the whole stands first", () => {
    expect(sentenceOf([])).toBe("");
    expect(sentenceOf(two.slice(0, 1))).toBe("First.");
    expect(sentenceOf(two)).toBe("2 fields need correcting. First.");
    expect(sentenceOf([...two, { field: "", message: "Whole." }])).toBe("Whole.");
  });

  it("a field knows the problems of its group, not those of a like name", () => {
    expect(problemAt({ problems: two }, "a")).toBe("First.");
    expect(problemAt({ problems: two }, "a.b")).toBe("First.");
    expect(problemAt({ problems: [{ field: "ab", message: "Other." }] }, "a")).toBeUndefined();
  });

  it("nothing stands above a form while one field says it all", () => {
    expect(sentenceAbove(null)).toBeNull();
    expect(sentenceAbove({ problems: two.slice(0, 1) })).toBeNull();
    expect(sentenceAbove({ problems: two })).toBe("2 fields need correcting.");
  });
});
