import { Chip, NativeSelect, TextInput } from "@mantine/core";
import { clarityLooks, looksWords } from "@tensidrum/core/process";
import { thicknessWords } from "@tensidrum/core/rheology";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import classes from "./Step.module.css";

interface LooksProps {
  readonly stepId: string;
  readonly onEntered: () => void;
}

/** How it looks and feels, in words to tap; before and after scent, extract or colour it is kept as a pair. */
export function Looks({ stepId, onEntered }: LooksProps) {
  return (
    <Entry hidden={{ step: stepId }} className={classes.sidePanel} onEntered={onEntered}>
      <NativeSelect label="moment" name="when">
        <option value="now">now</option>
        <option value="before">before an addition</option>
        <option value="after">after an addition</option>
      </NativeSelect>
      <NativeSelect label="thickness" name="word">
        <option value="">not judged</option>
        {thicknessWords.map((word) => (
          <option key={word}>{word}</option>
        ))}
      </NativeSelect>
      <NativeSelect label="clarity" name="clarity">
        <option value="">not judged</option>
        {clarityLooks.map((word) => (
          <option key={word}>{word}</option>
        ))}
      </NativeSelect>
      <div role="group" aria-label="it is" className={classes.sidePanel}>
        {looksWords.map((word) => (
          <Chip key={word} name="looks" value={word} variant="outline">
            {word}
          </Chip>
        ))}
      </div>
      <label className={classes.field}>
        in words <TextInput name="text" maxLength={500} autoComplete="off" />
      </label>
      <BigButton intent="look" act="Keep how it looks">
        Keep it
      </BigButton>
    </Entry>
  );
}
