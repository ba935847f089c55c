import type { Finding, Severity } from "@tensidrum/core/findings";

export interface FindingTag {
  readonly number: number;
  readonly severity: Severity;
}

/** Which numbered findings speak of which line. What is only to be considered is left to the list of findings. */
export function findingTags(findings: readonly Finding[]): ReadonlyMap<string, readonly FindingTag[]> {
  const tags = new Map<string, FindingTag[]>();
  findings.forEach(({ severity, lines }, index) => {
    if (severity === "consider") return;
    for (const line of lines) tags.set(line, [...(tags.get(line) ?? []), { number: index + 1, severity }]);
  });
  return tags;
}

/** Tags as one short text, so that rows can tell cheaply whether theirs changed. */
export function tagsKey(tags: readonly FindingTag[] | undefined): string {
  return tags?.map(({ number, severity }) => `${severity}:${number}`).join(" ") ?? "";
}

export function tagsOfKey(key: string): readonly FindingTag[] {
  if (key === "") return [];
  return key.split(" ").map((tag) => {
    const [severity, number] = tag.split(":");
    return { severity: severity as Severity, number: Number(number) };
  });
}
