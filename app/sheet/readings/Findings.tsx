import { acknowledges, type WordedFinding } from "@tensidrum/core/assessment";
import type { WordedNotJudged } from "@tensidrum/core/assessment";
import { thingsToConsider, WEAR_CODES, type Severity } from "@tensidrum/core/findings";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { memo, type ReactNode } from "react";
import { FindingMark } from "../../components/FindingMark";
import { Fold } from "../../components/Fold";
import { focusPercent } from "../lines/lineKeys";
import { AcknowledgeFinding, type Acknowledged } from "./AcknowledgeFinding";
import { ApplyCure } from "./ApplyCure";
import classes from "./Findings.module.css";
import { PlanSolution } from "./PlanSolution";

interface FindingsProps {
  readonly formulaId: string;
  readonly isDraft: boolean;
  readonly findings: readonly WordedFinding[];
  readonly notJudged: readonly WordedNotJudged[];
  readonly acknowledgements: readonly Acknowledged[];
  readonly materials: MaterialsBySlug;
}

interface Numbered {
  readonly finding: WordedFinding;
  readonly number: number;
  readonly acknowledged: Acknowledged | undefined;
}

/**
 * What is wrong or worth a thought, numbered as in the lines, the most urgent first. What is only to know, and what has
 * been acknowledged, stands folded; a stop never does.
 */
export const Findings = memo(function Findings({ formulaId, isDraft, findings, notJudged, acknowledgements, materials }: FindingsProps) {
  const numbered = findings.map((finding, index): Numbered => ({
    finding,
    number: index + 1,
    acknowledged: acknowledgements.find((one) => acknowledges(one, finding, materials)),
  }));
  const isAcknowledged = ({ finding, acknowledged }: Numbered): boolean => acknowledged !== undefined && finding.severity !== "stop";
  const open = numbered.filter((one) => !isAcknowledged(one));
  const urgent = open.filter(({ finding }) => finding.severity !== "consider");
  const toKnow = open.filter(({ finding }) => finding.severity === "consider");
  const settled = numbered.filter(isAcknowledged);
  const count = (severity: Severity) => open.filter(({ finding }) => finding.severity === severity).length;
  const list = (some: readonly Numbered[]) => <FindingList numbered={some} formulaId={formulaId} isDraft={isDraft} />;
  const isWear = ({ finding }: Numbered): boolean => WEAR_CODES.has(finding.code);
  const wear = toKnow.filter(isWear);
  const considered = thingsToConsider(toKnow.map(({ finding }) => finding));
  return (
    <section className={classes.findings} aria-labelledby="findings-head">
      <h2 id="findings-head" className={classes.head}>
        Findings
        <span data-some={count("stop") > 0 || undefined}>{count("stop")} stop</span>
        <span data-some={count("fix") > 0 || undefined}>{count("fix")} fix</span>
        <span>{considered} consider</span>
      </h2>
      {urgent.length === 0 && <p className={classes.none}>No issues.</p>}
      {list(urgent)}
      <FoldedPart title="To consider" count={considered}>
        {list(toKnow.filter((one) => !isWear(one)))}
        {wear.length > 0 && (
          <Fold className={classes.rows} summary={wearWords(wear.map(({ finding }) => finding))}>
            {list(wear)}
          </Fold>
        )}
      </FoldedPart>
      <FoldedPart title="Acknowledged" count={settled.length}>
        {list(settled)}
      </FoldedPart>
      <FoldedPart title="Not judged" count={notJudged.length}>
        <ul className={classes.unjudged}>
          {notJudged.map(({ what, missing }) => (
            <li key={`${what} ${missing}`}>
              {unjudgedWords(what)}: {missing} missing.
            </li>
          ))}
        </ul>
      </FoldedPart>
    </section>
  );
});

/** A part of the list that stands folded, where it holds anything. */
function FoldedPart({ title, count, children }: { readonly title: string; readonly count: number; readonly children: ReactNode }) {
  if (count === 0) return null;
  return (
    <Fold className={classes.fold} summary={`${title} (${count})`}>
      {children}
    </Fold>
  );
}

const READING_WORDS: Partial<Record<WordedNotJudged["what"], string>> = {
  densityGramsPerMl: "Density",
  waterActivity: "Water activity",
  phCorridor: "pH corridor",
  PH_OUTSIDE: "pH against the corridor",
  EYE_PH: "pH near the eye",
};

function unjudgedWords(what: WordedNotJudged["what"]): string {
  const words = what.toLowerCase().replaceAll("_", " ");
  return READING_WORDS[what] ?? words.charAt(0).toUpperCase() + words.slice(1);
}

function FindingList({
  numbered,
  formulaId,
  isDraft,
}: {
  readonly numbered: readonly Numbered[];
  readonly formulaId: string;
  readonly isDraft: boolean;
}) {
  return (
    <ol className={classes.list}>
      {numbered.map((one, at) => (
        <FindingItem key={`${one.finding.code} ${at}`} {...one} formulaId={formulaId} isDraft={isDraft} />
      ))}
    </ol>
  );
}

interface FindingItemProps extends Numbered {
  readonly formulaId: string;
  readonly isDraft: boolean;
}

/** One finding; draws again only when it says something else. */
const FindingItem = memo(function FindingItem({ finding, number, acknowledged, formulaId, isDraft }: FindingItemProps) {
  return (
    <li data-severity={finding.severity}>
      <FindingMark severity={finding.severity} number={number} />
      <div>
        <strong>{finding.what}</strong> {finding.why} <span className={classes.cure}>{finding.cure}</span>{" "}
        {finding.rows !== undefined && <FindingRows rows={finding.rows} />}
        {isDraft && finding.change !== undefined && <ApplyCure change={finding.change} />}
        {finding.lines[0] !== undefined && finding.code === "TOO_SMALL_TO_WEIGH" && <PlanSolution lineId={finding.lines[0]} />}
        {finding.lines[0] !== undefined && <ToLine lineId={finding.lines[0]} />}
        <AcknowledgeFinding formulaId={formulaId} finding={finding} acknowledged={acknowledged} />
      </div>
    </li>
  );
}, isSameItem);

/** What a finding says of each material it speaks of. */
function FindingRows({ rows }: { readonly rows: NonNullable<WordedFinding["rows"]> }) {
  return (
    <Fold className={classes.rows} summary="Material by material">
      <dl>
        {rows.map(({ name, says }) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </Fold>
  );
}

const WEAR_THINGS: readonly (readonly [thing: string, codes: readonly WordedFinding["code"][]])[] = [
  ["goggles", ["EYE_IRRITANT", "CORROSIVE"]],
  ["gloves", ["CORROSIVE"]],
  ["dust mask", ["DUST"]],
];

/** What to wear while weighing, in one line. */
function wearWords(findings: readonly WordedFinding[]): string {
  const words = WEAR_THINGS.filter(([, codes]) => findings.some(({ code }) => codes.includes(code)))
    .map(([thing]) => thing)
    .join(", ");
  const lines = new Set(findings.flatMap((finding) => finding.lines)).size;
  return `${words.charAt(0).toUpperCase()}${words.slice(1)} while weighing: ${lines} ${lines === 1 ? "material" : "materials"}`;
}

function isSameItem(a: FindingItemProps, b: FindingItemProps): boolean {
  return (
    a.number === b.number &&
    a.acknowledged === b.acknowledged &&
    a.formulaId === b.formulaId &&
    a.isDraft === b.isDraft &&
    a.finding.what === b.finding.what &&
    a.finding.cure === b.finding.cure &&
    JSON.stringify(a.finding) === JSON.stringify(b.finding)
  );
}

function ToLine({ lineId }: { readonly lineId: string }) {
  return (
    <>
      {" "}
      <a
        href={`#line-${lineId}`}
        data-act="To the line of a finding"
        data-key="f"
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
