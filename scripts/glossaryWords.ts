import { readFileSync } from "node:fs";

/** Phrases of the glossary's left column that no text of the interface has. */
export function bannedPhrases(): readonly string[] {
  const text = readFileSync(new URL("../docs/glossary.md", import.meta.url), "utf8");
  const table = text.split("## On the screen")[1]?.split("## In code")[0] ?? "";
  const rows = table.split("\n").filter((line) => line.startsWith("|"));
  return rows.flatMap((row) => [...(row.split("|")[1] ?? "").matchAll(/`([^`]+)`/g)].map(([, phrase]) => phrase ?? ""));
}

/** Banned phrases that stand in a text as words of their own. */
export function bannedIn(text: string, phrases: readonly string[]): readonly string[] {
  return phrases.filter((phrase) =>
    new RegExp(`(?<![\\p{L}-])${phrase.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}(?![\\p{L}-])`, "u").test(text),
  );
}
