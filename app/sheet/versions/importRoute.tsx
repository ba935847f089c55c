import { Button, Textarea } from "@mantine/core";
import { Refusal } from "@tensidrum/core/quantities";
import { data, Form, Link, redirect } from "react-router";
import { answer } from "../../frame/answer.server";
import { FormError } from "../../components/FormError";
import { FileDrop } from "../../components/FileDrop";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { Route } from "./+types/importRoute";
import classes from "./ImportPage.module.css";
import { importFormula } from "./importFormula.server";
import { textOfImport } from "./importForm.server";
import { whatFormulaFileHolds } from "./whatFileHolds";

export const loader = () => null;

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const text = await textOfImport(request);
  try {
    const { formulaId } = await importFormula(text);
    return redirect(`/sheet/${formulaId}`);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const { message, remedy, faults } = error;
    return data({ text, message, remedy, faults: faults.map((fault) => fault.message) }, { status: 422 });
  }
});

export default function ImportRoute({ actionData }: Route.ComponentProps) {
  return (
    <Frame
      head={<h1 className={classes.head}>Import formula</h1>}
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
            <strong>{actionData.message}</strong> {actionData.remedy}
            {actionData.faults.length > 1 && (
              <ul>
                {actionData.faults.slice(1, 10).map((fault) => (
                  <li key={fault}>{fault}</li>
                ))}
              </ul>
            )}
          </FormError>
        )}
        <FileDrop label="File" name="file" accept="application/json,.json" holds={whatFormulaFileHolds} />
        <Textarea label="or its text" name="text" rows={14} spellCheck={false} defaultValue={actionData?.text ?? ""} />
        <Button type="submit" h={40}>
          Import
        </Button>
      </Form>
    </Frame>
  );
}
