import { UnstyledButton } from "@mantine/core";
import type { SheetAnswer } from "../sheetAnswer";
import { sheetFormData } from "../sheetFormData";

type Away = Extract<SheetAnswer, { kind: "away" }>;

/** What was typed, held in the problem page itself, so that a page without scripts loses nothing either. */
export function KeptForm({ formulaId, sent }: { readonly formulaId: string | undefined; readonly sent: Away }) {
  if (sent.typed === undefined || sent.base === undefined) return null;
  const fields = [...sheetFormData(sent.typed, sent.base, "save")].filter(([, value]) => typeof value === "string");
  return (
    <form method="post" action={`/sheet/${formulaId}`}>
      {fields.map(([name, value], index) => (
        <input key={index} type="hidden" name={name} value={value as string} />
      ))}
      <p>
        <UnstyledButton type="submit">Save what I typed</UnstyledButton> once the database is back. This page holds it until then.
      </p>
    </form>
  );
}
