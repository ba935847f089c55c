import { mkdirSync, writeFileSync } from "node:fs";
import { formatNames } from "@tensidrum/core/formats";
import { format, resolveConfig } from "prettier";
import { jsonSchemaOf, schemaFileOf } from "../core/src/formats/testing/jsonSchemas";

/** Writes the JSON Schema of every open format into docs/formats; run it after a format has changed. */
mkdirSync("docs/formats", { recursive: true });
for (const name of formatNames) {
  const file = schemaFileOf(name);
  const text = JSON.stringify(jsonSchemaOf(name));
  writeFileSync(file, await format(text, { ...(await resolveConfig(file)), filepath: file }));
}
