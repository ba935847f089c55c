import { memo } from "react";
import type { Finding, NotJudged, Severity } from "@tensidrum/core/findings";
import { FindingMark } from "../../components/FindingMark";
import { focusPercent } from "../lines/lineKeys";
import classes from "./Findings.module.css";

interface FindingsProps {
  readonly findings: readonly Finding[];
  readonly notJudged: readonly NotJudged[];
}

interface Numbered {
  readonly finding: Finding;
  readonly number: number;
}

/** What is wrong or worth a thought, numbered as in the lines, the most urgent first; what is only to know stands folded. */
export const Findings = memo(function Findings({ findings, notJudged }: FindingsProps) {
  const numbered = findings.map((finding, index): Numbered => ({ finding, number: index + 1 }));
  const urgent = numbered.filter(({ finding }) => finding.severity !== "consider");
  const toKnow = numbered.filter(({ finding }) => finding.severity === "consider");
  const count = (severity: Severity) => findings.filter((finding) => finding.severity === severity).length;
  return (
    <section className={classes.findings} aria-labelledby="findings-head">
      <h2 id="findings-head" className={classes.head}>
        Findings
        <span data-some={count("stop") > 0 || undefined}>{count("stop")} stop</span>
        <span data-some={count("fix") > 0 || undefined}>{count("fix")} fix</span>
        <span>{toKnow.length} consider</span>
      </h2>
      {urgent.length === 0 && <p className={classes.none}>Nothing to mend.</p>}
      <FindingList numbered={urgent} />
      {toKnow.length > 0 && (
        <details className={classes.fold} open={urgent.length === 0 || undefined}>
          <summary>To consider ({toKnow.length})</summary>
          <FindingList numbered={toKnow} />
        </details>
      )}
      {notJudged.length > 0 && (
        <details className={classes.fold}>
          <summary>Not judged ({notJudged.length})</summary>
          <ul className={classes.unjudged}>
            {notJudged.map(({ what, missing }) => (
              <li key={`${what} ${missing}`}>
                {unjudgedWords(what)}: {missing} missing.
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
});

const READING_WORDS: Partial<Record<NotJudged["what"], string>> = {
  densityGramsPerMl: "Density",
  waterActivity: "Water activity",
  phCorridor: "pH corridor",
  PH_OUTSIDE: "pH against the corridor",
  EYE_PH: "pH near the eye",
};

function unjudgedWords(what: NotJudged["what"]): string {
  const words = what.toLowerCase().replaceAll("_", " ");
  return READING_WORDS[what] ?? words.charAt(0).toUpperCase() + words.slice(1);
}

function FindingList({ numbered }: { readonly numbered: readonly Numbered[] }) {
  return (
    <ol className={classes.list}>
      {numbered.map(({ finding, number }) => (
        <li key={`${finding.code} ${finding.what}`} data-severity={finding.severity}>
          <FindingMark severity={finding.severity} number={number} />
          <div>
            <strong>{finding.what}</strong> {finding.why} <span className={classes.cure}>{finding.cure}</span>
            {finding.lines[0] !== undefined && <ToLine lineId={finding.lines[0]} />}
          </div>
        </li>
      ))}
    </ol>
  );
}

function ToLine({ lineId }: { readonly lineId: string }) {
  return (
    <>
      {" "}
      <a
        href={`#line-${lineId}`}
        onClick={(event) => {
          event.preventDefault();
          focusPercent(lineId);
        }}
      >
        To the line
      </a>
    </>
  );
}
