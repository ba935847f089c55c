import { UnstyledButton } from "@mantine/core";
import { readNumber } from "@tensidrum/core/quantities";
import { NumberField } from "../../components/NumberField";
import { setPortion, takePortion } from "./editSteps";
import type { StepsState } from "./useSteps";

/** A line can be parted, and its part is a share of it. */
export function LinePart({ state, line, name }: { readonly state: StepsState; readonly line: string; readonly name: string }) {
  const { process, change } = state;
  const { portions = [] } = process;
  const portion = portions.find(({ id }) => id === line);
  if (portion !== undefined) {
    return (
      <NumberField
        aria-label={`Part of ${name}, % of its line`}
        key={portion.percentOfLine}
        unit="% of it"
        defaultValue={portion.percentOfLine}
        onBlur={({ currentTarget: { value } }) => {
          const read = readNumber(value);
          if (read.ok && read.value !== portion.percentOfLine) change(setPortion(process, line, read.value));
        }}
      />
    );
  }
  if (portions.some(({ of }) => of === line)) return <span>what is left</span>;
  return <UnstyledButton onClick={() => change(takePortion(process, line))}>Take a part of it</UnstyledButton>;
}
