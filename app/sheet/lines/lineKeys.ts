import type { KeyboardEvent } from "react";
import type { LineActions } from "./lineActions";

/** Marks a percent cell with its line's id. */
export const PERCENT_MARK = "data-percent-of";

function cellsAround(cell: HTMLElement): HTMLInputElement[] {
  const table = cell.closest("table");
  return table === null ? [] : [...table.querySelectorAll<HTMLInputElement>(`input[${PERCENT_MARK}]`)];
}

/** Puts the caret into a line's percent cell, all of its text selected. */
export function focusPercent(lineId: string): void {
  const cell = document.querySelector<HTMLInputElement>(`input[${PERCENT_MARK}="${CSS.escape(lineId)}"]`);
  cell?.focus();
  cell?.select();
}

/**
 * Keys inside the table: Enter and arrows go from percent to percent, with Alt the arrows move the line itself,
 * Alt Q makes it take the rest, Alt Backspace takes it out.
 */
export function handleLineKeys(event: KeyboardEvent, actions: LineActions, onLastEnter: () => void): void {
  const cell = event.target;
  if (!(cell instanceof HTMLInputElement)) return;
  const lineId = cell.getAttribute(PERCENT_MARK);
  if (lineId === null) return;
  if (event.altKey && !event.ctrlKey && !event.metaKey) {
    const done = handleAltKeys(event, lineId, neighbourOf(cell), actions);
    if (done) event.preventDefault();
    return;
  }
  const isBack = event.key === "ArrowUp" || (event.key === "Enter" && event.shiftKey);
  const isForth = event.key === "ArrowDown" || (event.key === "Enter" && !event.shiftKey);
  if (!isBack && !isForth) return;
  event.preventDefault();
  const cells = cellsAround(cell);
  const next = cells[cells.indexOf(cell) + (isBack ? -1 : 1)];
  if (next !== undefined) {
    next.focus();
    next.select();
  } else if (event.key === "Enter" && isForth) onLastEnter();
}

/** The line whose turn it is when this one is taken out. */
function neighbourOf(cell: HTMLInputElement): string | null {
  const cells = cellsAround(cell);
  const at = cells.indexOf(cell);
  return (cells[at + 1] ?? cells[at - 1])?.getAttribute(PERCENT_MARK) ?? null;
}

function handleAltKeys(event: KeyboardEvent, lineId: string, neighbour: string | null, actions: LineActions): boolean {
  switch (event.code) {
    case "ArrowUp":
      actions.step(lineId, -1);
      break;
    case "ArrowDown":
      actions.step(lineId, 1);
      break;
    case "KeyQ":
      actions.takeTheRest(lineId);
      break;
    case "Backspace":
      actions.remove(lineId);
      if (neighbour !== null) actions.focus(neighbour);
      return true;
    default:
      return false;
  }
  actions.focus(lineId);
  return true;
}
