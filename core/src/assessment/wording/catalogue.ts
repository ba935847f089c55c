import type { Finding, FindingCode } from "../../findings/finding.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import { acidityWords } from "./acidityWords.ts";
import { cautionWords } from "./cautionWords.ts";
import { massWords } from "./massWords.ts";
import { namesFrom, type Names } from "./names.ts";
import { oilWords } from "./oilWords.ts";
import { preservationWords } from "./preservationWords.ts";
import { rheologyWords } from "./rheologyWords.ts";
import { surfactantWords } from "./surfactantWords.ts";
import type { Words, WordsFor } from "./words.ts";

/** Every finding in sentences. */
const catalogue: WordsFor<FindingCode> = {
  ...massWords,
  ...surfactantWords,
  ...acidityWords,
  ...preservationWords,
  ...rheologyWords,
  ...oilWords,
  ...cautionWords,
};

/** A finding with its sentences. */
export type WordedFinding = Finding & Words;

/** Puts a finding into sentences; materials are named as the library names them. */
export function wordsOf(finding: Pick<Finding, "code" | "facts">, materials: MaterialsBySlug): Words {
  return said(finding, namesFrom(materials));
}

function said({ code, facts }: Pick<Finding, "code" | "facts">, names: Names): Words {
  // The facts belong to the code by the type of a finding, which does not survive an index by it.
  const say = catalogue[code] as (facts: Finding["facts"], names: Names) => Words;
  return say(facts, names);
}

export function worded(findings: readonly Finding[], materials: MaterialsBySlug): readonly WordedFinding[] {
  const names = namesFrom(materials);
  return findings.map((finding) => ({ ...finding, ...said(finding, names) }));
}
