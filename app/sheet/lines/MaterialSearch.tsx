import { Combobox, TextInput, useCombobox } from "@mantine/core";
import { roleOf, shownInci } from "@tensidrum/core/library";
import { type Ref, useEffect, useRef, useState } from "react";
import { ChargeTag } from "../../components/ChargeSign";
import { chargeWords } from "../../components/chargeWords";
import classes from "./AddLine.module.css";
import type { FoundMaterial } from "@tensidrum/core/search";
import type { MaterialStore } from "../../frame/materialStore";
import { SEARCH_INPUT } from "./searchInput";

const SHORTEST_SEARCH = 2;

export interface MaterialSearchProps {
  readonly inputRef: Ref<HTMLInputElement>;
  /** What the field is called; that of the line for adding where left out. */
  readonly field?: Readonly<Record<"aria-label" | "placeholder" | "autoComplete", string>>;
  readonly text: string;
  readonly onText: (text: string) => void;
  /** Phase the picked material goes to. */
  readonly phase: string;
  readonly onPick: (materialId: string, phase: string) => void;
  /** The page must know a material before a line can speak of it. */
  readonly onLearn: (found: readonly FoundMaterial[], store: MaterialStore) => void;
}

/** The search as it is typed: matches below the field, the best one chosen, Enter takes it. */
export function MaterialSearch({ inputRef, field = SEARCH_INPUT, text, onText, phase, onPick, onLearn }: MaterialSearchProps) {
  const [store, setStore] = useState<MaterialStore | null>(null);
  const [failed, setFailed] = useState(false);
  const isAsked = useRef(false);
  /** Enter was pressed before the library was there: the best match is taken when it comes. */
  const [takesBest, setTakesBest] = useState(false);
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
    import("../../frame/materialStore")
      .then(({ loadMaterialStore }) => loadMaterialStore())
      .then(setStore)
      .catch(() => {
        isAsked.current = false;
        setFailed(true);
      });
  };
  // What was typed before this list was there is looked up at once.
  useEffect(() => {
    const isTyping = document.activeElement?.getAttribute("name") === SEARCH_INPUT.name;
    if (!isTyping || text.trim() === "") return;
    combobox.openDropdown();
    load();
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const pick = (id: string) => {
    const picked = found.find((candidate) => candidate.id === id);
    if (picked === undefined || store === null) return;
    onText("");
    combobox.closeDropdown();
    onLearn([picked], store);
    onPick(picked.id, phase);
  };
  useEffect(() => {
    if (!takesBest || best === undefined) return;
    setTakesBest(false);
    pick(best);
    // What is picked is the match that has just come.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [takesBest, best]);

  return (
    <Combobox store={combobox} onOptionSubmit={pick} withinPortal={false} position="bottom-start" width="max-content">
      <Combobox.Target>
        <TextInput
          ref={inputRef}
          className={classes.search}
          {...field}
          value={text}
          onFocus={load}
          onChange={(event) => {
            onText(event.currentTarget.value);
            setTakesBest(false);
            combobox.openDropdown();
            load();
          }}
          onKeyDown={(event) => {
            if (event.key !== "Enter") return;
            const isChosen = combobox.dropdownOpened && combobox.getSelectedOptionIndex() >= 0;
            if (isChosen) return;
            event.preventDefault();
            if (best !== undefined) pick(best);
            else if (store === null) setTakesBest(true);
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
              {!failed && store !== null && (
                <>
                  Nothing like that in the library. Try the INCI name or a role, or{" "}
                  <a href="/shelf/materials/new" onMouseDown={(event) => event.preventDefault()}>
                    make your own
                  </a>
                  .
                </>
              )}
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
