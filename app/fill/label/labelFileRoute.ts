import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/labelFileRoute";
import { labelFile } from "./labelFile.server";
import { readBatch, readLabelQuestions } from "./labelForms.server";

/** A label as a file: by the end of its address. */
export const loader = answer(async ({ params, request }: Route.LoaderArgs) => {
  const { pathname } = new URL(request.url);
  const kind = (["pdf", "svg"] as const).find((one) => pathname.endsWith(`.${one}`)) ?? "json";
  return labelFile(readBatch(params.batch), kind, readLabelQuestions(request));
});
