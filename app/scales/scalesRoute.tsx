import { Button } from "@mantine/core";
import { useState } from "react";
import { data, Form, redirect, useActionData, useNavigation } from "react-router";
import { answer } from "../frame/answer.server";
import { Frame } from "../frame/Frame";
import { pegsSeenFrom } from "../frame/washLine/pegs";
import { WashLine } from "../frame/washLine/WashLine";
import type { Route } from "./+types/scalesRoute";
import { openScales, readScalesForm, saveScales } from "./scales.server";
import classes from "./scales.module.css";

export const loader = answer(async (_: Route.LoaderArgs) => ({ scales: await openScales(), blankId: crypto.randomUUID() }));

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const typed = readScalesForm(await request.formData());
  const problems = await saveScales(typed);
  return problems.length > 0 ? data({ problems, typed }, { status: 422 }) : redirect("/scales");
});

export default function ScalesRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  const isBusy = useNavigation().state !== "idle";
  const [added, setAdded] = useState<readonly string[]>([]);
  const stored = answered?.typed ?? loaderData.scales;
  const blank = (id: string) => ({ id, name: "", readability: "", capacity: "" });
  const rows = [...stored, blank(loaderData.blankId), ...added.map(blank)];
  const problemAt = (row: number, field: string) =>
    answered?.problems.find((problem) => problem.row === row && problem.field === field)?.message;
  return (
    <Frame
      head={<span className={classes.head}>Your scales</span>}
      line={<WashLine pegs={pegsSeenFrom(null, { to: "/", state: "from Today", isAlarm: false })} />}
    >
      <title>Your scales, Tensidrum</title>
      <Form method="post" className={classes.form} key={JSON.stringify(loaderData.scales)}>
        <p className={classes.why}>
          Every line is weighed on the finest scale that carries it, and rounded to what that scale shows. Below 20 of its smallest steps
          rounding alone costs over 2.5 %, and the Sheet offers a cure.
        </p>
        <table className={classes.table}>
          <thead>
            <tr>
              <th scope="col">name</th>
              <th scope="col">smallest step, g</th>
              <th scope="col">carries, g</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((scale, row) => (
              <tr key={scale.id}>
                {(["name", "readability", "capacity"] as const).map((field) => (
                  <td key={field}>
                    {field === "name" && <input type="hidden" name="id" value={scale.id} />}
                    <input
                      name={field}
                      defaultValue={scale[field]}
                      inputMode={field === "name" ? "text" : "decimal"}
                      autoComplete="off"
                      aria-label={`${field === "name" ? "Name" : field === "readability" ? "Smallest step in grams" : "Most it carries in grams"}, scale ${row + 1}`}
                      aria-invalid={problemAt(row, field) !== undefined || undefined}
                    />
                    {problemAt(row, field) !== undefined && <span className={classes.problem}>{problemAt(row, field)}</span>}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <p className={classes.hint}>Empty a row to take that scale out.</p>
        <div className={classes.doors}>
          <Button type="submit" h={36} loading={isBusy}>
            Save the scales
          </Button>
          <button type="button" className={classes.more} onClick={() => setAdded([...added, crypto.randomUUID()])}>
            One more row
          </button>
        </div>
      </Form>
    </Frame>
  );
}
