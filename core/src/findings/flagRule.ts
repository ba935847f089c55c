import type { FindingCode, Rule } from "./finding.ts";
import { flagged, idsOf } from "./judged.ts";
import { namesOf } from "./wording.ts";

interface FlagWords {
  readonly code: FindingCode;
  readonly flag: string;
  /** What the named materials do, after their names. */
  says(count: number): string;
  readonly why: string;
  readonly cure: string;
}

/** A rule that speaks as soon as a material carries a flag, to be considered. */
export function flagRule({ code, flag, says, why, cure }: FlagWords): Rule {
  return {
    codes: [code],
    check(judged) {
      const lines = flagged(judged, flag);
      if (lines.length === 0) return [];
      return [{ code, severity: "consider", lines: idsOf(lines), what: `${namesOf(lines)} ${says(lines.length)}.`, why, cure }];
    },
  };
}
