import type { ComparedLine } from "@tensidrum/core/assessment";
import { written, writtenPercent } from "@tensidrum/core/quantities";
import type { Comparison } from "./comparison.server";
import classes from "./Difference.module.css";
import { readingWords } from "./readingWords";
import { WasNowTable, type WasNowRow } from "./WasNowTable";

interface ComparisonTablesProps {
  readonly comparison: Comparison;
  /** What the two sides are called. */
  readonly heads: { readonly was: string; readonly now: string };
  /** They are two rounds of one formula: it is said where more than one line changed between them. */
  readonly areRounds?: boolean;
}

/** Two formulas side by side: only what differs, and what it did to each reading. */
export function ComparisonTables({ comparison, heads, areRounds = true }: ComparisonTablesProps) {
  const { head, lines, lineCount, readings, findingsNew, findingsGone } = comparison;
  return (
    <div className={classes.columns}>
      <div>
        {lines.length > 0 && (
          <WasNowTable
            caption={`${lines.length} of ${lineCount} lines differ`}
            heads={{ what: "material", ...heads }}
            rows={lines.map(lineRow)}
          />
        )}
        {head.length > 0 && <WasNowTable caption="The aim and the sheet" rows={head.map(headRow)} />}
      </div>
      <div>
        {areRounds && lines.length > 1 && (
          <p className={classes.advice}>{lines.length} lines changed at once. Change one per round to see what each does.</p>
        )}
        <WasNowTable caption="Effect" heads={{ what: "reading", ...heads }} rows={readings.filter(isSeen).map(readingRow)} />
        <FindingList title="New findings" findings={findingsNew} />
        <FindingList title="Findings that are gone" findings={findingsGone} />
      </div>
    </div>
  );
}

function FindingList({ title, findings }: { readonly title: string; readonly findings: Comparison["findingsNew"] }) {
  if (findings.length === 0) return null;
  return (
    <section className={classes.findings}>
      <h2>{title}</h2>
      <ul>
        {findings.map(({ what, severity }) => (
          <li key={what}>
            <strong>{severity}</strong> {what}
          </li>
        ))}
      </ul>
    </section>
  );
}

function lineRow({ id, name, wasName, before, after }: Comparison["lines"][number]): WasNowRow {
  return {
    key: id,
    name: (
      <>
        {name}
        {wasName !== null && <small> was {wasName}</small>}
        <small>{otherChange(before, after)}</small>
      </>
    ),
    was: shareWords(before),
    arrow: arrowOf(before?.percent, after?.percent),
    now: shareWords(after),
  };
}

function headRow({ what, before, after }: Comparison["head"][number]): WasNowRow {
  return { key: what, name: what, was: before === "" ? "nothing" : before, arrow: "→", now: after === "" ? "nothing" : after };
}

function readingRow({ reading, before, after }: Comparison["readings"][number]): WasNowRow {
  const { name, unit, decimals, isEstimate } = readingWords[reading];
  const shown = (value: number | null) => (value === null ? "not known" : `${written(value, decimals)}${unit === "" ? "" : ` ${unit}`}`);
  return {
    key: reading,
    name: (
      <>
        {name} {isEstimate === true && <small className={classes.estimate}>estimate</small>}
      </>
    ),
    was: shown(before),
    arrow: arrowOf(before ?? undefined, after ?? undefined),
    now: shown(after),
  };
}

function shareWords(line: ComparedLine | null): string {
  if (line === null) return "not there";
  return `${writtenPercent(line.percent)} %${line.takesTheRest ? ", q.s." : ""}`;
}

function otherChange(before: ComparedLine | null, after: ComparedLine | null): string {
  if (before === null || after === null) return "";
  const parts = [
    ...(before.phase === after.phase ? [] : [` phase ${before.phase} to ${after.phase}`]),
    ...(before.assayPercent === after.assayPercent
      ? []
      : [` certificate ${before.assayPercent ?? "none"} to ${after.assayPercent ?? "none"}`]),
  ];
  return parts.join(",");
}

/** Whether a reading differs by more than its last shown digit. */
function isSeen({ reading, before, after }: Comparison["readings"][number]): boolean {
  const { decimals } = readingWords[reading];
  return before === null || after === null || written(before, decimals) !== written(after, decimals);
}

function arrowOf(before: number | undefined, after: number | undefined): string {
  if (before === undefined || after === undefined || before === after) return "→";
  return after > before ? "↗" : "↘";
}
