import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/labelFileRoute";
import { labelFile } from "./labelFile.server";
import { readBatch, readLabelQuestions } from "./labelForms.server";

/** A label as a file: by the end of its address. */
export const loader = answer(async ({ params, request }: Route.LoaderArgs) => {
  const kind = new URL(request.url).pathname.endsWith(".pdf") ? "pdf" : "json";
  return labelFile(readBatch(params.batch), kind, readLabelQuestions(request));
});
