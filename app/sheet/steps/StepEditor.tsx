import { Checkbox, NativeSelect, Textarea, TextInput, UnstyledButton } from "@mantine/core";
import type { OwnStep } from "@tensidrum/core/formula";
import type { Step } from "@tensidrum/core/process";
import { namedAsWritten, shownMaterial } from "@tensidrum/core/library";
import { readNumber } from "@tensidrum/core/quantities";
import { useState } from "react";
import { NumberField } from "../../components/NumberField";
import { addStep, changeStep, deleteStep, mergeWithNext, moveLine, OWN_ID, splitStep } from "./editSteps";
import { focusOn } from "./focusOn";
import { LinePart } from "./LinePart";
import classes from "./Steps.module.css";
import type { StepsState } from "./useSteps";

interface StepEditorProps {
  readonly state: StepsState;
  readonly step: Step;
  readonly onSelect: (id: string | null) => void;
}

/** One step: its words, its beaker, its clock, and which lines go in. */
export function StepEditor({ state, step, onSelect }: StepEditorProps) {
  const { process, list, suggested, lines, library, change } = state;
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const base = suggested.steps.find(({ id }) => id === step.id);
  const at = list.steps.findIndex(({ id }) => id === step.id);
  const set = (changes: Partial<OwnStep>) => change(changeStep(process, step.id, (own) => ({ ...own, ...changes })));
  const number = (text: string): number | undefined => {
    const read = readNumber(text);
    return read.ok && read.value >= 0 ? read.value : undefined;
  };
  const setAtMost = (atMostC: number | undefined) => {
    if (atMostC === step.temperature?.high) return;
    change(changeStep(process, step.id, ({ atMostC: _before, ...own }) => (atMostC === undefined ? own : { ...own, atMostC })));
  };
  const nameOf = (line: string): string => {
    const found = lines.find((one) => one.line.id === line);
    return found === undefined
      ? line
      : shownMaterial(namedAsWritten(library.get(found.line.material) ?? found.material, found.line.asWritten)).name;
  };
  const back = () =>
    change(
      changeStep(process, step.id, ({ id }) => ({ id, lines: (base?.lines ?? step.lines).filter((line) => step.lines.includes(line)) })),
    );
  return (
    <section aria-labelledby="step-head" className={classes.editor}>
      <h2 id="step-head" tabIndex={-1}>
        {step.title}
      </h2>
      <TextInput
        label="name"
        key={step.title}
        defaultValue={step.title}
        maxLength={120}
        onBlur={({ currentTarget: { value } }) => value.trim() !== step.title && value.trim() !== "" && set({ title: value.trim() })}
      />
      <Textarea
        label="what to do"
        key={`do ${step.do}`}
        defaultValue={step.do}
        rows={3}
        maxLength={2000}
        onBlur={({ currentTarget: { value } }) => value.trim() !== step.do && value.trim() !== "" && set({ do: value.trim() })}
      />
      <div className={classes.fields}>
        {step.vessel !== null && (
          <NativeSelect label="beaker" value={step.vessel} onChange={({ currentTarget: { value } }) => set({ vessel: value })}>
            {[...new Map([...list.vessels, ...EXTRA].map((vessel) => [vessel.id, vessel])).values()].map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </NativeSelect>
        )}
        <NumberField
          label="at most"
          key={`most ${step.temperature?.high ?? ""}`}
          unit="°C"
          defaultValue={step.temperature?.high ?? ""}
          onBlur={({ currentTarget: { value } }) => setAtMost(number(value))}
        />
        <NumberField
          label="clock"
          key={`clock ${step.waitMinutes}`}
          unit="min"
          defaultValue={step.waitMinutes}
          onBlur={({ currentTarget: { value } }) =>
            number(value) !== undefined && number(value) !== step.waitMinutes && set({ waitMinutes: number(value) ?? 0 })
          }
        />
      </div>
      <TextInput
        label="look at, measure"
        key={`check ${step.check ?? ""}`}
        defaultValue={step.check ?? ""}
        maxLength={500}
        onBlur={({ currentTarget: { value } }) => value.trim() !== (step.check ?? "") && set({ check: value.trim() })}
      />
      <TextInput
        label="tool"
        key={`tool ${step.tool ?? ""}`}
        defaultValue={step.tool ?? ""}
        maxLength={120}
        onBlur={({ currentTarget: { value } }) => value.trim() !== (step.tool ?? "") && set({ tool: value.trim() })}
      />
      {step.lines.length > 0 && (
        <ul className={classes.lines} aria-label="Lines of this step">
          {step.lines.map((line) => (
            <li key={line}>
              <Checkbox
                label={nameOf(line)}
                checked={ticked.includes(line)}
                onChange={({ currentTarget: { checked } }) => setTicked(checked ? [...ticked, line] : ticked.filter((one) => one !== line))}
              />
              <LinePart state={state} line={line} name={nameOf(line)} />
              <NativeSelect
                aria-label={`Step for ${nameOf(line)}`}
                value={step.id}
                onChange={({ currentTarget: { value } }) => change(moveLine(process, line, value))}
              >
                {list.steps.map(({ id, title }, index) => (
                  <option key={id} value={id}>
                    {index + 1} {title}
                  </option>
                ))}
              </NativeSelect>
            </li>
          ))}
        </ul>
      )}
      <p className={classes.acts}>
        <UnstyledButton
          onClick={() => {
            const id = newId(process.steps.map((one) => one.id));
            change(addStep(process, step.id, { id, title: "A step of your own", lines: [] }));
            onSelect(id);
            focusOn("step-head");
          }}
        >
          Add a step
        </UnstyledButton>
        {step.lines.length > 1 && (
          <UnstyledButton
            disabled={ticked.length === 0 || ticked.length === step.lines.length}
            onClick={() => {
              change(splitStep(process, step.id, ticked, newId(process.steps.map((one) => one.id))));
              setTicked([]);
            }}
          >
            Split off the ticked lines
          </UnstyledButton>
        )}
        {at < list.steps.length - 1 && (
          <UnstyledButton
            onClick={() => change(mergeWithNext(process, step.id, ({ id }) => list.steps.find((one) => one.id === id)?.do ?? ""))}
          >
            Merge with the next
          </UnstyledButton>
        )}
        {step.lines.length === 0 && (
          <UnstyledButton
            onClick={() => {
              change(deleteStep(process, step.id));
              onSelect(null);
              focusOn("rules-head");
            }}
          >
            Delete
          </UnstyledButton>
        )}
        {base !== undefined && <UnstyledButton onClick={back}>Back to the suggested step</UnstyledButton>}
      </p>
    </section>
  );
}

/** Beakers a step may be moved to beside those that are used. */
const EXTRA = [
  { id: "scent", name: "scent beaker" },
  { id: "cup", name: "small cup" },
] as const;

function newId(taken: readonly string[]): string {
  let number = 1;
  while (taken.includes(`${OWN_ID}${number}`)) number += 1;
  return `${OWN_ID}${number}`;
}
