import { readFileSync } from "node:fs";
import { join } from "node:path";
import { findingCodes } from "@tensidrum/core/findings";
import { describe, expect, it } from "vitest";

const models = readFileSync(join(import.meta.dirname, "../docs/models.md"), "utf8");

describe("the list of models", () => {
  it.each(findingCodes)("tells when %s speaks, and why", (code) => {
    expect(models).toMatch(new RegExp(`\\| [^|]*\\b${code}\\b[^|]*\\|`));
  });
});
