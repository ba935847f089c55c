import { UnstyledButton } from "@mantine/core";
import IconListSearch from "@tabler/icons-react/dist/esm/icons/IconListSearch.mjs";
import { lazy, Suspense, useEffect, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { actsOnPage, carryOut, isTyping, SINGLE_KEYS_OFF, type Act } from "./actsOnPage";
import classes from "./SearchAndCommands.module.css";

/** It comes only when it is opened: most visits need none. */
const CommandsDialog = lazy(() => import("./CommandsDialog"));

/** Finds what can be done here and does it: Ctrl K or / opens it, single keys act alone, ? shows them all. */
export function SearchAndCommands() {
  /** What can be chosen while it is open. */
  const [acts, setActs] = useState<readonly Act[] | null>(null);
  const hadFocus = useRef<Element | null>(null);
  const open = () => {
    hadFocus.current = document.activeElement;
    setActs(actsOnPage());
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "k") {
        event.preventDefault();
        open();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || document.querySelector("[role=dialog]") !== null)
        return;
      if (localStorage.getItem(SINGLE_KEYS_OFF) !== null) return;
      if (event.key === "/" || event.key === "?") {
        event.preventDefault();
        open();
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

  const choose = (act: Act | undefined) => {
    if (act === undefined) return;
    // What is done moves the focus by itself; only who leaves without choosing goes back.
    flushSync(() => setActs(null));
    carryOut(act);
  };
  const leave = () => {
    setActs(null);
    if (hadFocus.current instanceof HTMLElement) hadFocus.current.focus();
  };
  return (
    <>
      <UnstyledButton type="button" className={classes.door} onClick={open} title="Ctrl K" aria-label="Search and commands">
        <IconListSearch size={18} stroke={1.6} aria-hidden="true" />
        <span>
          Search<span className={classes.more}> and commands</span>
        </span>
      </UnstyledButton>
      {acts !== null && (
        <Suspense>
          <CommandsDialog acts={acts} onChoose={choose} onLeave={leave} />
        </Suspense>
      )}
    </>
  );
}
