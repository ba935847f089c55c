import { Button, Textarea } from "@mantine/core";
import { Form, Link, redirect } from "react-router";
import { answer } from "../../frame/answer.server";
import { FormError } from "../../components/FormError";
import { FileDrop } from "../../components/FileDrop";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { Route } from "./+types/importRoute";
import classes from "./ImportPage.module.css";
import { importFormula } from "./importFormula.server";
import { takeForm } from "../../frame/readForm.server";
import { importForm, textOfImport } from "./importForm.server";
import { whatFormulaFileHolds } from "./whatFileHolds";

/** More than these are not listed. */
const MOST_FAULTS = 10;

export const loader = () => null;

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(importForm, request, async (typed) => {
    const { formulaId } = await importFormula(await textOfImport(typed));
    return redirect(`/sheet/${formulaId}`);
  }),
);

export default function ImportRoute({ actionData }: Route.ComponentProps) {
  return (
    <Frame
      head={<PageHeader>Import formula</PageHeader>}
      doors={<Link to="/">Back to Today</Link>}
      line={<StationNav stations={stationsSeenFrom("sheet", { to: "/import", state: "from a file", isAlarm: false })} />}
    >
      <title>Import formula, Tensidrum</title>
      <Form method="post" encType="multipart/form-data" className={classes.form}>
        <p className={classes.sentence}>
          A file in the format tensidrum-formula/1. Materials it brings along become materials of your own.
        </p>
        {actionData !== undefined && (
          <FormError>
            {actionData.sentence}
            {actionData.problems.length > 1 && (
              <ul>
                {actionData.problems.slice(1, MOST_FAULTS).map(({ field, message }) => (
                  <li key={`${field} ${message}`}>{message}</li>
                ))}
              </ul>
            )}
          </FormError>
        )}
        <FileDrop label="File" name="file" accept="application/json,.json" holds={whatFormulaFileHolds} />
        <Textarea label="or its text" name="text" rows={14} spellCheck={false} defaultValue={actionData?.typed.text ?? ""} />
        <Button type="submit" h={40}>
          Import
        </Button>
      </Form>
    </Frame>
  );
}
