import { TextInput, type TextInputProps } from "@mantine/core";

interface NumberFieldProps extends TextInputProps {
  /** Unit of what is typed, shown in the field. */
  readonly unit?: string;
}

/** Width of the unit by its letters, rem. */
const WIDTH_OF_UNIT = { least: 1.75, perLetter: 0.6 };

/** A number as the maker types it, with its unit in the field: "1,2", "84". What it means is read on the server. */
export function NumberField({ unit, ...field }: NumberFieldProps) {
  const width = unit === undefined ? undefined : Math.max(WIDTH_OF_UNIT.least, 0.75 + WIDTH_OF_UNIT.perLetter * unit.length);
  return (
    <TextInput
      inputMode="decimal"
      autoComplete="off"
      {...(unit === undefined ? {} : { rightSection: unit, rightSectionWidth: `${width}rem`, rightSectionPointerEvents: "none" as const })}
      {...field}
    />
  );
}
