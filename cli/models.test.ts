import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { findingCodes } from "@tensidrum/core/findings";
import { describe, expect, it } from "vitest";

const root = join(import.meta.dirname, "..");
const models = readFileSync(join(root, "docs/models.md"), "utf8");

describe("the list of models", () => {
  it.each(findingCodes)("tells when %s speaks, and why", (code) => {
    expect(models).toMatch(new RegExp(`\\| [^|]*\\b${code}\\b[^|]*\\|`));
  });

  it("names files that are there", () => {
    const named = [...models.matchAll(/`((?:core|app|db|workers|simulate|benchmarks)\/[^`]+)`/g)].map(([, path]) => path ?? "");
    expect(named.length).toBeGreaterThan(50);
    expect(named.filter((path) => !existsSync(join(root, path)))).toEqual([]);
  });
});
