import { Button } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { useRef } from "react";
import { Form, Link } from "react-router";
import { FindingMark } from "../components/FindingMark";
import { Frame } from "../frame/Frame";
import { pegsSeenFrom } from "../frame/washLine/pegs";
import type { TodayBoard } from "./today.server";
import classes from "./Today.module.css";

/** The home board: the day, and every formula with what must be mended in it. */
export function Today({ board }: { readonly board: TodayBoard }) {
  const { formulas, total, page, pages } = board;
  const stops = formulas.reduce((sum, { counts }) => sum + counts.stops, 0);
  const fixes = formulas.reduce((sum, { counts }) => sum + counts.fixes, 0);
  const first = formulas[0];
  return (
    <Frame
      head={<h1 className={classes.head}>Today</h1>}
      doors={<NewFormula ids={board.newIds} />}
      pegs={pegsSeenFrom(null, {
        to: first === undefined ? null : `/sheet/${first.id}`,
        state: sheetWords({ total, stops, fixes }),
        isAlarm: stops + fixes > 0,
      })}
    >
      <title>Today, Tensidrum</title>
      <div className={classes.board}>
        <p className={classes.date}>
          <span className={classes.day}>{board.day}</span>
          <span>
            <span className={classes.weekday}>{board.weekday}</span>
            <span className={classes.month}>{board.month}</span>
          </span>
        </p>
        <section className={classes.due} aria-label="What needs a hand">
          {total === 0 ? <p className={classes.nothing}>Nothing rests, nothing is due.</p> : <DueList formulas={formulas} />}
        </section>
      </div>
      {total === 0 ? (
        <Empty ids={board.newIds} />
      ) : (
        <ul className={classes.formulas} aria-label="Formulas">
          {formulas.map((formula) => (
            <FormulaRow key={formula.id} formula={formula} />
          ))}
        </ul>
      )}
      {pages > 1 && (
        <nav className={classes.pages} aria-label="Pages of formulas">
          {page > 1 && <Link to={`/?page=${page - 1}`}>Newer</Link>}
          <span>
            page {page} of {pages}, {total} formulas
          </span>
          {page < pages && <Link to={`/?page=${page + 1}`}>Older</Link>}
        </nav>
      )}
    </Frame>
  );
}

function sheetWords({ total, stops, fixes }: { readonly total: number; readonly stops: number; readonly fixes: number }): string {
  if (total === 0) return "nothing in it yet";
  if (stops > 0) return `${stops} to stop for`;
  if (fixes > 0) return `${fixes} to fix`;
  return total === 1 ? "1 formula" : `${total} formulas`;
}

type BoardFormula = TodayBoard["formulas"][number];

const MOST_DUE = 4;

/** The most urgent finding of each formula that has one to stop or fix. */
function DueList({ formulas }: { readonly formulas: readonly BoardFormula[] }) {
  const due = formulas.filter(({ counts }) => counts.stops + counts.fixes > 0);
  const words = { stop: "stop", fix: "fix", consider: "consider" } as const;
  if (due.length === 0) return <p className={classes.nothing}>Nothing to mend in any sheet.</p>;
  return (
    <ol className={classes.dueList}>
      {due.slice(0, MOST_DUE).map(({ id, name, findings }) => (
        <li key={id}>
          <span className={classes.urgency} data-severity={findings[0]?.severity}>
            {findings[0] === undefined ? "" : words[findings[0].severity]}
          </span>
          <span>
            <Link to={`/sheet/${id}`}>{name}</Link> <strong>{findings[0]?.what}</strong> {findings[0]?.cure}
          </span>
        </li>
      ))}
    </ol>
  );
}

function FormulaRow({ formula }: { readonly formula: BoardFormula }) {
  const { counts, findings } = formula;
  const hidden = counts.stops + counts.fixes + counts.considers - findings.length;
  return (
    <li className={classes.formula}>
      <div>
        <h2 className={classes.name}>
          <Link to={`/sheet/${formula.id}`}>{formula.name}</Link>
        </h2>
        <p className={classes.state}>
          v{formula.number}, {formula.isDraft ? "draft" : "set"} · {formula.profile}
        </p>
        <p className={classes.state}>
          {formula.lineCount} lines · batch {formula.batch} · {formula.changed}
        </p>
      </div>
      <p className={classes.active}>
        <span className={classes.number}>{written(formula.activePercent, 2)}</span>
        <span>% active, window {formula.window}</span>
      </p>
      <div className={classes.findings}>
        {findings.length === 0 && <p className={classes.fine}>In its window, nothing to mend. Next: weigh it.</p>}
        {findings.map((finding, index) => (
          <p key={`${finding.code} ${finding.what}`}>
            <FindingMark severity={finding.severity} number={index + 1} /> <span>{finding.what}</span>
          </p>
        ))}
        {hidden > 0 && <p className={classes.more}>and {hidden} more</p>}
        <p className={classes.doors}>
          <Link to={`/weighing/${formula.id}/${formula.number}`}>Weighing sheet</Link>
        </p>
      </div>
    </li>
  );
}

function Empty({ ids }: { readonly ids: TodayBoard["newIds"] }) {
  return (
    <section className={classes.empty}>
      <p>Begin with a formula: its cleansers first, then what thickens, cares and keeps. Water takes the rest.</p>
      <NewFormula ids={ids} />
    </section>
  );
}

/** Begins a formula. The browser makes the identifiers; without scripts those of the page stand. */
function NewFormula({ ids }: { readonly ids: TodayBoard["newIds"] }) {
  const form = useRef<HTMLFormElement>(null);
  const renew = () => {
    for (const field of form.current?.querySelectorAll<HTMLInputElement>("input[type=hidden]") ?? []) field.value = crypto.randomUUID();
  };
  return (
    <Form method="post" action="/sheet" ref={form} onSubmit={renew}>
      {Object.entries(ids).map(([name, value]) => (
        <input key={name} type="hidden" name={name} defaultValue={value} />
      ))}
      <Button type="submit" h={36}>
        New formula
      </Button>
    </Form>
  );
}
