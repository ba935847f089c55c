import { UnstyledButton } from "@mantine/core";
import { roleOf, shownMaterial } from "@tensidrum/core/library";
import { nameIn } from "@tensidrum/core/recipe";
import type { FoundMaterial } from "@tensidrum/core/search";
import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import type { MaterialStore } from "../../frame/materialStore";
import { useSheet } from "../SheetState";
import { withMaterial } from "../typed/editing";
import type { TypedLine } from "../typed/typedSheet";
import classes from "./Exchange.module.css";
import { MaterialSearch } from "./MaterialSearch";

const MOST_OFFERS = 4;

/** What an open line could be: the likeliest of the library, a search, or a material of one's own. */
export function ChooseMaterial({ line }: { readonly line: TypedLine }) {
  const { editor, known } = useSheet();
  const input = useRef<HTMLInputElement>(null);
  const name = nameIn(line.asWritten ?? "");
  const [text, setText] = useState("");
  const [store, setStore] = useState<MaterialStore | null>(null);
  useEffect(() => {
    let isGone = false;
    void import("../../frame/materialStore")
      .then(({ loadMaterialStore }) => loadMaterialStore())
      .then((loaded) => !isGone && setStore(loaded))
      .catch(() => undefined);
    return () => {
      isGone = true;
    };
  }, []);
  const take = (materialId: string) => {
    editor.fixWith((sheet) => withMaterial(sheet, line.id, materialId));
    // What was chosen with is gone; the caret goes to the line's number.
    editor.lineActions.focus(line.id);
  };
  const offers = store === null || name === "" ? [] : store.find(name).slice(0, MOST_OFFERS);
  const accept = (found: FoundMaterial) => {
    if (store === null) return;
    known.learn([found], store);
    take(found.id);
  };
  return (
    <div className={classes.choose}>
      {offers.length > 0 && (
        <ul aria-label="It could be">
          {offers.map((found) => (
            <li key={found.id}>
              <UnstyledButton type="button" className={classes.door} onClick={() => accept(found)}>
                {shownMaterial(found.facts).name}
              </UnstyledButton>{" "}
              {roleOf(found.facts)}
            </li>
          ))}
        </ul>
      )}
      <MaterialSearch
        inputRef={input}
        field={{ "aria-label": `Find the material of ${name}`, placeholder: "find it by name, INCI name or role", autoComplete: "off" }}
        text={text}
        onText={setText}
        phase={line.phase}
        onPick={take}
        onLearn={known.learn}
      />
      {store !== null && offers.length === 0 && (
        <p>
          Nothing in the library is called “{name}”. <Link to="/shelf/materials/new">Make a material of your own</Link>, or delete the line.
        </p>
      )}
    </div>
  );
}
