import { problemsFrom } from "../../frame/readForm.server";
import type { FieldProblem } from "../../frame/formAnswer";
import { wantedImport, type TypedImport } from "./importForm.server";
import { importList, previewList, type ListPreview } from "./importList.server";
import type { ImportKind } from "./importRow";
import { forgetProgress, noteProgress } from "../../frame/progress/progress.server";

type Taken = { readonly imported: ImportKind } | { readonly preview: ListPreview | null; readonly problems: readonly FieldProblem[] };

/** Reads a list and shows what it would bring, or brings the chosen rows in. What is wrong comes with what could be read. */
export async function takeList(typed: TypedImport): Promise<Taken> {
  let preview: ListPreview | null = null;
  const done = await problemsFrom(async (): Promise<Taken> => {
    const { content, kind, columns, chosen } = await wantedImport(typed);
    if (typed.intent !== "import" || kind === null || typeof content !== "string") {
      return { preview: await previewList(content, { kind, columns }), problems: [] };
    }
    preview = await previewList(content, { kind, columns });
    try {
      await importList(content, { kind, columns: columns ?? {}, chosen }, (now, total) => noteProgress(typed.job, { done: now, total }));
      return { imported: kind };
    } finally {
      forgetProgress(typed.job);
    }
  });
  return "length" in done ? { preview, problems: done } : done;
}
