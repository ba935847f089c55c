import { data } from "react-router";
import { answer } from "../../frame/answer.server";
import { readBatchId } from "../forms.server";
import type { Route } from "./+types/photosRoute";
import { keepPhoto } from "./photos.server";

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const problem = await keepPhoto(readBatchId(params.batch), request);
  return data({ problem }, { status: problem === null ? 200 : 422 });
});
