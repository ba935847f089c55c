import { file, group, verbatim, type TypedOf } from "../../frame/fields.server";
import { MOST_CHARACTERS } from "./importFormula.server";

/** The form of an import: a file, or its text. */
export const importForm = group({ file: file(), text: verbatim(4 * MOST_CHARACTERS) });

/** The text of an import: the file where one was chosen, else what was pasted. A little more than is read is taken in. */
export async function textOfImport({ file: sent, text }: TypedOf<typeof importForm>): Promise<string> {
  if (sent === undefined) return text.slice(0, MOST_CHARACTERS + 1);
  return (await sent.slice(0, MOST_CHARACTERS * 4).text()).slice(0, MOST_CHARACTERS + 1);
}
