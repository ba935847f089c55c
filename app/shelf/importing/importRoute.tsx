import { Refusal } from "@tensidrum/core/formula";
import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/importRoute";
import { readImportForm } from "./importForm.server";
import { importLots, previewLots } from "./importLots.server";
import { ImportPage } from "./ImportPage";

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const { intent, content, columns, chosen } = await readImportForm(await request.formData());
  const text = typeof content === "string" ? content : "";
  try {
    if (intent !== "import" || columns === null) return data({ preview: await previewLots(content, columns), problem: null, text });
    await importLots(text, columns, chosen);
    return redirect("/shelf");
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const preview = intent === "import" ? await previewLots(content, columns) : null;
    return data({ preview, problem: `${error.message} ${error.remedy}`, text }, { status: 422 });
  }
});

export default function ImportRoute() {
  const answered = useActionData<typeof action>();
  return <ImportPage preview={answered?.preview ?? null} problem={answered?.problem ?? null} text={answered?.text ?? ""} />;
}
