import { Refusal } from "@tensidrum/core/quantities";
import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import type { Route } from "./+types/importRoute";
import { readImportForm } from "./importForm.server";
import { importList, previewList } from "./importList.server";
import { ImportPage } from "./ImportPage";
import { forgetProgress, noteProgress } from "./progress.server";

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const form = await formOf(request);
  let pasted = String(form.get("text") ?? "");
  try {
    const { intent, content, kind, columns, chosen, job } = await readImportForm(form);
    if (typeof content !== "string") pasted = "";
    if (intent !== "import" || kind === null || typeof content !== "string") {
      return data({ preview: await previewList(content, { kind, columns }), problem: null, text: pasted });
    }
    try {
      await importList(content, { kind, columns: columns ?? {}, chosen }, (done, total) => noteProgress(job, { done, total }));
      return redirect(kind === "materials" ? "/shelf?where=library" : "/shelf");
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      const preview = await previewList(content, { kind, columns });
      return data({ preview, problem: `${error.message} ${error.remedy}`, text: pasted }, { status: 422 });
    } finally {
      forgetProgress(job);
    }
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return data({ preview: null, problem: `${error.message} ${error.remedy}`, text: pasted }, { status: 422 });
  }
});

export default function ImportRoute() {
  const answered = useActionData<typeof action>();
  return <ImportPage preview={answered?.preview ?? null} problem={answered?.problem ?? null} text={answered?.text ?? ""} />;
}
