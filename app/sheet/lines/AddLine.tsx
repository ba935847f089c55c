import { NativeSelect, UnstyledButton } from "@mantine/core";
import { memo, type RefObject } from "react";
import { useSheet } from "../SheetState";
import type { TypedPhase } from "../typed/typedSheet";
import classes from "./AddLine.module.css";
import type { FoundMaterial } from "@tensidrum/core/search";
import type { MaterialStore } from "../../frame/materialStore";
import { SearchField } from "./SearchField";
import { roleOf, shownInci } from "@tensidrum/core/library";

interface AddLineProps {
  readonly phases: readonly TypedPhase[];
  readonly phase: string;
  readonly inputRef: RefObject<HTMLInputElement | null>;
  /** Search and matches of the page without scripts. */
  readonly find: string;
  readonly matches: readonly FoundMaterial[];
  readonly newId: string;
  readonly onPhase: (letter: string) => void;
  readonly onNewPhase: () => void;
  readonly onNewPart: () => void;
  readonly onPick: (materialId: string, phase: string) => void;
  /** The page must know a material before a line can speak of it. */
  readonly onLearn: (found: readonly FoundMaterial[], store: MaterialStore) => void;
}

/** The line for adding materials, on the sheet round about. */
export function AddLinePart() {
  const { sheet, editor, known, addInput } = useSheet();
  return (
    <AddLine
      phases={editor.typed.phases}
      phase={editor.newLinePhase}
      inputRef={addInput}
      find={sheet.find}
      matches={sheet.matches}
      newId={sheet.newId}
      onPhase={editor.setNewLinePhase}
      onNewPhase={editor.addNewPhase}
      onNewPart={editor.addNewPart}
      onPick={editor.addMaterial}
      onLearn={known.learn}
    />
  );
}

/** The ruled line at the foot of the sheet: type a name, an INCI name or a role, and take the material up. */
const AddLine = memo(function AddLine(props: AddLineProps) {
  const { phases, phase, find, matches, newId, onPhase, onNewPhase, onNewPart } = props;
  return (
    <div className={classes.add} id="add-a-line">
      <NativeSelect
        classNames={{ input: classes.phase }}
        name="newPhase"
        value={phase}
        onChange={(event) => onPhase(event.currentTarget.value)}
        aria-label="Phase of the new line"
      >
        {phases.map(({ letter, title, part }) => (
          <option key={letter} value={letter}>
            {part !== undefined ? `part ${title === "" ? letter : title}` : title === "" ? letter : `${letter} ${title}`}
          </option>
        ))}
      </NativeSelect>
      <SearchField inputRef={props.inputRef} find={find} phase={phase} onPick={props.onPick} onLearn={props.onLearn} />
      <UnstyledButton type="submit" name="intent" value="find" className={classes.unscripted}>
        Find
      </UnstyledButton>
      <UnstyledButton
        type="submit"
        name="intent"
        value="add-phase"
        className={classes.newPhase}
        onClick={(event) => {
          event.preventDefault();
          onNewPhase();
        }}
      >
        New phase
      </UnstyledButton>
      <UnstyledButton
        type="submit"
        name="intent"
        value="add-part"
        className={classes.newPhase}
        title="One batch in several colours, scents or containers"
        onClick={(event) => {
          event.preventDefault();
          onNewPart();
        }}
      >
        New part
      </UnstyledButton>
      <input type="hidden" name="newId" value={newId} />
      {find !== "" && (
        <ul className={classes.matches} aria-label={`Materials found for ${find}`}>
          {matches.length === 0 && <li>Nothing like “{find}” is in the library. Try another spelling or the INCI name.</li>}
          {matches.map(({ id, facts }) => (
            <li key={id}>
              <UnstyledButton type="submit" name="intent" value={`add:${id}`}>
                Add {facts.name}
              </UnstyledButton>{" "}
              <span>
                {roleOf(facts)}, {shownInci(facts)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
});
