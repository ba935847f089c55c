import { Checkbox, Modal, TextInput, UnstyledButton } from "@mantine/core";
import IconListSearch from "@tabler/icons-react/dist/esm/icons/IconListSearch.mjs";
import type Fuse from "fuse.js";
import { useEffect, useMemo, useRef, useState } from "react";
import { flushSync } from "react-dom";
import classes from "./SearchAndCommands.module.css";

/** Something that can be done on this page: a button, link or field that says so by `data-act`. */
interface Act {
  readonly words: string;
  readonly key: string;
  readonly element: HTMLElement;
}

const OFF = "tensidrum.single-keys-off";

function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches("input:not([type=radio], [type=checkbox]), textarea, select, [contenteditable]");
}

/** What can be done on the page just now; of several that say the same, the first. */
function actsOnPage(): readonly Act[] {
  const acts = new Map<string, Act>();
  for (const element of document.querySelectorAll<HTMLElement>("[data-act]")) {
    const words = element.dataset.act ?? "";
    if (acts.has(words) || element.getClientRects().length === 0 || element.hasAttribute("disabled")) continue;
    acts.set(words, { words, key: element.dataset.key ?? "", element });
  }
  return [...acts.values()];
}

function carryOut({ element }: Act): void {
  element.scrollIntoView({ block: "nearest" });
  if (element.matches("input, textarea, select")) element.focus();
  else element.click();
}

/** Finds what can be done here and does it: Ctrl K or / opens it, single keys act alone, ? shows them all. */
export function SearchAndCommands() {
  const [isOpen, setOpen] = useState(false);
  const hadFocus = useRef<Element | null>(null);
  const [acts, setActs] = useState<readonly Act[]>([]);
  const [text, setText] = useState("");
  const [at, setAt] = useState(0);
  const [areKeysOff, setKeysOff] = useState(false);
  const [Search, setSearch] = useState<{ readonly of: typeof Fuse } | null>(null);
  useEffect(() => setKeysOff(localStorage.getItem(OFF) !== null), []);

  const open = () => {
    setActs(actsOnPage());
    setText("");
    setAt(0);
    hadFocus.current = document.activeElement;
    setOpen(true);
    // The search comes only now: most visits need none. Until it is there words are found as they are typed.
    if (Search === null) import("fuse.js").then((module) => setSearch({ of: module.default })).catch(() => undefined);
  };
  const latestOpen = useRef(open);
  latestOpen.current = open;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "k") {
        event.preventDefault();
        latestOpen.current();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || document.querySelector("[role=dialog]") !== null)
        return;
      if (localStorage.getItem(OFF) !== null) return;
      if (event.key === "/" || event.key === "?") {
        event.preventDefault();
        latestOpen.current();
        return;
      }
      // The space bar belongs to the button that has the focus.
      if (event.key === " " && event.target instanceof HTMLElement && event.target.closest("button, a, summary") !== null) return;
      const act = actsOnPage().find(({ key }) => key === event.key);
      if (act === undefined) return;
      event.preventDefault();
      carryOut(act);
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, []);

  const shown = useMemo(() => {
    const wanted = text.trim();
    if (wanted === "") return acts;
    if (Search === null) return acts.filter(({ words }) => words.toLowerCase().includes(wanted.toLowerCase()));
    return new Search.of(acts, { keys: ["words"], threshold: 0.4, ignoreLocation: true }).search(wanted).map(({ item }) => item);
  }, [acts, text, Search]);
  const choose = (act: Act | undefined) => {
    if (act === undefined) return;
    // What is done moves the focus by itself; only who leaves without choosing goes back.
    flushSync(() => setOpen(false));
    carryOut(act);
  };
  const leave = () => {
    setOpen(false);
    if (hadFocus.current instanceof HTMLElement) hadFocus.current.focus();
  };
  return (
    <>
      <UnstyledButton type="button" className={classes.door} onClick={open} title="Ctrl K" aria-label="Search and commands">
        <IconListSearch size={18} stroke={1.6} aria-hidden="true" />
        <span>Search and commands</span>
      </UnstyledButton>
      <Modal.Root opened={isOpen} onClose={leave} returnFocus={false} centered={false}>
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
                  choose(shown[at]);
                }
              }}
            />
            <ul id="acts-found" role="listbox" aria-label="What can be done here">
              {shown.map((act, index) => (
                <li
                  key={`${act.words} ${index}`}
                  id={`act-${index}`}
                  role="option"
                  aria-selected={index === at}
                  onClick={() => choose(act)}
                >
                  {act.words}
                  {act.key !== "" && <kbd>{act.key}</kbd>}
                </li>
              ))}
            </ul>
            {shown.length === 0 && <p>Nothing on this page does that.</p>}
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
                if (off) localStorage.setItem(OFF, "yes");
                else localStorage.removeItem(OFF);
              }}
            />
          </Modal.Body>
        </Modal.Content>
      </Modal.Root>
    </>
  );
}
