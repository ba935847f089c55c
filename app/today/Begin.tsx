import { Button } from "@mantine/core";
import { useRef } from "react";
import { Form, Link, useNavigation } from "react-router";
import type { TodayBoard } from "./today.server";
import classes from "./Today.module.css";

/** Where nothing is yet: a formula, a first batch, the demo, or what one has. */
export function Empty({ ids }: { readonly ids: TodayBoard["newIds"] }) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <section className={classes.empty}>
      <p>Begin with a formula: surfactants first, then thickener, care and preservative. Water is q.s. to 100 %.</p>
      <NewFormula ids={ids} />
      <h2 className={classes.another}>Or begin another way</h2>
      <ul className={classes.ways}>
        <li>
          <strong>Make a first batch</strong>
          <p>200 g of a mild hand wash, step by step to its record. Simulated instruments weigh and read where you have none.</p>
          <Form method="post" action="/?index">
            <Button type="submit" name="intent" value="first" h={44} loading={isBusy}>
              Make 200 g of hand wash
            </Button>
          </Form>
        </li>
        <li>
          <strong>Look around in the demo</strong>
          <p>The workshop of a lakeside theatre in mid-season: formulas, batches, samples. It lies beside your own.</p>
          <Form method="post" action="/?index">
            <Button type="submit" name="intent" value="demo" h={44} variant="outline" loading={isBusy}>
              Lay in the demo
            </Button>
          </Form>
        </li>
        <li>
          <strong>Bring what you have</strong>
          <p>A formula as a file, a recipe as text, lots as a table, or a backup of another machine.</p>
          <p className={classes.wayDoors}>
            <Link to="/import">Import formula</Link>
            <Link to="/shelf/import">Import lots</Link>
            <Link to="/settings/backups">Backups</Link>
          </p>
        </li>
      </ul>
      <Link to="/help/first-batch">How a first batch goes</Link>
    </section>
  );
}

/** Begins a formula. The browser makes the identifiers; without scripts those of the page stand. */
export function NewFormula({ ids }: { readonly ids: TodayBoard["newIds"] }) {
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
