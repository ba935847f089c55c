import { Checkbox, TextInput, NativeSelect } from "@mantine/core";
import { schools, thicknessWishes, type ThicknessWish } from "@tensidrum/core/formula";
import { memo, type ReactNode } from "react";
import classes from "./AimLine.module.css";
import { AIM_WORDS_LENGTH, WITHOUT_LENGTH, type TypedAim } from "./typed/typedSheet";

export const thicknessWords: Readonly<Record<ThicknessWish, string>> = {
  any: "any thickness",
  "water-thin": "as thin as water",
  syrup: "like syrup",
  "pump-gel": "a pump gel",
  "thick-gel": "a thick gel",
  "spoon-standing": "so thick a spoon stands",
};

const lookWords = { any: "clear or creamy", clear: "clear", creamy: "creamy" } as const;
const leftOnWords = { profile: "used as usual", rinsed: "rinsed off", left: "left on" } as const;

interface AimLineProps {
  readonly aim: TypedAim;
  readonly isDraft: boolean;
  readonly onChange: (key: string, step: Partial<TypedAim>) => void;
}

/** The aim as one sentence whose words can be changed. */
export const AimLine = memo(function AimLine({ aim, isDraft, onChange }: AimLineProps) {
  const choice = (
    key: "school" | "look" | "leftOn" | "thickness",
    label: string,
    options: readonly (readonly [string, string])[],
    plain: string,
  ) => (
    <>
      <NativeSelect
        variant="unstyled"
        rightSection={<span />}
        rightSectionWidth={0}
        classNames={{ input: classes.choice }}
        name={isDraft ? fieldOf(key) : undefined}
        value={aim[key]}
        disabled={!isDraft}
        data-open={aim[key] === plain || undefined}
        aria-label={label}
        onChange={(event) => onChange(key, { [key]: event.currentTarget.value })}
      >
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </NativeSelect>
      {!isDraft && <input type="hidden" name={fieldOf(key)} value={aim[key]} />}
    </>
  );
  const words = (key: "forWhom" | "without" | "closeTo", label: string, invitation: string, most: number) => (
    <TextInput
      variant="unstyled"
      classNames={{ input: classes.words }}
      name={fieldOf(key)}
      value={aim[key]}
      readOnly={!isDraft}
      maxLength={most}
      placeholder={invitation}
      autoComplete="off"
      inputSize={String(Math.min(46, Math.max(invitation.length, aim[key].length)))}
      aria-label={label}
      onChange={(event) => onChange(key, { [key]: event.currentTarget.value })}
    />
  );
  return (
    <div className={classes.aim} role="group" aria-label="Aim">
      For {ended(words("forWhom", "For whom", "anyone?", AIM_WORDS_LENGTH), ",")}{" "}
      {ended(
        choice(
          "school",
          "Formulation style",
          schools.map(({ slug, name }) => [slug, slug === "none" ? "any way" : `the ${name} way`]),
          "none",
        ),
        ",",
      )}{" "}
      {ended(choice("look", "Look wanted", Object.entries(lookWords), "any"), ",")}{" "}
      {ended(
        choice(
          "thickness",
          "Thickness wanted",
          thicknessWishes.map((wish) => [wish, thicknessWords[wish]]),
          "any",
        ),
        ",",
      )}{" "}
      {choice("leftOn", "Rinsed off or left on", Object.entries(leftOnWords), "profile")}
      <Checkbox
        size="xs"
        className={classes.eye}
        label="near the eye"
        name={fieldOf("eyeArea")}
        checked={aim.eyeArea}
        disabled={!isDraft}
        onChange={(event) => onChange("eyeArea", { eyeArea: event.currentTarget.checked })}
      />
      {!isDraft && aim.eyeArea && <input type="hidden" name={fieldOf("eyeArea")} value="on" />}. Without{" "}
      {words("without", "What must not be in it, parted by commas", "anything?", WITHOUT_LENGTH)} and close to{" "}
      {ended(words("closeTo", "Product to come close to", "an example product?", AIM_WORDS_LENGTH), ".")}
    </div>
  );
});

/** A field with the mark behind it, which begins no line. */
const ended = (field: ReactNode, mark: string) => (
  <span className={classes.end}>
    {field}
    {mark}
  </span>
);

function fieldOf(key: keyof TypedAim): string {
  return `aim.${key}`;
}
