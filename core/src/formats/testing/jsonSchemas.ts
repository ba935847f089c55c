import parse from "joi-to-json";
import type { FormatName } from "../formatNames.ts";
import { formatSchemas } from "../readFiles.ts";

/** The file in docs/formats that describes a format: tensidrum-salt-curve/1 in salt-curve-1.schema.json. */
export function schemaFileOf(name: FormatName): string {
  return `docs/formats/${name.replace("tensidrum-", "").replace("/", "-")}.schema.json`;
}

/** The JSON Schema of a format, made from its Joi schema. */
export function jsonSchemaOf(name: FormatName): Record<string, unknown> {
  const { $schema: _dialect, ...schema } = parse(formatSchemas[name], "json-draft-2019-09") as Record<string, unknown>;
  return { $schema: "https://json-schema.org/draft/2019-09/schema", title: name, ...schema };
}
