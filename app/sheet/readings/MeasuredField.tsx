import { TextInput } from "@mantine/core";
import { memo } from "react";
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
  const problem = problems.find(({ field }) => field === FIELDS[of].name)?.message;
  return <Measured of={of} value={editor.typed.measured[of]} isDraft={isDraft} problem={problem} onType={editor.measured} />;
}

interface MeasuredProps {
  readonly of: keyof TypedMeasured;
  readonly value: string;
  readonly isDraft: boolean;
  readonly problem: string | undefined;
  readonly onType: (of: keyof TypedMeasured, text: string) => void;
}

const Measured = memo(function Measured({ of, value, isDraft, problem, onType }: MeasuredProps) {
  const { name, words, unit } = FIELDS[of];
  return (
    <label className={classes.field}>
      {words}
      <TextInput
        name={name}
        value={value}
        readOnly={!isDraft}
        inputMode="decimal"
        autoComplete="off"
        placeholder="none"
        aria-label={of === "ph" ? "Measured pH" : "Measured density, g/mL"}
        {...(problem === undefined ? {} : { "aria-invalid": true, "aria-describedby": `problem-${name}` })}
        onChange={(event) => onType(of, event.currentTarget.value)}
      />
      {unit}
      {problem !== undefined && <span id={`problem-${name}`}>{problem}</span>}
    </label>
  );
});
