import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formAnswer } from "../../frame/formAnswer";
import { formOf, readForm } from "../../frame/readForm.server";
import type { Route } from "./+types/importRoute";
import { importForm } from "./importForm.server";
import { ImportPage } from "./ImportPage";
import { takeList } from "./takeList.server";

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const { typed, problems } = readForm(importForm, await formOf(request));
  const taken = problems.length > 0 ? { preview: null, problems } : await takeList(typed);
  if ("imported" in taken) return redirect(taken.imported === "materials" ? "/shelf?where=library" : "/shelf");
  const told = formAnswer({ text: typed.file === undefined ? typed.text : "" }, taken.problems);
  return data({ preview: taken.preview, ...told }, { status: taken.problems.length > 0 ? 422 : 200 });
});

export default function ImportRoute() {
  const answered = useActionData<typeof action>();
  return <ImportPage preview={answered?.preview ?? null} answered={answered ?? null} />;
}
