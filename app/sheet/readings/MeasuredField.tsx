import { TextInput } from "@mantine/core";
import { useSheet } from "../SheetState";
import type { TypedMeasured } from "../typed/typedSheet";
import classes from "./MeasuredField.module.css";

const FIELDS: Readonly<Record<keyof TypedMeasured, { readonly name: string; readonly words: string; readonly unit: string }>> = {
  ph: { name: "measured.ph", words: "measured pH", unit: "" },
  density: { name: "measured.density", words: "measured", unit: "g/mL" },
};

/** What was measured on the product; it stands above what is computed. */
export function MeasuredField({ of }: { readonly of: keyof TypedMeasured }) {
  const { editor, isDraft, problems } = useSheet();
  const { name, words, unit } = FIELDS[of];
  const problem = problems.find(({ field }) => field === name)?.message;
  return (
    <label className={classes.field}>
      {words}
      <TextInput
        name={name}
        value={editor.typed.measured[of]}
        readOnly={!isDraft}
        inputMode="decimal"
        autoComplete="off"
        placeholder="none"
        aria-label={of === "ph" ? "Measured pH" : "Measured density, g/mL"}
        {...(problem === undefined ? {} : { "aria-invalid": true, "aria-describedby": `problem-${name}` })}
        onChange={(event) => editor.measured(of, event.currentTarget.value)}
      />
      {unit}
      {problem !== undefined && <span id={`problem-${name}`}>{problem}</span>}
    </label>
  );
}
