import { readNumber } from "@tensidrum/core/quantities";
import { useState } from "react";
import { NumberField } from "../../components/NumberField";

interface WholeNumberProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly least?: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
}

/** A number that counts once it can be one; while it cannot it is told, and the label stays as it was. */
export function WholeNumber({ label, unit, value, least = 1, most, onChange }: WholeNumberProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const read = readNumber(typed ?? String(value));
  const isRight = read.ok && read.value >= least && read.value <= most;
  return (
    <NumberField
      label={label}
      unit={unit}
      w={104}
      value={typed ?? String(value)}
      error={isRight ? undefined : `${least} to ${most}`}
      onChange={({ currentTarget }) => {
        setTyped(currentTarget.value);
        const next = readNumber(currentTarget.value);
        if (next.ok && next.value >= least && next.value <= most) onChange(next.value);
      }}
      onBlur={() => isRight && setTyped(null)}
    />
  );
}
