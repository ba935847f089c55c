import { isNotChosen } from "../../library/notChosen.ts";
import type { Rule } from "../finding.ts";

/** LINE_OPEN: lines whose material is yet to be chosen. They count in the whole, and in nothing else. */
export const lineOpen: Rule = {
  codes: ["LINE_OPEN"],
  check({ sheet }) {
    const open = sheet.lines.filter(({ material }) => isNotChosen(material));
    if (open.length === 0) return [];
    const percent = open.reduce((sum, line) => sum + line.percent, 0);
    return [
      {
        code: "LINE_OPEN",
        severity: "fix",
        lines: open.map(({ line }) => line.id),
        facts: { texts: open.map(({ line, material }) => line.asWritten ?? material.name), percent },
      },
    ];
  },
};
