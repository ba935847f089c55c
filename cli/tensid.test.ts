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
  // A fit goes as far as its differences of a millionth can tell.
  if (typeof expected === "number")
    expect(answer, path).toBeCloseTo(
      expected,
      path.startsWith(".fit") || path === ".recommendSaltPercent" || path === ".safeMaxPercent" ? 6 : 9,
    );
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
  it.each([
    "assess",
    "steps",
    "unmix",
    "design",
    "label",
    "dilute",
    "micelles",
    "titrate",
    "thicken",
    "salt-curve",
    "bead-drop",
    "settle",
    "recipe",
    "find",
  ])("%s answers its golden file, from a file and from standard input", (command) => {
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

  it("the advised salt is that of the known salt curve, 4.757 g, within what readings of 8 % allow", () => {
    const { recommend } = answerOf(["thicken", goldenFile("thicken.in.json")]) as { recommend: { grams: number; peakChance: number } };
    expect(recommend.grams).toBeGreaterThan(4.3);
    expect(recommend.grams).toBeLessThan(4.9);
    expect(recommend.peakChance).toBe(0);
  });

  it("the advised acid comes in whole drops and passes the far edge in at most one batch of a hundred", () => {
    const { recommend } = answerOf(["titrate", goldenFile("titrate.in.json")]) as { recommend: Record<string, number> };
    expect(recommend["grams"]).toBeCloseTo(recommend["drops"]! * 0.05, 9);
    expect(recommend["overshootChance"]).toBeLessThanOrEqual(0.01);
    expect(recommend["expectedPhLow"]).toBeGreaterThan(4.6);
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

  it("100,000 brackets, answered at once instead of never", () => {
    const { status, stdout, stderr } = tensid(["assess"], "[".repeat(100_000));
    expect([status, stdout]).toEqual([2, ""]);
    expect(stderr).toContain("more than 64 lists or objects inside each other");
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

describe("what the instruments' commands refuse or answer in words", () => {
  const file = (name: string) => golden(`${name}.in.json`) as Record<string, unknown>;
  const titration = file("titrate") as { readings: Record<string, unknown>[] };

  it.each([
    ["micelles", { ...file("micelles"), surfactants: [] }, "surfactants"],
    ["micelles", { ...file("micelles"), surfactants: [{ charge: "anionic", cmcMillimolar: 1, moleFraction: 0 }] }, "surfactants"],
    ["titrate", { ...titration, target: { low: 5, high: 14.5 } }, "target.high"],
    ["titrate", { ...titration, target: { low: 5.5, high: 5 } }, "target"],
    [
      "titrate",
      {
        ...titration,
        readings: [
          { doseGramsTotal: 2, ph: 7 },
          { doseGramsTotal: 1, ph: 6 },
        ],
      },
      "readings[1].doseGramsTotal",
    ],
    ["titrate", { ...titration, readings: [{ doseGramsTotal: 0, counterGramsTotal: 1, ph: 7 }] }, "readings[0].counterGramsTotal"],
    ["titrate", { ...titration, readings: [{ doseGramsTotal: 0, ph: 7, sampleGrams: 600 }] }, "readings"],
    ["titrate", { ...titration, readings: [] }, "readings"],
    [
      "thicken",
      {
        ...file("thicken"),
        additions: [
          { gramsTotal: 2, viscosity: 1 },
          { gramsTotal: 1, viscosity: 1 },
        ],
      },
      "additions[1].gramsTotal",
    ],
    ["thicken", { ...file("thicken"), jars: [{ saltPercent: 1, viscosity: 0 }] }, "jars[0].viscosity"],
    ["salt-curve", { ...file("salt-curve"), points: [{ saltPercent: 1, viscosity: "2" }] }, "points[0].viscosity"],
    ["settle", { ...file("settle"), pascalSeconds: 0 }, "pascalSeconds"],
    ["bead-drop", { ...file("bead-drop"), seconds: -1 }, "seconds"],
  ])("%s: %j", (command, input, named) => {
    const { status, stdout, stderr } = tensid([command], JSON.stringify(input));
    expect([status, stdout]).toEqual([2, ""]);
    expect(stderr).toContain(named);
  });

  it("a bead lighter than the liquid gives no thickness and says why", () => {
    const light = JSON.stringify({ ...file("bead-drop"), beadDensity: 0.9 });
    expectGolden(answerOf(["bead-drop"], light), { pascalSeconds: null, reynolds: null, valid: false });
  });

  it("acid that raised the pH is not followed by more acid", () => {
    const readings = [
      { doseGramsTotal: 0, ph: 7 },
      { doseGramsTotal: 2, ph: 7.5 },
    ];
    const answer = answerOf(["titrate"], JSON.stringify({ ...titration, readings })) as { text: string };
    expectGolden(answer, { state: "reread", recommend: { grams: 0 } });
    expect(answer.text).toContain("acid raised the pH");
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
