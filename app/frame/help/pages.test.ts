import { existsSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { describe, expect, it } from "vitest";
import { helpFor, helpTopics } from "./pages";
import { pictures } from "./pictures";

describe("help", () => {
  it("is ten short pages, each with its steps and, where there is one, a picture of the real screen", () => {
    expect(helpTopics).toHaveLength(10);
    for (const { steps, picture, alt } of helpTopics) {
      expect(steps.length).toBeGreaterThan(1);
      expect(steps.every((step) => step.length <= 120)).toBe(true);
      if (picture === null) continue;
      expect(alt).not.toBe("");
      expect(Object.keys(pictures)).toContain(picture);
      expect(existsSync(fileURLToPath(new URL(`../../../docs/screenshots/${picture}.png`, import.meta.url)))).toBe(true);
    }
  });

  it.each([
    ["/", "first-batch"],
    ["/sheet/5ea50000/2", "sheet"],
    ["/bench/abc", "bench"],
    ["/bench/salt-samples/x/1", "thickness"],
    ["/fill/abc/label", "fill"],
    ["/compare/rounds/x", "watch"],
    ["/settings", "first-batch"],
    ["/sheets", "first-batch"],
  ])("the help of %s is %s", (address, slug) => {
    expect(helpFor(address).slug).toBe(slug);
  });

  it("its doors lead to addresses of the application", () => {
    for (const { doors } of helpTopics) for (const { to } of doors) expect(to).toMatch(/^\/[a-z/-]+$/);
  });
});
