import { Button, TextInput, UnstyledButton } from "@mantine/core";
import dayjs from "dayjs";
import { processWords } from "@tensidrum/core/process";
import { useEffect, useState } from "react";
import { Link, useBeforeUnload } from "react-router";
import { FormError } from "../../components/FormError";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { Streams } from "../../pictures/Streams/Streams";
import { WorkStrip } from "../../pictures/WorkStrip/WorkStrip";
import { Choices } from "./Choices";
import { MethodSteps } from "./MethodSteps";
import { ProcessFindings } from "./ProcessFindings";
import { StepEditor } from "./StepEditor";
import { StepRows } from "./StepRows";
import type { OpenSteps } from "./steps.server";
import classes from "./Steps.module.css";
import { useKeeping } from "./useKeeping";
import { useSteps } from "./useSteps";

/** How a version is made, in the maker's own order: the suggested steps are the start, the rules judge what becomes of them. */
export function StepsPage({ sheet }: { readonly sheet: OpenSteps }) {
  const { formulaId, number, isDraft, name, batch } = sheet;
  const state = useSteps(sheet);
  const { process, list, suggested, contents, findings, change } = state;
  const [selected, setSelected] = useState<string | null>(null);
  const [begin, setBegin] = useState("");
  useEffect(() => setBegin(dayjs().format("HH:mm")), []);
  const saving = useKeeping(`/sheet/${formulaId}/${number}/steps/keep`, process, sheet.process === null);
  const { keptProcess } = saving;
  const isOpen = process !== keptProcess;
  useBeforeUnload((event) => {
    if (isOpen) event.preventDefault();
  });
  const step = list.steps.find(({ id }) => id === selected);
  const ownCount = process.steps.filter(({ id }) => !suggested.steps.some((one) => one.id === id)).length;
  const used = [...new Set(list.steps.flatMap(({ vessel }) => (vessel === null ? [] : [vessel])))];
  return (
    <Frame
      head={
        <>
          <h1 className={classes.title}>{name}</h1>
          <span className={classes.what}>
            v{number}, {isDraft ? "draft" : "final"}: how it is made, {batch}
          </span>
        </>
      }
      doors={
        <>
          <Link to={`/sheet/${formulaId}/${number}`}>Back to the Sheet</Link>
          {isDraft && (
            <Button
              h={36}
              disabled={saving.isBusy || !isOpen}
              onClick={() => void saving.keep(process, state.isSuggested)}
              data-act="Keep these steps"
            >
              Keep these steps with v{number}
            </Button>
          )}
        </>
      }
      line={
        <StationNav
          stations={stationsSeenFrom("sheet", { to: `/sheet/${formulaId}/${number}`, state: `steps of v${number}`, isAlarm: false })}
        />
      }
    >
      <title>{`Steps of ${name}, v${number}, Tensidrum`}</title>
      <div className={classes.page}>
        <div>
          <h2 className={classes.head}>
            Steps{" "}
            <small>
              {list.steps.length}
              {ownCount > 0 && `, ${ownCount} of your own`}
            </small>
          </h2>
          <p role="status" className={classes.status}>
            {!isDraft
              ? "This version is final: its steps stay as they are. Make a new draft to change them."
              : isOpen
                ? "Changed, not kept yet."
                : saving.wasSuggested
                  ? "As suggested. Drag a step, or press Alt and an arrow on it."
                  : "Your steps are kept with this draft."}
          </p>
          <FormError>{saving.problem ?? undefined}</FormError>
          <div className={classes.both}>
            <Streams
              isBare
              vessels={list.vessels}
              currentId={selected}
              steps={list.steps.map(({ id, vessel, after, title }) => ({
                id,
                vessel,
                after,
                title,
                content: contents.get(id) ?? null,
                state: "open" as const,
              }))}
            />
            <StepRows state={state} isDraft={isDraft} selected={selected} onSelect={setSelected} />
          </div>
          <TextInput
            type="time"
            label="begin at"
            value={begin}
            onChange={({ currentTarget: { value } }) => setBegin(value)}
            className={classes.begin}
          />
          <WorkStrip
            begin={begin}
            steps={list.steps.map(({ lines, waitMinutes }) => ({ lineCount: lines.length, waitMinutes }))}
            vessels={used.map((id) => list.vessels.find((vessel) => vessel.id === id)?.name ?? id)}
          />
        </div>
        <div>
          {isDraft && <Choices state={state} />}
          {isDraft && <MethodSteps method={sheet.formula.method ?? ""} state={state} selected={selected} onSelect={setSelected} />}
          {step === undefined ? (
            <p className={classes.hint}>Choose a step to see and change what it says.</p>
          ) : isDraft ? (
            <StepEditor key={step.id} state={state} step={step} onSelect={setSelected} />
          ) : (
            <section className={classes.editor}>
              <h2>{step.title}</h2>
              <p>{step.do}</p>
              <p>{step.why}</p>
            </section>
          )}
          <section className={classes.editor} aria-labelledby="rules-head">
            <h2 id="rules-head" tabIndex={-1}>
              What the rules say of your order
            </h2>
            <ProcessFindings
              state={state}
              words={(at) => {
                const finding = findings[at];
                return finding === undefined ? "" : processWords(finding, list, suggested);
              }}
            />
          </section>
          {isDraft && (
            <p className={classes.acts}>
              {state.canUndo && <UnstyledButton onClick={state.undo}>Undo</UnstyledButton>}
              <UnstyledButton
                onClick={() => {
                  change(state.plain);
                  setSelected(null);
                }}
              >
                Back to all suggested steps
              </UnstyledButton>
            </p>
          )}
        </div>
      </div>
    </Frame>
  );
}
