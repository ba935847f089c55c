import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import Ajv2019 from "ajv/dist/2019.js";
import { describe, expect, it } from "vitest";
import { Refusal } from "../quantities/refusal.ts";
import { library } from "../testing/exampleSheet.ts";
import { formatNames } from "./formatNames.ts";
import { formatSchemas, readAny } from "./readFiles.ts";
import { corpus } from "./testing/corpus.ts";
import { jsonSchemaOf, schemaFileOf } from "./testing/jsonSchemas.ts";

const root = fileURLToPath(new URL("../../../", import.meta.url));
const written = new Map(formatNames.map((name) => [name, JSON.parse(readFileSync(`${root}${schemaFileOf(name)}`, "utf8")) as object]));
const ajv = new Ajv2019({ strict: false });
const validators = new Map([...written].map(([name, schema]) => [name, ajv.compile(schema)]));

function refusalOf(read: () => unknown): Refusal | null {
  try {
    read();
    return null;
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
}

describe("the open formats", () => {
  it("have good and bad files of every format in the corpus", () => {
    for (const name of formatNames) {
      const files = corpus.filter(({ format }) => format === name);
      expect(
        files.some(({ refusedAt }) => refusedAt === null),
        name,
      ).toBe(true);
      expect(
        files.some(({ refusedAt }) => refusedAt !== null),
        name,
      ).toBe(true);
    }
  });

  it.each(formatNames)("%s is described in docs/formats as it is read", (name) => {
    expect(written.get(name)).toEqual(JSON.parse(JSON.stringify(jsonSchemaOf(name))));
  });

  it.each(corpus)("$format: $title", ({ format, file, refusedAt, beyondSchema }) => {
    const shapeIsRight = formatSchemas[format].validate(file, { convert: false }).error === undefined;
    expect(validators.get(format)?.(file)).toBe(shapeIsRight);
    expect(shapeIsRight).toBe(refusedAt === null || beyondSchema === true);
    const refusal = refusalOf(() => readAny(format, file, library));
    expect(refusal?.faults[0]?.path ?? null).toBe(refusedAt);
    if (refusal === null) return;
    expect(refusal.kind).toBe("not-valid");
    expect(refusal.message).toContain(refusedAt === "" ? "the file" : refusedAt);
    expect(refusal.remedy).toMatch(/^[A-Z][a-z]+ /);
  });
});
