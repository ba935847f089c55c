import type { ComparedLine } from "@tensidrum/core/formula";
import { written, writtenPercent } from "@tensidrum/core/quantities";
import { Form, Link } from "react-router";
import { Frame } from "../../frame/Frame";
import { pegsSeenFrom } from "../../frame/washLine/pegs";
import { WashLine } from "../../frame/washLine/WashLine";
import classes from "./Difference.module.css";
import type { OpenedDifference } from "./openDifference.server";
import { readingWords } from "./readingWords";

/** Two versions side by side: only what differs, and what it did to each reading. */
export function Difference({ difference }: { readonly difference: OpenedDifference }) {
  const { formulaId, name, from, to, head, lines, lineCount, readings, findingsNew, findingsGone } = difference;
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
      line={<WashLine pegs={pegsSeenFrom("sheet", { to: `/sheet/${formulaId}`, state: `v${from} and v${to}`, isAlarm: false })} />}
    >
      <title>{`${name}, v${from} and v${to}, Tensidrum`}</title>
      <Choice difference={difference} />
      {from === to && <p className={classes.sentence}>There is only this version. Set it, go on from it, and the two can be compared.</p>}
      {from !== to && isSame && <p className={classes.sentence}>The two are the same.</p>}
      {!isSame && (
        <div className={classes.columns}>
          <div>
            {lines.length > 0 && (
              <table className={classes.table}>
                <caption>
                  {lines.length} of {lineCount} lines differ
                </caption>
                <thead>
                  <tr>
                    <th scope="col">material</th>
                    <th scope="col">v{from}</th>
                    <th scope="col" aria-label="change" />
                    <th scope="col">v{to}</th>
                  </tr>
                </thead>
                <tbody>
                  {lines.map((line) => (
                    <tr key={line.id}>
                      <th scope="row">
                        {line.name}
                        {line.wasName !== null && <small> was {line.wasName}</small>}
                        <small>{otherChange(line.before, line.after)}</small>
                      </th>
                      <td>{shareWords(line.before)}</td>
                      <td className={classes.arrow}>{arrowOf(line.before?.percent, line.after?.percent)}</td>
                      <td className={classes.now}>{shareWords(line.after)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            {head.length > 0 && (
              <table className={classes.table}>
                <caption>The aim and the sheet</caption>
                <tbody>
                  {head.map(({ what, before, after }) => (
                    <tr key={what}>
                      <th scope="row">{what}</th>
                      <td>{before === "" ? "nothing" : before}</td>
                      <td className={classes.arrow}>→</td>
                      <td className={classes.now}>{after === "" ? "nothing" : after}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </div>
          <div>
            {lines.length > 1 && (
              <p className={classes.advice}>{lines.length} lines changed at once. One change per round tells which of them did it.</p>
            )}
            <table className={classes.table}>
              <caption>What it did</caption>
              <thead>
                <tr>
                  <th scope="col">reading</th>
                  <th scope="col">v{from}</th>
                  <th scope="col" aria-label="change" />
                  <th scope="col">v{to}</th>
                </tr>
              </thead>
              <tbody>
                {readings.filter(isSeen).map(({ reading, before, after }) => {
                  const { name: words, unit, decimals, isEstimate } = readingWords[reading];
                  const shown = (value: number | null) =>
                    value === null ? "not known" : `${written(value, decimals)}${unit === "" ? "" : ` ${unit}`}`;
                  return (
                    <tr key={reading}>
                      <th scope="row">
                        {words} {isEstimate === true && <small className={classes.estimate}>estimate</small>}
                      </th>
                      <td>{shown(before)}</td>
                      <td className={classes.arrow}>{arrowOf(before ?? undefined, after ?? undefined)}</td>
                      <td className={classes.now}>{shown(after)}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
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
      <label>
        from{" "}
        <select name="from" defaultValue={from} key={`from ${from}`}>
          {options}
        </select>
      </label>
      <label>
        to{" "}
        <select name="to" defaultValue={to} key={`to ${to}`}>
          {options}
        </select>
      </label>
      <button type="submit">Compare</button>
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

function shareWords(line: ComparedLine | null): string {
  if (line === null) return "not there";
  return `${writtenPercent(line.percent)} %${line.takesTheRest ? ", the rest" : ""}`;
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
