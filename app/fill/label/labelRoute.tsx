import { data } from "react-router";
import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/labelRoute";
import { readBatch, readLabelQuestions, readSentLabel } from "./labelForms.server";
import { LabelPage } from "./LabelPage";
import { keepLabel, openLabel } from "./label.server";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openLabel(readBatch(params.batch), readLabelQuestions(request)),
);

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const { row, design } = await readSentLabel(request);
  const problem = await keepLabel(readBatch(params.batch), row, design);
  return data({ problem }, { status: problem === null ? 200 : 422 });
});

export default function LabelRoute({ loaderData }: Route.ComponentProps) {
  return <LabelPage key={`${loaderData.row} ${JSON.stringify(loaderData.design.boxes.length)}`} open={loaderData} />;
}
