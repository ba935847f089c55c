import { closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { UnstyledButton } from "@mantine/core";
import { namedAsWritten, shownMaterial } from "@tensidrum/core/library";
import type { Step } from "@tensidrum/core/process";
import type { KeyboardEvent } from "react";
import { durationWords } from "../../pictures/WorkStrip/geometry";
import { STREAMS } from "../../pictures/Streams/geometry";
import { isAsSuggested, moveStep, nudgeStep } from "./editSteps";
import classes from "./Steps.module.css";
import type { StepsState } from "./useSteps";

const POINTER = { activationConstraint: { distance: 4 } };
const KEYBOARD = { coordinateGetter: sortableKeyboardCoordinates };

interface StepRowsProps {
  readonly state: StepsState;
  readonly isDraft: boolean;
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
}

/** The steps in their order, to be dragged by their grips or moved with Alt and the arrows. */
export function StepRows({ state, isDraft, selected, onSelect }: StepRowsProps) {
  const { process, list, suggested, change, findings, lines, library } = state;
  const sensors = useSensors(useSensor(PointerSensor, POINTER), useSensor(KeyboardSensor, KEYBOARD));
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over !== null && over.id !== active.id) change(moveStep(process, String(active.id), String(over.id)));
  };
  const onKeyDown = (event: KeyboardEvent, id: string) => {
    if (!event.altKey || (event.key !== "ArrowUp" && event.key !== "ArrowDown")) return;
    event.preventDefault();
    if (isDraft) change(nudgeStep(process, id, event.key === "ArrowUp" ? -1 : 1));
  };
  const byId = new Map(suggested.steps.map((step) => [step.id, step]));
  const nameOf = (line: string): string => {
    const found = lines.find((one) => one.line.id === line);
    if (found === undefined) return line;
    const isPart = process.portions?.some(({ id }) => id === line) === true;
    return `${shownMaterial(namedAsWritten(library.get(found.line.material) ?? found.material, found.line.asWritten)).name}${isPart ? " (a part)" : ""}`;
  };
  const ownById = new Map(process.steps.map((step) => [step.id, step]));
  return (
    <DndContext id="steps" sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={list.steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ol aria-label="Steps in their order" className={classes.rows} style={{ paddingTop: STREAMS.pad }}>
          {list.steps.map((step, at) => {
            const own = ownById.get(step.id);
            const base = byId.get(step.id);
            const tag = base === undefined ? "yours" : own !== undefined && !isAsSuggested(own, base) ? "changed" : "";
            return (
              <Row
                key={step.id}
                {...{ step, tag, names: step.lines.map(nameOf).join(", "), number: at + 1, isDraft, isSelected: step.id === selected }}
                isSpoken={findings.some((finding) => finding.step === step.id)}
                onSelect={() => onSelect(step.id)}
                onKeyDown={(event) => onKeyDown(event, step.id)}
              />
            );
          })}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface RowProps {
  readonly step: Step;
  readonly number: number;
  readonly tag: string;
  /** What goes in. */
  readonly names: string;
  readonly isDraft: boolean;
  readonly isSelected: boolean;
  /** The rules speak of it. */
  readonly isSpoken: boolean;
  readonly onSelect: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

function Row({ step, number, tag, names, isDraft, isSelected, isSpoken, onSelect, onKeyDown }: RowProps) {
  const { setNodeRef, setActivatorNodeRef, transform, transition, attributes, listeners } = useSortable({ id: step.id });
  return (
    <li
      ref={setNodeRef}
      className={classes.row}
      data-selected={isSelected || undefined}
      style={{ height: STREAMS.row, transform: CSS.Translate.toString(transform), transition }}
    >
      {isDraft && (
        <button
          type="button"
          ref={setActivatorNodeRef}
          className={classes.grip}
          {...attributes}
          {...listeners}
          aria-label={`Move "${step.title}"`}
        >
          ⠿
        </button>
      )}
      <UnstyledButton className={classes.name} aria-pressed={isSelected} onClick={onSelect} onKeyDown={onKeyDown}>
        <span>{number}</span> {step.title}
        {names !== "" && <span className={classes.holds}>{names}</span>}
      </UnstyledButton>
      <small>
        {isSpoken && <strong>see the rules </strong>}
        {tag}
        {step.waitMinutes > 0 && ` rest ${durationWords(step.waitMinutes)}`}
      </small>
    </li>
  );
}
