import { Button } from "@mantine/core";

const names = { sample: "The sample", batch: "The batch" } as const;

export type InHandOf = keyof typeof names;

interface InHandProps {
  readonly value: InHandOf;
  onChange(next: InHandOf): void;
}

/** Which of the two beakers is in hand while a sample is aside. */
export function InHand({ value, onChange }: InHandProps) {
  return (
    <div role="group" aria-label="In hand">
      <Button.Group mb="sm">
        {(["sample", "batch"] as const).map((one) => (
          <Button
            key={one}
            h={56}
            fz={18}
            variant={one === value ? "filled" : "outline"}
            {...(one === value ? {} : { color: "dark" })}
            aria-pressed={one === value}
            onClick={() => onChange(one)}
            data-big
            data-act={`${names[one]} in hand`}
          >
            {names[one]}
          </Button>
        ))}
      </Button.Group>
    </div>
  );
}
