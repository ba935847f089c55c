import { Checkbox, Modal, TextInput } from "@mantine/core";
import MiniSearch from "minisearch";
import { useMemo, useState } from "react";
import { useLocation, useNavigate } from "react-router";
import { SINGLE_KEYS_OFF, type Act } from "./actsOnPage";
import { helpFor } from "./help/pages";
import { placesFor } from "./search/placesFor";
import { useFound } from "./search/useFound";
import classes from "./SearchAndCommands.module.css";

interface CommandsDialogProps {
  readonly acts: readonly Act[];
  readonly onChoose: (act: Act | undefined) => void;
  readonly onLeave: () => void;
}

interface Choice {
  readonly key: string;
  readonly words: string;
  /** What it is: a key for what is done here, else where it lies. */
  readonly note: string;
  readonly isKey: boolean;
  readonly said: string;
  readonly choose: () => void;
}

/** What can be done on the page, every other page, and everything a maker has: to choose from or to find by a word. */
export default function CommandsDialog({ acts, onChoose, onLeave }: CommandsDialogProps) {
  const [text, setText] = useState("");
  const [at, setAt] = useState(0);
  const [areKeysOff, setKeysOff] = useState(() => localStorage.getItem(SINGLE_KEYS_OFF) !== null);
  const navigate = useNavigate();
  const done = useMemo(() => {
    const wanted = text.trim();
    if (wanted === "") return acts;
    const index = new MiniSearch({ fields: ["words"], searchOptions: { prefix: true, fuzzy: 0.25, combineWith: "AND" } });
    index.addAll(acts.map(({ words }, id) => ({ id, words })));
    return index.search(wanted).flatMap(({ id }) => acts[id as number] ?? []);
  }, [acts, text]);
  const found = useFound(text);
  const go = (to: string) => () => {
    onLeave();
    void navigate(to);
  };
  const { slug, title } = helpFor(useLocation().pathname);
  const help = { key: "help", words: `Help: ${title}`, note: "page", isKey: false, said: "", choose: go(`/help/${slug}`) };
  const shown: readonly Choice[] = [
    ...(text.trim() === "" ? [help] : []),
    ...done.map((act, nth) => ({
      ...{ key: `act ${act.words} ${nth}`, words: act.words, note: act.key, isKey: act.key !== "", said: "" },
      choose: () => onChoose(act),
    })),
    ...placesFor(text).map(({ to, words }) => ({ key: `page ${to}`, words, note: "page", isKey: false, said: "", choose: go(to) })),
    ...(found ?? []).map(({ to, title, where, said }) => ({
      ...{ key: `found ${where} ${to}`, words: title, note: where, isKey: false, said, choose: go(to) },
    })),
  ];
  return (
    <Modal.Root opened onClose={onLeave} returnFocus={false} centered={false}>
      <Modal.Overlay />
      <Modal.Content aria-label="Search and commands">
        <Modal.Body className={classes.dialog}>
          <TextInput
            size="md"
            w="100%"
            value={text}
            data-autofocus
            placeholder="Search, or choose a command"
            aria-label="Search and commands"
            role="combobox"
            aria-expanded="true"
            aria-controls="acts-found"
            aria-activedescendant={shown[at] === undefined ? undefined : `act-${at}`}
            onChange={(event) => {
              setText(event.currentTarget.value);
              setAt(0);
            }}
            onKeyDown={(event) => {
              if (event.key === "ArrowDown" || event.key === "ArrowUp") {
                event.preventDefault();
                setAt((now) => Math.min(shown.length - 1, Math.max(0, now + (event.key === "ArrowDown" ? 1 : -1))));
              } else if (event.key === "Enter") {
                event.preventDefault();
                (shown[at]?.choose ?? go(`/search?q=${encodeURIComponent(text.trim())}`))();
              }
            }}
          />
          <ul id="acts-found" role="listbox" aria-label="What can be done and what was found">
            {shown.map(({ key, words, note, isKey, said, choose }, index) => (
              <li key={key} id={`act-${index}`} role="option" aria-selected={index === at} onClick={choose}>
                <span>
                  {words}
                  {said !== "" && <small>{said}</small>}
                </span>
                {isKey ? <kbd>{note}</kbd> : note !== "" && <small>{note}</small>}
              </li>
            ))}
          </ul>
          {shown.length === 0 && (
            <p role="status">{found === null ? "Looking …" : "Nothing does that or says so. Try one word of it, or a code."}</p>
          )}
          <p className={classes.fine}>
            Everywhere: <kbd>Ctrl Z</kbd> undo, <kbd>Ctrl Shift Z</kbd> redo, <kbd>Enter</kbd> next cell, <kbd>Alt ↑ ↓</kbd> move a line.
          </p>
          <Checkbox
            className={classes.fine}
            size="xs"
            label="single keys act while no field has the caret"
            checked={!areKeysOff}
            onChange={(event) => {
              const off = !event.currentTarget.checked;
              setKeysOff(off);
              if (off) localStorage.setItem(SINGLE_KEYS_OFF, "yes");
              else localStorage.removeItem(SINGLE_KEYS_OFF);
            }}
          />
        </Modal.Body>
      </Modal.Content>
    </Modal.Root>
  );
}
