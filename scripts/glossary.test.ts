import { readdirSync, readFileSync } from "node:fs";
import ts from "typescript";
import { describe, expect, it } from "vitest";
import { root } from "./commands.mjs";
import { bannedIn, bannedPhrases } from "./glossaryWords";

/** Texts in a source: what stands in quotes, in templates and between tags, with the place of each. */
function textsIn(file: string): readonly { readonly line: number; readonly text: string }[] {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const found: { line: number; text: string }[] = [];
  const walk = (node: ts.Node): void => {
    const isPath = ts.isImportDeclaration(node) || ts.isExportDeclaration(node);
    if (isPath) return;
    if (
      ts.isStringLiteralLike(node) ||
      ts.isJsxText(node) ||
      ts.isTemplateHead(node) ||
      ts.isTemplateMiddle(node) ||
      ts.isTemplateTail(node)
    ) {
      found.push({ line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1, text: node.text });
    }
    ts.forEachChild(node, walk);
  };
  walk(source);
  return found;
}

const sources = ["app", "core/src", "cli", "server", "workers"]
  .flatMap((folder) => readdirSync(`${root}/${folder}`, { recursive: true, encoding: "utf8" }).map((file) => `${folder}/${file}`))
  .filter((file) => /\.tsx?$/.test(file))
  // What makers write has words of its own: readers of recipes and claims, materials of the library.
  .filter((file) => !/\.test\.tsx?$|\/testing\/|core\/src\/(?:recipe|library\/reference)\/|packaging\/claims/.test(file));

describe("the glossary", () => {
  it("has phrases, and they are found as words of their own only", () => {
    const phrases = bannedPhrases();
    expect(phrases.length).toBeGreaterThan(40);
    expect(bannedIn("Water takes the rest.", phrases)).toEqual(["takes the rest"]);
    expect(bannedIn("a hurdle-free text of Germany", phrases)).toEqual([]);
  });

  it("holds for every text in the sources", () => {
    const phrases = bannedPhrases();
    const faults = sources.flatMap((file) =>
      textsIn(`${root}/${file}`).flatMap(({ line, text }) => bannedIn(text, phrases).map((phrase) => `${file}:${line}: ${phrase}`)),
    );
    expect(faults).toEqual([]);
    // Every source is parsed, which takes long where the machine is busy with others.
  }, 120_000);
});
