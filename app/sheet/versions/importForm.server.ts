import { formOf } from "../../frame/readForm.server";
import { MOST_CHARACTERS } from "./importFormula.server";

/** The text of an import: the file where one was chosen, else what was pasted. A little more than is read is taken in. */
export async function textOfImport(request: Request): Promise<string> {
  const form = await formOf(request);
  const file = form.get("file");
  const pasted = form.get("text");
  if (file instanceof File && file.size > 0) return (await file.slice(0, MOST_CHARACTERS * 4).text()).slice(0, MOST_CHARACTERS + 1);
  return typeof pasted === "string" ? pasted.slice(0, MOST_CHARACTERS + 1) : "";
}
