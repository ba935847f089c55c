import { Combobox, useCombobox } from "@mantine/core";
import { memo, type Ref, useEffect, useRef, useState } from "react";
import { ChargeTag } from "../../components/ChargeSign";
import { chargeWords } from "../../components/chargeWords";
import { useSheet } from "../SheetState";
import type { TypedPhase } from "../typed/typedSheet";
import classes from "./AddLine.module.css";
import type { FoundMaterial } from "./findMaterials";
import type { MaterialStore } from "./materialStore";
import { roleOf, shownInci } from "@tensidrum/core/library";

interface AddLineProps {
  readonly phases: readonly TypedPhase[];
  readonly phase: string;
  readonly inputRef: Ref<HTMLInputElement>;
  /** Search and matches of the page without scripts. */
  readonly find: string;
  readonly matches: readonly FoundMaterial[];
  readonly newId: string;
  readonly onPhase: (letter: string) => void;
  readonly onNewPhase: () => void;
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
      onPick={editor.addMaterial}
      onLearn={known.learn}
    />
  );
}

/** The ruled line at the foot of the sheet: type a name, an INCI name or a role, and take the material up. */
const AddLine = memo(function AddLine(props: AddLineProps) {
  const { phases, phase, find, matches, newId, onPhase, onNewPhase } = props;
  return (
    <div className={classes.add} id="add-a-line">
      <select
        className={classes.phase}
        name="newPhase"
        value={phase}
        onChange={(event) => onPhase(event.currentTarget.value)}
        aria-label="Phase of the new line"
      >
        {phases.map(({ letter, title }) => (
          <option key={letter} value={letter}>
            {title === "" ? letter : `${letter} ${title}`}
          </option>
        ))}
      </select>
      <MaterialSearch {...props} />
      <button type="submit" name="intent" value="find" className={classes.unscripted}>
        Find
      </button>
      <button
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
      </button>
      <input type="hidden" name="newId" value={newId} />
      {find !== "" && (
        <ul className={classes.matches} aria-label={`Materials found for ${find}`}>
          {matches.length === 0 && <li>Nothing like “{find}” is in the library. Try another spelling or the INCI name.</li>}
          {matches.map(({ id, facts }) => (
            <li key={id}>
              <button type="submit" name="intent" value={`add:${id}`}>
                Add {facts.name}
              </button>{" "}
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

const SHORTEST_SEARCH = 2;

function MaterialSearch({ inputRef, find, phase, onPick, onLearn }: AddLineProps) {
  const [text, setText] = useState(find);
  const [store, setStore] = useState<MaterialStore | null>(null);
  const [failed, setFailed] = useState(false);
  const isAsked = useRef(false);
  const combobox = useCombobox({ onDropdownClose: () => combobox.resetSelectedOption() });
  const found = store !== null && text.trim().length >= SHORTEST_SEARCH ? store.find(text) : [];

  const best = found[0]?.id;
  const { selectFirstOption } = combobox;
  // The best match is chosen as soon as it shows, also when the library comes after the typing.
  useEffect(() => {
    if (best === undefined) return;
    const frame = requestAnimationFrame(() => selectFirstOption());
    return () => cancelAnimationFrame(frame);
  }, [best, text, selectFirstOption]);

  const load = () => {
    if (isAsked.current) return;
    isAsked.current = true;
    setFailed(false);
    // Both the list and its search come only now: a sheet that is merely read needs neither.
    import("./materialStore")
      .then(({ loadMaterialStore }) => loadMaterialStore())
      .then(setStore)
      .catch(() => {
        isAsked.current = false;
        setFailed(true);
      });
  };
  const pick = (id: string) => {
    const picked = found.find((candidate) => candidate.id === id);
    if (picked === undefined || store === null) return;
    setText("");
    combobox.closeDropdown();
    onLearn([picked], store);
    onPick(picked.id, phase);
  };

  return (
    <Combobox store={combobox} onOptionSubmit={pick} withinPortal={false} position="bottom-start" width="max-content">
      <Combobox.Target>
        <input
          ref={inputRef}
          className={classes.search}
          name="find"
          value={text}
          autoComplete="off"
          placeholder="add a material: name, INCI name or role"
          aria-label="Add a material: name, INCI name or role"
          onFocus={load}
          onChange={(event) => {
            setText(event.currentTarget.value);
            combobox.openDropdown();
            load();
          }}
          onKeyDown={(event) => {
            if (event.key !== "Enter") return;
            const isChosen = combobox.dropdownOpened && combobox.getSelectedOptionIndex() >= 0;
            if (isChosen) return;
            event.preventDefault();
            if (best !== undefined) pick(best);
          }}
          onBlur={() => combobox.closeDropdown()}
        />
      </Combobox.Target>
      <Combobox.Dropdown className={classes.dropdown} hidden={text.trim().length < SHORTEST_SEARCH}>
        <Combobox.Options aria-label="Materials found">
          {found.map((match) => (
            <Match key={match.id} match={match} />
          ))}
          {found.length === 0 && (
            <Combobox.Empty className={classes.nothing}>
              {failed && "The library could not be read just now. Type on to try again."}
              {!failed && store === null && "Looking through the library …"}
              {!failed && store !== null && "Nothing like that in the library. Try another spelling, the INCI name or a role."}
            </Combobox.Empty>
          )}
        </Combobox.Options>
      </Combobox.Dropdown>
    </Combobox>
  );
}

function Match({ match: { id, facts } }: { readonly match: FoundMaterial }) {
  return (
    <Combobox.Option value={id} className={classes.match}>
      <span className={classes.sign}>
        {facts.charge !== null && <ChargeTag charge={facts.charge} name={chargeWords[facts.charge].name} />}
      </span>
      <span className={classes.matchName}>{facts.name}</span>
      <span className={classes.matchRole}>{roleOf(facts)}</span>
      <span className={classes.matchInci}>{facts.parts === undefined ? shownInci(facts) : "a blend"}</span>
    </Combobox.Option>
  );
}
