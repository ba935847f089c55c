import { NativeSelect, UnstyledButton } from "@mantine/core";
import type { ComparedLine } from "@tensidrum/core/assessment";
import { written, writtenPercent } from "@tensidrum/core/quantities";
import { Form, Link } from "react-router";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import classes from "./Difference.module.css";
import type { OpenedDifference } from "./openDifference.server";
import { readingWords } from "./readingWords";
import { WasNowTable, type WasNowRow } from "./WasNowTable";

/** Two versions side by side: only what differs, and what it did to each reading. */
export function Difference({ difference }: { readonly difference: OpenedDifference }) {
  const { formulaId, name, from, to, head, lines, lineCount, readings, findingsNew, findingsGone } = difference;
  const heads = { was: `v${from}`, now: `v${to}` };
  const isSame = head.length + lines.length === 0;
  return (
    <Frame
      head={
        <>
          <h1 className={classes.name}>{name}</h1>
          <span className={classes.what}>
            what differs, v{from} to v{to}
          </span>
        </>
      }
      doors={<Link to={`/sheet/${formulaId}`}>Back to the Sheet</Link>}
      line={
        <StationNav stations={stationsSeenFrom("sheet", { to: `/sheet/${formulaId}`, state: `v${from} and v${to}`, isAlarm: false })} />
      }
    >
      <title>{`${name}, v${from} and v${to}, Tensidrum`}</title>
      <Choice difference={difference} />
      {from === to && <p className={classes.sentence}>There is only this version. Set it, go on from it, and the two can be compared.</p>}
      {from !== to && isSame && <p className={classes.sentence}>The two are the same.</p>}
      {!isSame && (
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
            {lines.length > 1 && (
              <p className={classes.advice}>{lines.length} lines changed at once. One change per round tells which of them did it.</p>
            )}
            <WasNowTable caption="Effect" heads={{ what: "reading", ...heads }} rows={readings.filter(isSeen).map(readingRow)} />
            <FindingList title="New findings" findings={findingsNew} />
            <FindingList title="Findings that are gone" findings={findingsGone} />
          </div>
        </div>
      )}
    </Frame>
  );
}

function Choice({ difference }: { readonly difference: OpenedDifference }) {
  const { formulaId, versions, from, to } = difference;
  const options = versions.map(({ number, state }) => (
    <option key={number} value={number}>
      v{number}
      {state === "draft" ? ", draft" : ""}
    </option>
  ));
  return (
    <Form method="get" action={`/sheet/${formulaId}/difference`} className={classes.choice}>
      <NativeSelect label="from" name="from" defaultValue={from} key={`from ${from}`}>
        {options}
      </NativeSelect>
      <NativeSelect label="to" name="to" defaultValue={to} key={`to ${to}`}>
        {options}
      </NativeSelect>
      <UnstyledButton type="submit">Compare</UnstyledButton>
    </Form>
  );
}

function FindingList({ title, findings }: { readonly title: string; readonly findings: OpenedDifference["findingsNew"] }) {
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

function lineRow({ id, name, wasName, before, after }: OpenedDifference["lines"][number]): WasNowRow {
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

function headRow({ what, before, after }: OpenedDifference["head"][number]): WasNowRow {
  return { key: what, name: what, was: before === "" ? "nothing" : before, arrow: "→", now: after === "" ? "nothing" : after };
}

function readingRow({ reading, before, after }: OpenedDifference["readings"][number]): WasNowRow {
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
function isSeen({ reading, before, after }: OpenedDifference["readings"][number]): boolean {
  const { decimals } = readingWords[reading];
  return before === null || after === null || written(before, decimals) !== written(after, decimals);
}

function arrowOf(before: number | undefined, after: number | undefined): string {
  if (before === undefined || after === undefined || before === after) return "→";
  return after > before ? "↗" : "↘";
}
