import { Button } from "@mantine/core";
import { writtenMass, writtenShort } from "@tensidrum/core/quantities";
import { Form, Link, useNavigation } from "react-router";
import { Frame } from "../frame/Frame";
import { WashLine } from "../frame/washLine/WashLine";
import type { OpenBegin } from "./begin.server";
import { benchPegs } from "./benchPegs";
import classes from "./Bench.module.css";

interface BeginPageProps {
  readonly plan: OpenBegin;
  readonly problem: string | null;
}

/** Before the first weight: how much, from which lots, into which beakers, and what must be right. */
export function BeginPage({ plan, problem }: BeginPageProps) {
  const { name, number, items, lines, vessels, typed } = plan;
  const isBusy = useNavigation().state !== "idle";
  return (
    <Frame
      head={
        <>
          <h1 className={classes.head}>Before you begin</h1>
          <span className={classes.sub}>
            {name}, v{number}
          </span>
        </>
      }
      doors={<Link to={`/sheet/${plan.formulaId}/${number}`}>Back to the sheet</Link>}
      line={<WashLine pegs={benchPegs("before you begin")} />}
    >
      <title>{`Before you begin, ${name}`}</title>
      {(problem ?? plan.sizeProblem) !== null && (
        <p role="alert" className={classes.problem}>
          {problem ?? plan.sizeProblem}
        </p>
      )}
      <Form method="post" className={classes.begin} key={plan.id}>
        <input type="hidden" name="id" value={plan.id} />
        <section aria-labelledby="right-head">
          <h2 id="right-head">What must be right</h2>
          <ul className={classes.items}>
            {items.map(({ id, state, what, why }) => (
              <li key={id} data-state={state}>
                {state === "ask" ? (
                  <label>
                    <input type="checkbox" name="seen" value={id} defaultChecked={typed.seen.includes(id)} />
                    <span>
                      <strong>{what}</strong> {why}
                    </span>
                  </label>
                ) : (
                  <span>
                    <strong>
                      {state === "stop" ? "Stop. " : ""}
                      {what}
                    </strong>{" "}
                    {why}
                  </span>
                )}
              </li>
            ))}
          </ul>
          <Button type="submit" name="intent" value="begin" h={62} fz={19} loading={isBusy}>
            Begin the batch
          </Button>
        </section>
        <section aria-labelledby="lots-head">
          <h2 id="lots-head">How much, and from which lots</h2>
          <p className={classes.size}>
            <label>
              batch <input name="grams" defaultValue={plan.grams} inputMode="decimal" autoComplete="off" aria-label="Batch, g" /> g
            </label>
            <button type="submit" name="intent" value="look" disabled={isBusy}>
              Look again
            </button>
          </p>
          <table className={classes.list}>
            <thead>
              <tr>
                <th scope="col">line</th>
                <th scope="col">g</th>
                <th scope="col">from</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((line) => (
                <tr key={line.id}>
                  <th scope="row">{line.name}</th>
                  <td>{writtenShort(line.grams, 3)}</td>
                  <td>
                    {line.lots.length === 0 ? (
                      "no lot on the shelf"
                    ) : (
                      <select name={`lot-${line.id}`} defaultValue={line.wish} aria-label={`Lot for ${line.name}`}>
                        <option value="">
                          {line.from.length === 0
                            ? "as proposed"
                            : line.from.map(({ code, grams }) => `${code} ${writtenShort(grams, 2)} g`).join(", ")}
                        </option>
                        {line.lots.map((lot) => (
                          <option key={lot.id} value={lot.id}>
                            {lot.code}, {writtenMass(lot.freeGrams)} free
                          </option>
                        ))}
                        <option value="none">no lot of the shelf</option>
                      </select>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section aria-labelledby="beakers-head">
          <h2 id="beakers-head">Empty weights</h2>
          <p className={classes.sub}>Beaker with its stirrer; they cannot be taken afterwards.</p>
          {vessels.map(({ id, name: vessel }) => (
            <label key={id} className={classes.tare}>
              {vessel}
              <span>
                <input name={`tare-${id}`} defaultValue={typed.tares[id] ?? ""} inputMode="decimal" autoComplete="off" /> g
              </span>
            </label>
          ))}
        </section>
      </Form>
    </Frame>
  );
}
