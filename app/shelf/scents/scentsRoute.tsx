import { Button, TextInput } from "@mantine/core";
import { Form, Link, redirect, useActionData, useNavigation } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import shelf from "../Shelf.module.css";
import { shelfStations } from "../shelfStation";
import type { Route } from "./+types/scentsRoute";
import { newScentForm, scentsQuestions } from "./scentForms.server";
import { beginScent, openScents } from "./scents.server";
import classes from "./Scents.module.css";
import { FormError } from "../../components/FormError";

export const loader = answer(async ({ request }: Route.LoaderArgs) => ({
  ...(await openScents()),
  withOil: readQuestions(scentsQuestions, request).with,
}));

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(newScentForm, request, async (scent) => {
    const problems = await beginScent(scent);
    return problems.length > 0
      ? problems
      : redirect(`/scents/${scent.id}${scent.with === "" ? "" : `?with=${encodeURIComponent(scent.with)}`}`);
  }),
);

export default function ScentsRoute({ loaderData: { scents, newId, withOil } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  const isBusy = useNavigation().state !== "idle";
  return (
    <Frame head={<PageHeader>Scents</PageHeader>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>Scents, Tensidrum</title>
      <Form method="post" className={classes.begin} key={newId}>
        <input type="hidden" name="id" value={newId} />
        <input type="hidden" name="with" value={withOil} />
        <label htmlFor="scent-name">Begin a scent, called</label>
        <TextInput
          id="scent-name"
          name="name"
          maxLength={120}
          defaultValue={answered?.typed.name ?? ""}
          autoComplete="off"
          data-act="Begin a scent"
          data-key="n"
        />
        <Button type="submit" h={40} loading={isBusy}>
          Begin
        </Button>
        <FormError>{answered?.sentence}</FormError>
      </Form>
      {scents.length === 0 ? (
        <p className={shelf.empty}>
          No scent is being built. Count a few drops of two oils, smell it tomorrow, and change one of them in the next round.
        </p>
      ) : (
        <ul className={classes.list} aria-label="Scents">
          {scents.map(({ id, name, rounds, isKept }) => (
            <li key={id}>
              <Link to={`/scents/${id}`}>{name}</Link>
              <span>{rounds === 0 ? "no round yet" : rounds === 1 ? "1 round" : `${rounds} rounds`}</span>
              <span>{isKept && "kept as a material"}</span>
            </li>
          ))}
        </ul>
      )}
    </Frame>
  );
}
