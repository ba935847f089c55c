import { Checkbox, Group, NativeSelect, SimpleGrid, Stack, Textarea, UnstyledButton } from "@mantine/core";
import { labelAligns, type LabelBox } from "@tensidrum/core/packaging";
import quiet from "../../components/quiet.module.css";
import { WholeNumber } from "./WholeNumber";

interface FieldPanelProps {
  readonly box: LabelBox;
  readonly name: string;
  /** What the batch says for it. */
  readonly said: string;
  readonly onChange: (changes: Partial<LabelBox>) => void;
  readonly onDelete: () => void;
}

/** One field: its words, its letters and its place. */
export function FieldPanel({ box, name, said, onChange, onDelete }: FieldPanelProps) {
  const number = (key: "x" | "y" | "width" | "height" | "points" | "leastPoints", label: string, unit: string, least: number) => (
    <WholeNumber label={label} unit={unit} value={box[key]} least={least} most={1_000} onChange={(value) => onChange({ [key]: value })} />
  );
  return (
    <section aria-label={`Field: ${name}`}>
      <h2>{name}</h2>
      <Stack gap="sm">
        {box.field !== "qr" && (
          <Textarea
            label={said === "" ? "what it says" : "in your words, instead of what the batch says"}
            autosize
            minRows={2}
            maxRows={8}
            maxLength={2000}
            value={box.text}
            placeholder={said}
            onChange={({ currentTarget }) => onChange({ text: currentTarget.value })}
          />
        )}
        <SimpleGrid cols={3} spacing="sm">
          {number("x", "from left", "mm", 0)}
          {number("y", "from top", "mm", 0)}
          {box.field !== "qr" && number("points", "letters", "pt", 3)}
          {number("width", "wide", "mm", 1)}
          {number("height", "high", "mm", 1)}
          {box.field !== "qr" && number("leastPoints", "at least", "pt", 3)}
        </SimpleGrid>
        {box.field !== "qr" && (
          <Group gap="md" align="end">
            <NativeSelect
              label="stands"
              value={box.align}
              onChange={({ currentTarget: { value } }) => onChange({ align: labelAligns.find((one) => one === value) ?? "left" })}
            >
              {labelAligns.map((align) => (
                <option key={align} value={align}>
                  {align === "centre" ? "in the middle" : align}
                </option>
              ))}
            </NativeSelect>
            <Checkbox label="bold" checked={box.isBold} onChange={({ currentTarget: { checked } }) => onChange({ isBold: checked })} />
          </Group>
        )}
        <UnstyledButton className={quiet.quiet} onClick={onDelete}>
          Take it off the label
        </UnstyledButton>
      </Stack>
    </section>
  );
}
