import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { commands } from "./commands";

const root = join(import.meta.dirname, "..");
const folder = mkdtempSync(join(tmpdir(), "tensid-"));
const goldenFile = (name: string) => join(import.meta.dirname, "golden", name);
const golden = (name: string): unknown => JSON.parse(readFileSync(goldenFile(name), "utf8"));

function tensid(args: readonly string[], input = "") {
  return spawnSync(process.execPath, [join(root, "bin/tensid"), ...args], { input, encoding: "utf8", maxBuffer: 100_000_000 });
}

function answerOf(args: readonly string[], input?: string): unknown {
  const { stdout, stderr, status } = tensid(args, input);
  expect(stderr).toBe("");
  expect(status).toBe(0);
  return JSON.parse(stdout);
}

/** Every number and word of the golden file stands in the answer; numbers to 1e-9. */
function expectGolden(answer: unknown, expected: unknown, path = ""): void {
  if (typeof expected === "number") expect(answer, path).toBeCloseTo(expected, 9);
  else if (Array.isArray(expected)) {
    expect((answer as unknown[]).length, path).toBe(expected.length);
    expected.forEach((entry, index) => expectGolden((answer as unknown[])[index], entry, `${path}[${index}]`));
  } else if (expected !== null && typeof expected === "object") {
    for (const [key, value] of Object.entries(expected)) expectGolden((answer as Record<string, unknown>)[key], value, `${path}.${key}`);
  } else expect(answer, path).toBe(expected);
}

beforeAll(() => {
  // The first call may build; later ones must answer alone.
  tensid(["--help"]);
}, 120_000);

afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe("tensid", () => {
  it.each(["assess", "label", "dilute"])("%s answers its golden file, from a file and from standard input", (command) => {
    const file = goldenFile(`${command}.in.json`);
    const expected = golden(`${command}.out.json`);
    expectGolden(answerOf([command, file]), expected);
    expectGolden(answerOf([command, "-"], readFileSync(file, "utf8")), expected);
    expectGolden(answerOf([command], readFileSync(file, "utf8")), expected);
  });

  it("materials answers the whole reference library", () => {
    const { count, byRole, sample } = golden("materials.out.json") as {
      count: number;
      byRole: Record<string, number>;
      sample: { slug: string }[];
    };
    const library = answerOf(["materials"]) as { slug: string; role: string }[];
    expect(library).toHaveLength(count);
    for (const [role, many] of Object.entries(byRole)) expect(library.filter((material) => material.role === role).length, role).toBe(many);
    for (const material of sample) expect(library.find(({ slug }) => slug === material.slug)).toEqual(material);
  });

  it("the grams of an answer, summed anew, are the batch", () => {
    const { lines } = answerOf(["assess", goldenFile("assess.in.json")]) as { lines: { gramsToWeigh: number }[] };
    expect(lines.reduce((sum, { gramsToWeigh }) => sum + gramsToWeigh, 0)).toBeCloseTo(600, 9);
  });

  it("a formula with its own materials needs no library entry of them", () => {
    const materials = [
      {
        slug: "own-glucoside",
        name: "Own glucoside",
        role: "surfactant",
        inci: [
          { name: "Own Glucoside", percent: 50 },
          { name: "Aqua", percent: 50 },
        ],
        charge: "nonionic",
        countsAsActive: true,
        active: { low: 49, typical: 50, high: 51 },
      },
    ];
    const lines = [
      { id: "w", phase: "A", material: "water-distilled", qs: true },
      { id: "o", phase: "A", material: "own-glucoside", percent: 20 },
    ];
    const file = JSON.stringify({ format: "tensidrum-formula/1", profile: "body-wash", batchGrams: 100, lines, materials });
    expectGolden(answerOf(["assess"], file), { activeMatter: { percent: 10, low: 9.8, high: 10.2 }, densityGramsPerMl: null });
  });
});

describe("what tensid refuses", () => {
  const wash = golden("assess.in.json") as Record<string, unknown> & { lines: Record<string, unknown>[] };
  const withLine = (changes: object) => JSON.stringify({ ...wash, lines: [wash.lines[0], { ...wash.lines[1], ...changes }] });
  const text = JSON.stringify(wash);

  it.each([
    ["NaN", text.replace('"percent":3', '"percent":NaN'), "lines[1].percent"],
    ["Infinity", text.replace('"percent":3', '"percent":1e999'), "lines[1].percent"],
    ["a negative number", withLine({ percent: -1 }), "lines[1].percent"],
    ["a missing field", withLine({ phase: undefined }), "lines[1].phase"],
    ["a wrong type", withLine({ percent: [] }), "lines[1].percent"],
    ["a number in quotes", withLine({ percent: "22" }), "lines[1].percent"],
    ["an unknown key", withLine({ colour: "green" }), "lines[1].colour"],
    ["a key that objects have by nature", text.replace('"name":"Green', '"__proto__":{"a":1},"name":"Green'), "__proto__"],
    [
      "parts in a circle",
      JSON.stringify({
        ...wash,
        materials: ["a", "b"].map((slug, i) => ({
          slug,
          name: slug,
          role: "base",
          parts: [{ material: i === 0 ? "b" : "a", percent: 100 }],
        })),
      }),
      "materials[0].parts",
    ],
    ["an id twice", JSON.stringify({ ...wash, lines: [wash.lines[1], wash.lines[1]] }), "lines[1].id"],
    ["another version", JSON.stringify({ ...wash, format: "tensidrum-formula/9" }), "format"],
    ["an unknown material", withLine({ material: "moon-dust" }), "lines[1].material"],
    ["no JSON at all", "percent: 22", "JSON"],
    ["nothing", "", "empty"],
    ["bytes that are no text", "\u0000", "JSON"],
  ])("%s: the field is named, exit 2, no answer, no trace", (_title, input, named) => {
    const { status, stdout, stderr } = tensid(["assess"], input);
    expect([status, stdout]).toEqual([2, ""]);
    expect(stderr).toContain(named);
    expect(stderr).not.toMatch(/\bat .+:\d+:\d+|Error:|undefined|\[object/);
  });

  it("a file of 50 MB, without reading it to the end", () => {
    const file = join(folder, "long.json");
    writeFileSync(file, `{"format":"tensidrum-formula/1","name":"${"x".repeat(50_000_000)}"}`);
    const { status, stdout, stderr } = tensid(["assess", file]);
    expect([status, stdout]).toEqual([2, ""]);
    expect(stderr).toContain("million characters");
  });

  it("a file that is not there, a folder, two files, an unknown command or option", () => {
    for (const args of [
      ["assess", join(folder, "none.json")],
      ["assess", folder],
      ["assess", "a", "b"],
      ["brew"],
      ["assess", "--loud"],
      ["materials", "a.json"],
      [],
    ]) {
      const { status, stdout, stderr } = tensid(args);
      expect([args.join(" "), status, stdout]).toEqual([args.join(" "), 2, ""]);
      expect(stderr.length).toBeGreaterThan(10);
      expect(stderr).not.toMatch(/\bat .+:\d+:\d+|ENOENT|EISDIR|ERR_/);
    }
  });

  it("takes 10,000 lines", () => {
    const lines = Array.from({ length: 10_000 }, (_, i) => ({
      id: `l${i}`,
      phase: "A",
      material: i % 2 === 0 ? "glycerin" : "decyl-glucoside",
      percent: 0.01,
    }));
    const answer = answerOf(["assess"], JSON.stringify({ ...wash, splits: [], lines })) as { lines: unknown[]; totalPercent: number };
    expect(answer.lines).toHaveLength(10_000);
    expect(answer.totalPercent).toBeCloseTo(100, 6);
  });
});

describe("tensid --help", () => {
  it("lists every command and the format it reads", () => {
    const { stdout, status } = tensid(["--help"]);
    expect(status).toBe(0);
    for (const [name, { format }] of commands) {
      expect(stdout).toContain(name);
      if (format !== null) expect(stdout).toContain(format);
    }
  });
});
