import { memo } from "react";
import type { Finding, NotJudged, Severity } from "@tensidrum/core/findings";
import { FindingMark } from "../../components/FindingMark";
import { focusPercent } from "../lines/lineKeys";
import classes from "./Findings.module.css";

interface FindingsProps {
  readonly findings: readonly Finding[];
  readonly notJudged: readonly NotJudged[];
}

/** What is wrong or worth a thought, numbered as in the lines, the most urgent first. */
export const Findings = memo(function Findings({ findings, notJudged }: FindingsProps) {
  const count = (severity: Severity) => findings.filter((finding) => finding.severity === severity).length;
  return (
    <section className={classes.findings} aria-labelledby="findings-head">
      <h2 id="findings-head" className={classes.head}>
        Findings
        <span data-some={count("stop") > 0 || undefined}>{count("stop")} stop</span>
        <span data-some={count("fix") > 0 || undefined}>{count("fix")} fix</span>
        <span>{count("consider")} consider</span>
      </h2>
      {findings.length === 0 && <p className={classes.none}>Nothing found so far: sums, active matter, charges and weights.</p>}
      <ol className={classes.list}>
        {findings.map((finding, index) => (
          <li key={`${finding.code} ${finding.lines.join()}`} data-severity={finding.severity}>
            <FindingMark severity={finding.severity} number={index + 1} />
            <div>
              <strong>{finding.what}</strong> {finding.why} <span className={classes.cure}>{finding.cure}</span>
              {finding.lines[0] !== undefined && <ToLine lineId={finding.lines[0]} />}
            </div>
          </li>
        ))}
      </ol>
      {notJudged.map(({ what, missing }) => (
        <p key={what} className={classes.none}>
          Not judged: {what.toLowerCase().replaceAll("_", " ")}. Missing: {missing}.
        </p>
      ))}
    </section>
  );
});

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
